import { whenOf } from '../../ui/dates';
import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { api } from '../../api/client';
import type { Revision } from '../../api/types';
import { useBuilding } from '../../document/context';
import { Compared } from './Compared';
import { focusWhenShown } from '../../ui/focus';

/** What changed, in words and figures; any two revisions side by side; and the way back to each. */
export function HistoryPage() {
  const { state } = useBuilding();
  const [search, setSearch] = useSearchParams();
  const current = state.revision.number;
  const to = Number(search.get('to') ?? current);
  const from = Number(search.get('from') ?? Math.max(1, to - 1));
  const list = useInfiniteQuery({
    queryKey: ['building', state.id, 'history', current],
    queryFn: ({ pageParam }) =>
      api.get<{ revisions: Revision[] }>(
        `buildings/${state.id}/revisions${pageParam === 0 ? '' : `?before=${pageParam}`}`,
      ),
    initialPageParam: 0,
    getNextPageParam: (last) => {
      const oldest = last.revisions[last.revisions.length - 1]?.number ?? 1;
      return oldest > 1 ? oldest : undefined;
    },
  });
  const revisions = list.data?.pages.flatMap((page) => page.revisions) ?? [];
  const compare = (next: { from?: number; to?: number }) =>
    setSearch({ from: String(next.from ?? from), to: String(next.to ?? to) }, { replace: true });
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        {from === to ? (
          <p>Choose two different revisions to see them side by side.</p>
        ) : (
          <Compared from={from} to={to} />
        )}
      </section>
      <aside className="sheet" aria-label="History">
        <h2>History</h2>
        {list.isError && <p className="text-danger">{list.error.message}</p>}
        <ol className="history" reversed>
          {revisions.map((revision) => (
            <Entry
              key={revision.number}
              revision={revision}
              isCurrent={revision.number === current}
              isFrom={revision.number === from}
              isTo={revision.number === to}
              onFrom={() => compare({ from: revision.number })}
              onTo={() => compare({ to: revision.number })}
            />
          ))}
        </ol>
        {list.hasNextPage && (
          <Button variant="outline-secondary" onClick={() => void list.fetchNextPage()} disabled={list.isFetching}>
            Earlier ones
          </Button>
        )}
      </aside>
    </>
  );
}

interface EntryProps {
  revision: Revision;
  isCurrent: boolean;
  isFrom: boolean;
  isTo: boolean;
  onFrom: () => void;
  onTo: () => void;
}

function Entry({ revision, isCurrent, isFrom, isTo, onFrom, onTo }: EntryProps) {
  const { restore } = useBuilding();
  const parts = revision.parts_changed;
  return (
    <li className={isFrom || isTo ? 'chosen' : undefined}>
      <Name revision={revision} />
      <div>
        {revision.summary}
        {parts !== null && parts > 0 && (
          <span className="quiet">; {parts === 1 ? 'one part changes' : `${parts} parts change`}</span>
        )}
        {!revision.is_sound && <span className="level level-stop"> has faults</span>}
      </div>
      {revision.note !== null && <blockquote className="remark">{revision.note}</blockquote>}
      <div className="quiet">
        {revision.number}, {whenOf(revision.at)}
        {isCurrent ? ', as it is now' : ''}
      </div>
      <div className="tools">
        <button type="button" className="btn btn-sm btn-link p-0" aria-pressed={isFrom} onClick={onFrom}>
          left
        </button>
        <button type="button" className="btn btn-sm btn-link p-0" aria-pressed={isTo} onClick={onTo}>
          right
        </button>
        {!isCurrent && (
          <button type="button" className="btn btn-sm btn-link p-0" onClick={() => restore(revision.number)}>
            Go back to {revision.number}
          </button>
        )}
      </div>
    </li>
  );
}

/** A name of its own, given in place. */
function Name({ revision }: { revision: Revision }) {
  const { state } = useBuilding();
  const queries = useQueryClient();
  const [text, setText] = useState<string | null>(null);
  const name = useMutation({
    mutationFn: (next: string | null) =>
      api.patch(`buildings/${state.id}/revisions/${revision.number}`, { name: next }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['building', state.id, 'history'] });
      setText(null);
    },
  });
  if (text === null) {
    return (
      <div className="d-flex gap-2">
        {revision.name !== null && <strong>{revision.name}</strong>}
        <button
          type="button"
          className="btn btn-sm btn-link p-0 ms-auto"
          aria-label={`Name revision ${revision.number} …`}
          onClick={() => setText(revision.name ?? '')}
        >
          {revision.name === null ? 'Name …' : 'Rename …'}
        </button>
      </div>
    );
  }
  return (
    <form
      className="tools"
      onSubmit={(event) => {
        event.preventDefault();
        name.mutate(text.trim() === '' ? null : text.trim());
      }}
    >
      <input
        className="form-control form-control-sm"
        aria-label={`Name of revision ${revision.number}`}
        value={text}
        maxLength={200}
        ref={focusWhenShown}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setText(null)}
      />
      <Button type="submit" size="sm">
        Keep
      </Button>
    </form>
  );
}
