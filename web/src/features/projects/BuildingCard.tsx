import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { v4 as newId } from 'uuid';
import { ApiError, api } from '../../api/client';
import { cardOptions } from '../../api/options';
import type { BuildingSummary, Units } from '../../api/types';
import { whenOf } from '../../ui/dates';

interface Props {
  project: string;
  building: BuildingSummary;
  units: Units;
  refresh: () => Promise<void>;
}

/** A building among others: its front, how large it is, how far it has come, and what is done with it as a whole. */
export function BuildingCard({ project, building, units, refresh }: Props) {
  const card = useQuery(cardOptions(building.id, building.revision));
  const [doing, setDoing] = useState<'rename' | 'remove' | null>(null);
  const done = async () => {
    await refresh();
    setDoing(null);
  };
  const rename = useMutation({
    mutationFn: (name: string) =>
      api.post(`buildings/${building.id}/revisions`, {
        client_id: newId(),
        base: building.revision,
        edits: [{ op: 'set', path: 'name', value: name }],
      }),
    onSuccess: done,
  });
  const copy = useMutation({
    mutationFn: async () => {
      const document = await api.get<Record<string, unknown>>(`buildings/${building.id}/document`);
      return api.post(`projects/${project}/buildings`, {
        client_id: newId(),
        document: JSON.stringify({ ...document, name: `${building.name}, copy` }),
      });
    },
    onSuccess: done,
  });
  const remove = useMutation({ mutationFn: () => api.delete(`buildings/${building.id}`), onSuccess: done });
  const wrong = [rename.error, copy.error, remove.error].find((one) => one instanceof ApiError);
  const own = card.data?.card ?? null;
  return (
    <li className="building-card">
      <Picture building={building} stands={card.data?.sound !== null} />
      {doing === 'rename' ? (
        <NameForm
          name={building.name}
          isPending={rename.isPending}
          onName={(next) => rename.mutate(next)}
          onLeave={() => setDoing(null)}
        />
      ) : (
        <Link to={`/buildings/${building.id}/shell`} className="fs-5 name">
          {building.name}
        </Link>
      )}
      {own !== null && (
        <span className="quiet">
          {own.wide[units]} × {own.deep[units]} at {own.scale}
        </span>
      )}
      {card.data !== undefined && (
        <span className={`level level-${card.data.faults !== null || own?.state === 'stop' ? 'stop' : 'ok'}`}>
          {card.data.faults ?? own?.text}
        </span>
      )}
      <span className="quiet">
        {whenOf(building.updated_at)}
        {card.data !== undefined && `: ${card.data.changed}`}
      </span>
      {wrong !== undefined && (
        <span role="alert" className="text-danger">
          {wrong.message}
        </span>
      )}
      {doing === 'remove' ? (
        <span className="tools">
          Remove it and its history?
          <Button size="sm" variant="danger" onClick={() => remove.mutate()}>
            Remove {building.name}
          </Button>
          <Button size="sm" variant="outline-secondary" onClick={() => setDoing(null)}>
            Keep it
          </Button>
        </span>
      ) : (
        <span className="tools">
          <Button
            size="sm"
            variant="link"
            className="p-0"
            aria-label={`Rename ${building.name} …`}
            onClick={() => setDoing('rename')}
          >
            Rename …
          </Button>
          <Button
            size="sm"
            variant="link"
            className="p-0"
            aria-label={`Copy ${building.name}`}
            disabled={copy.isPending}
            onClick={() => copy.mutate()}
          >
            Copy
          </Button>
          <Button
            size="sm"
            variant="link"
            className="p-0"
            aria-label={`Remove ${building.name} …`}
            onClick={() => setDoing('remove')}
          >
            Remove …
          </Button>
        </span>
      )}
    </li>
  );
}

function NameForm({
  name: before,
  isPending,
  onName,
  onLeave,
}: {
  name: string;
  isPending: boolean;
  onName: (name: string) => void;
  onLeave: () => void;
}) {
  const [name, setName] = useState(before);
  return (
    <form
      className="tools"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') onName(name.trim());
      }}
    >
      <input
        className="form-control"
        aria-label="Name of the building"
        value={name}
        maxLength={200}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" size="sm" disabled={isPending || name.trim() === ''}>
        Keep this name
      </Button>
      <Button size="sm" variant="outline-secondary" onClick={onLeave}>
        Leave it
      </Button>
    </form>
  );
}

function Picture({ building, stands }: { building: BuildingSummary; stands: boolean }) {
  return (
    <Link to={`/buildings/${building.id}/shell`} className="picture" tabIndex={-1} aria-hidden="true">
      {stands ? (
        <img src={`/api/buildings/${building.id}/picture.svg?r=${building.revision}`} alt="" loading="lazy" />
      ) : (
        <span className="quiet">nothing stands yet</span>
      )}
    </Link>
  );
}
