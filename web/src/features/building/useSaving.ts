import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ApiError, api } from '../../api/client';
import { buildingOptions, madeOptions } from '../../api/options';
import type { BuildingState, Conflict, Difference, Edit, PartChange } from '../../api/types';
import { UnsentQueue, type Change, type Unsent } from './unsent';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** Changes that belong together are being collected; they are one revision. */
  | { kind: 'gathering' }
  | { kind: 'waiting'; why: string }
  | { kind: 'signed-out'; why: string }
  | { kind: 'refused'; why: string }
  | { kind: 'conflict'; conflict: Conflict }
  | { kind: 'fixed'; message: string; parts: PartChange[] };

/** What to do about a conflict: theirs as it is, mine whole, what I did once more on theirs, or single changes of mine. */
export type Settlement = 'theirs' | 'mine' | 'again' | Difference[];

const RETRY_MS = 3000;
/** Presses within a second are one revision. */
const GATHER_MS = 1000;

/**
 * Sends changes one after the other, each with an id of its own, so that a resend is harmless. What could not be sent
 * waits in this tab, for the same person, and is sent when it can be.
 */
export function useSaving(id: string, userId: number) {
  const queries = useQueryClient();
  const queue = useMemo(() => new UnsentQueue(`unsent:${userId}:${id}`), [id, userId]);
  const busy = useRef(false);
  const retry = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const closing = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const again = useRef(() => {});
  const [status, setStatus] = useState<SaveState>({ kind: 'saved' });
  const [unseen, setUnseen] = useState<Edit[]>(() => queue.unseen());
  const key = useMemo(() => buildingOptions(id).queryKey, [id]);

  const keep = useCallback(() => {
    queue.keep();
    setUnseen(queue.unseen());
  }, [queue]);

  /** What the server has now, whatever stands here. */
  const refresh = useCallback(
    () => queries.query({ ...buildingOptions(id), staleTime: 0 }).catch(() => undefined),
    [id, queries],
  );

  const answered = useCallback(
    (state: BuildingState) => {
      queries.setQueryData(key, state);
      queue.shift();
      keep();
      setStatus({ kind: 'saved' });
      void queries.invalidateQueries({ queryKey: madeOptions(id).queryKey });
    },
    [id, keep, key, queries, queue],
  );

  /** What was answered instead; true where the next change may follow at once. */
  const failed = useCallback(
    (fault: ApiError): boolean => {
      if (fault.status === 409) {
        // What waits is put together once, so that the whole of it is compared.
        if (queue.merge()) return true;
        setStatus({ kind: 'conflict', conflict: fault.body as Conflict });
      } else if (fault.status === 428) {
        const body = fault.body as { message: string; parts: PartChange[] };
        setStatus({ kind: 'fixed', ...body });
      } else if (fault.status === 422 || fault.status === 404) {
        queue.shift();
        const why = fault.problems.map((problem) => problem.text).join('; ') || fault.message;
        setStatus({ kind: 'refused', why });
        void refresh();
        return true;
      } else if (fault.status === 401 || fault.status === 419) {
        setStatus({ kind: 'signed-out', why: fault.status === 401 ? fault.message : 'The session has ended.' });
      } else {
        setStatus({ kind: 'waiting', why: fault.message });
        retry.current = setTimeout(() => again.current(), RETRY_MS);
      }
      return false;
    },
    [queue, refresh],
  );

  /** What an open change would give, shown before it is saved; false where that cannot be had now. */
  const preview = useCallback(
    async (item: Unsent, state: BuildingState) => {
      if (!('edits' in item.change)) return true;
      const edits = item.change.edits;
      try {
        const base = state.revision.number;
        const shown = await api.post<BuildingState>(`buildings/${id}/preview`, { base, edits });
        const now = queries.getQueryData(key);
        if (queue.first() !== item || now?.revision.number !== base) return true;
        queries.setQueryData(key, { ...shown, revision: now.revision, history: now.history });
        item.seen = edits.length;
      } catch {
        // Saving finds out what is wrong, and says so.
        return false;
      }
      setUnseen(queue.unseen());
      return true;
    },
    [id, key, queries, queue],
  );

  const send = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    clearTimeout(retry.current);
    for (let next = queue.first(); next !== undefined; next = queue.first()) {
      const current = queries.getQueryData(key);
      if (current === undefined) break;
      if (next.open === true) {
        setStatus({ kind: 'gathering' });
        if (next.seen === ('edits' in next.change ? next.change.edits.length : 0)) break;
        if (!(await preview(next, current)) && queue.first()?.open === true) break;
        continue;
      }
      setStatus({ kind: 'saving' });
      try {
        answered(
          await api.post<BuildingState>(`buildings/${id}/revisions`, {
            client_id: next.client_id,
            base: current.revision.number,
            ...next.change,
            ...(next.even_fixed === true ? { even_fixed: true } : {}),
          }),
        );
      } catch (error) {
        const goesOn = failed(error instanceof ApiError ? error : new ApiError(0, 'It could not be sent.', [], null));
        keep();
        if (!goesOn) break;
      }
    }
    busy.current = false;
  }, [answered, failed, id, keep, key, preview, queries, queue]);

  const close = useCallback(() => {
    clearTimeout(closing.current);
    if (queue.close()) {
      keep();
      void send();
    }
  }, [keep, queue, send]);

  useEffect(() => {
    again.current = () => void send();
    queue.close();
    if (queue.first() !== undefined) void send();
    const leaving = () => document.visibilityState === 'hidden' && close();
    document.addEventListener('visibilitychange', leaving);
    return () => {
      document.removeEventListener('visibilitychange', leaving);
      clearTimeout(retry.current);
      close();
    };
  }, [close, queue, send]);

  const enqueue = useCallback(
    (change: Change) => {
      clearTimeout(closing.current);
      queue.close();
      queue.push(change);
      keep();
      void send();
    },
    [keep, queue, send],
  );

  const gather = useCallback(
    (edits: Edit[]) => {
      clearTimeout(closing.current);
      closing.current = setTimeout(close, GATHER_MS);
      queue.gather(edits);
      keep();
      void send();
    },
    [close, keep, queue, send],
  );

  const step = useCallback(
    (change: { undo: true } | { redo: true }) => {
      // What is not sent yet is simply taken back.
      if ('undo' in change && queue.takeBack(busy.current && queue.first()?.open !== true)) {
        clearTimeout(closing.current);
        keep();
        void refresh();
        if (queue.first() === undefined) setStatus({ kind: 'saved' });
        return;
      }
      enqueue(change);
    },
    [enqueue, keep, queue, refresh],
  );

  const settle = useCallback(
    async (how: Settlement) => {
      if (status.kind !== 'conflict') return;
      const mine = JSON.stringify(status.conflict.mine.document);
      if (how !== 'again') queue.clear();
      keep();
      await refresh();
      setStatus({ kind: 'saved' });
      if (how === 'mine') enqueue({ document: mine });
      else if (how === 'again') void send();
      else if (how !== 'theirs' && how.length > 0)
        enqueue({ edits: how.map(({ path, after }) => ({ op: 'set', path, value: after ?? null })) });
    },
    [enqueue, keep, queue, refresh, send, status],
  );

  const settleFixed = useCallback(
    (goOn: boolean) => {
      const first = queue.first();
      if (goOn && first !== undefined) first.even_fixed = true;
      else queue.shift();
      keep();
      setStatus({ kind: 'saved' });
      if (!goOn) void refresh();
      void send();
    },
    [keep, queue, refresh, send],
  );

  return {
    status,
    /** Edits that what is shown does not hold yet. */
    unseen,
    save: useCallback((edits: Edit[]) => enqueue({ edits }), [enqueue]),
    gather,
    undo: useCallback(() => step({ undo: true }), [step]),
    redo: useCallback(() => step({ redo: true }), [step]),
    restore: useCallback((number: number) => enqueue({ restore: number }), [enqueue]),
    settle,
    settleFixed,
    retry: useCallback(() => void send(), [send]),
  };
}
