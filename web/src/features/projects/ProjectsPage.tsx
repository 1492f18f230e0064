import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';
import { v4 as newId } from 'uuid';
import { ApiError, api } from '../../api/client';
import { accountOptions, enterAs, projectsOptions } from '../../api/options';
import type {
  Account,
  BuildingState,
  BuildingSummary,
  ProjectSummary,
  StarterShape,
  Units,
  User,
} from '../../api/types';
import { FileButton } from '../../ui/FileButton';
import { FindButton } from '../../ui/FindButton';
import { FormField } from '../../ui/FormField';
import { Empty, Failed, Loading } from '../../ui/States';
import { BuildingCard } from './BuildingCard';
import { BeginBuilding } from './BeginBuilding';
import { ImportProject } from './ImportProject';

export function ProjectsPage({ user }: { user: User }) {
  const projects = useQuery(projectsOptions());
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const create = useMutation({
    mutationFn: () => api.post('projects', { name }),
    onSuccess: async () => {
      setName('');
      await queries.invalidateQueries({ queryKey: projectsOptions().queryKey });
    },
  });
  const leave = useMutation({
    mutationFn: () => api.post<Account>('sign-out'),
    onSuccess: (account) => {
      enterAs(queries, account);
    },
  });
  const units = useMutation({
    mutationFn: (next: string) => api.patch<Account>('me', { units: next }),
    onSuccess: (account) => queries.setQueryData(accountOptions().queryKey, account),
  });
  if (projects.isPending) return <Loading what="your projects" />;
  if (projects.isError) return <Failed error={projects.error} again={() => void projects.refetch()} />;
  return (
    <div className="desk">
      <header className="docket mb-3">
        <div className="docket-head flex-grow-1">
          <h1>Chartula</h1>
          <span className="quiet">{user.name}</span>
        </div>
        <div className="tools p-2">
          <FindButton />
          <label htmlFor="units">Sizes in</label>
          <select
            id="units"
            className="form-select form-select-sm w-auto"
            value={user.units}
            onChange={(event) => units.mutate(event.target.value)}
          >
            <option value="imperial">feet and inches</option>
            <option value="metric">metres</option>
          </select>
          <Button variant="outline-secondary" onClick={() => leave.mutate()}>
            Sign out
          </Button>
        </div>
      </header>
      <main>
        {projects.data.length === 0 && (
          <Empty title="No project yet">
            <p>A project holds the buildings of one layout, or of one corner of it. Name your first below.</p>
          </Empty>
        )}
        {projects.data.map((project) => (
          <ProjectCard key={project.id} project={project} units={user.units} />
        ))}
        <form
          className="sheet mt-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (name.trim() !== '') create.mutate();
          }}
        >
          <FormField
            label="New project"
            value={name}
            onChange={setName}
            problem={create.error instanceof ApiError ? create.error.message : undefined}
          />
          <Button type="submit" disabled={name.trim() === '' || create.isPending}>
            Begin the project
          </Button>{' '}
          <ImportProject />
        </form>
      </main>
    </div>
  );
}

function inOrder(buildings: readonly BuildingSummary[], order: string): BuildingSummary[] {
  return buildings.toSorted((a, b) =>
    order === 'name' ? a.name.localeCompare(b.name) : b.updated_at.localeCompare(a.updated_at),
  );
}

function ProjectCard({ project, units }: { project: ProjectSummary; units: Units }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [order, setOrder] = useState('changed');
  const [isBeginning, setIsBeginning] = useState(project.buildings.length === 0);
  const refresh = () => queries.invalidateQueries({ queryKey: projectsOptions().queryKey });
  const begin = useMutation({
    mutationFn: (input: { name: string; shape: StarterShape['id'] } | { document: string }) =>
      api.post<BuildingState>(`projects/${project.id}/buildings`, { client_id: newId(), ...input }),
    onSuccess: async (state) => {
      await refresh();
      await navigate(`/buildings/${state.id}/prototype`);
    },
  });
  const error = begin.error instanceof ApiError ? begin.error : null;
  return (
    <section className="sheet mb-3" aria-label={project.name}>
      <ProjectHead project={project} refresh={refresh} />
      {project.buildings.length === 0 && (
        <p>
          No building in it yet. Begin one from a shape that is near to yours: it can be printed at once, and every
          figure of it can be changed.
        </p>
      )}
      {project.buildings.length > 1 && (
        <div className="tools mb-2">
          <label htmlFor={`sort-${project.id}`}>In order of</label>
          <select
            id={`sort-${project.id}`}
            className="form-select form-select-sm w-auto"
            value={order}
            onChange={(event) => setOrder(event.target.value)}
          >
            <option value="changed">the last change</option>
            <option value="name">their names</option>
          </select>
        </div>
      )}
      <ul className="building-cards">
        {inOrder(project.buildings, order).map((building) => (
          <BuildingCard key={building.id} project={project.id} building={building} units={units} refresh={refresh} />
        ))}
      </ul>
      <div className="tools">
        <Button onClick={() => setIsBeginning(true)} aria-expanded={isBeginning} disabled={begin.isPending}>
          New building
        </Button>
        <FileButton
          label="Building document to import"
          accept=".json,application/json"
          onFile={(file) => {
            setIsBeginning(false);
            void file.text().then((document) => begin.mutate({ document }));
          }}
        >
          Import a building …
        </FileButton>
      </div>
      {isBeginning && (
        <BeginBuilding
          pending={begin.isPending}
          problem={error?.message}
          onBegin={(name, shape) => begin.mutate({ name, shape })}
          onLeave={() => setIsBeginning(false)}
        />
      )}
      {error !== null && !isBeginning && (
        <div role="alert" className="remark remark-stop">
          {error.message}
          <ul className="mb-0">
            {error.problems.map((problem) => (
              <li key={problem.path + problem.code}>
                {problem.path}: {problem.text}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

/** A project's name, to be changed in place, and its removal, asked for twice. */
function ProjectHead({ project, refresh }: { project: ProjectSummary; refresh: () => Promise<void> }) {
  const [name, setName] = useState<string | null>(null);
  const [isAsking, setIsAsking] = useState(false);
  const rename = useMutation({
    mutationFn: (next: string) => api.patch(`projects/${project.id}`, { name: next }),
    onSuccess: async () => {
      await refresh();
      setName(null);
    },
  });
  const remove = useMutation({ mutationFn: () => api.delete(`projects/${project.id}`), onSuccess: refresh });
  if (name !== null) {
    return (
      <form
        className="tools mb-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') rename.mutate(name);
        }}
      >
        <label htmlFor={`name-${project.id}`}>Name of the project</label>
        <input
          id={`name-${project.id}`}
          className="form-control w-auto"
          value={name}
          maxLength={200}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" disabled={name.trim() === '' || rename.isPending}>
          Keep this name
        </Button>
        <Button variant="outline-secondary" onClick={() => setName(null)}>
          Leave it
        </Button>
      </form>
    );
  }
  const buildings = project.buildings.length === 1 ? 'one building' : `${project.buildings.length} buildings`;
  return (
    <div className="d-flex flex-wrap gap-2 align-items-baseline">
      <h2 className="flex-grow-1">{project.name}</h2>
      {isAsking ? (
        <span className="tools">
          Remove {project.name} with {buildings}?
          <Button size="sm" variant="danger" onClick={() => remove.mutate()}>
            Remove the project
          </Button>
          <Button size="sm" variant="outline-secondary" onClick={() => setIsAsking(false)}>
            Keep the project
          </Button>
        </span>
      ) : (
        <span className="tools">
          <Button
            size="sm"
            variant="link"
            onClick={() => setName(project.name)}
            aria-label={`Rename ${project.name} …`}
          >
            Rename …
          </Button>
          <a className="btn btn-sm btn-link" href={`/api/projects/${project.id}/archive`} download>
            Download it all
          </a>
          <Button
            size="sm"
            variant="link"
            onClick={() => setIsAsking(true)}
            aria-label={`Remove the project ${project.name} …`}
          >
            Remove …
          </Button>
        </span>
      )}
    </div>
  );
}
