import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError, api } from '../../api/client';
import { projectsOptions } from '../../api/options';
import type { ArchiveReading } from '../../api/types';
import { FileButton } from '../../ui/FileButton';

const POLL_MS = 500;

/** A server that is away comes back, and the reading does not wait for whoever asks; so often in a row it may not answer. */
const MOST_SILENT = 60;

const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function heard(id: string, silent = 0): Promise<ArchiveReading> {
  await after(POLL_MS);
  try {
    return (await api.get<{ reading: ArchiveReading }>(`projects/import/${id}`)).reading;
  } catch (fault) {
    const isAway = fault instanceof ApiError && (fault.status === 0 || fault.status >= 500);
    if (!isAway || silent === MOST_SILENT) throw fault;
    return heard(id, silent + 1);
  }
}

/** Sends an archive, and where it is a large one hears how far its reading has come until it has ended. */
async function sent(archive: File, onTold: (reading: ArchiveReading) => void): Promise<ArchiveReading | null> {
  const form = new FormData();
  form.append('archive', archive);
  let { reading } = await api.post<{ reading?: ArchiveReading }>('projects/import', form);
  while (reading !== undefined && (reading.state === 'waiting' || reading.state === 'reading')) {
    onTold(reading);
    reading = await heard(reading.id);
  }
  return reading ?? null;
}

function faultOf(error: Error | null, ended: ArchiveReading | null | undefined): string | null {
  const told = (problems: { path: string; text: string }[]) =>
    problems.map((problem) => `${problem.path}: ${problem.text}`).join('; ');
  if (error !== null) return `${error.message} ${error instanceof ApiError ? told(error.problems) : ''}`;
  if (ended?.state === 'refused') return `Nothing of it was kept. ${told(ended.problems)}`;
  return ended?.state === 'stopped' ? 'The reading stopped, and nothing of it was kept. Send it again.' : null;
}

/** A whole project from a file that was downloaded as one. */
export function ImportProject() {
  const queries = useQueryClient();
  const [told, setTold] = useState<ArchiveReading | null>(null);
  const read = useMutation({
    mutationFn: (archive: File) => sent(archive, setTold),
    onSettled: async () => {
      setTold(null);
      await queries.invalidateQueries({ queryKey: projectsOptions().queryKey });
    },
  });
  const fault = faultOf(read.error, read.data);
  return (
    <>
      <FileButton
        label="Project archive to import"
        accept=".zip,application/zip"
        disabled={read.isPending}
        onFile={(file) => read.mutate(file)}
      >
        {read.isPending ? 'Reading it …' : 'Import a project …'}
      </FileButton>
      {told !== null && (
        <span role="status" className="quiet ms-2">
          {told.state === 'waiting' ? 'It waits to be read.' : `${told.done} of ${told.of} revisions have been read.`}{' '}
          <progress max={told.of} value={told.done} aria-label="Read so far" />
        </span>
      )}
      {fault !== null && (
        <div role="alert" className="remark remark-stop">
          {fault}
        </div>
      )}
    </>
  );
}
