import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { api } from '../api/client';
import type { Revision } from '../api/types';
import { useBuilding } from './context';

/** What was learnt from a revision, kept with it. */
export function RevisionNote({ number }: { number: number }) {
  const { state } = useBuilding();
  const queries = useQueryClient();
  const [text, setText] = useState<string | null>(null);
  const kept = useQuery({
    queryKey: ['building', state.id, 'history', 'note', number],
    queryFn: () => api.get<{ revisions: Revision[] }>(`buildings/${state.id}/revisions?before=${number + 1}`),
    select: (answer) => answer.revisions.find((one) => one.number === number)?.note ?? '',
  });
  const keep = useMutation({
    mutationFn: (note: string) =>
      api.patch(`buildings/${state.id}/revisions/${number}`, { note: note.trim() === '' ? null : note.trim() }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['building', state.id, 'history'] });
      setText(null);
    },
  });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text !== null) keep.mutate(text);
      }}
    >
      <textarea
        className="form-control"
        rows={3}
        maxLength={4000}
        aria-label={`What was learnt from revision ${number}`}
        value={text ?? kept.data ?? ''}
        onChange={(event) => setText(event.target.value)}
      />
      <div className="tools mt-1">
        <Button type="submit" size="sm" disabled={text === null || keep.isPending}>
          Keep the note
        </Button>
        {keep.isError && <span className="text-danger">{keep.error.message}</span>}
        {keep.isSuccess && text === null && <span role="status">Kept.</span>}
      </div>
    </form>
  );
}
