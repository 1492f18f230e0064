import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { buildingOptions, madeOptions } from '../../api/options';
import { SavingMachine, type ShownBuilding } from './SavingMachine';
import { UnsentQueue } from './unsent';

/** The building of the query cache. */
function shownIn(queries: QueryClient, id: string): ShownBuilding {
  const options = buildingOptions(id);
  return {
    current: () => queries.getQueryData(options.queryKey),
    show: (state) => queries.setQueryData(options.queryKey, state),
    refresh: () => queries.query({ ...options, staleTime: 0 }).catch(() => undefined),
    saved: () => void queries.invalidateQueries({ queryKey: madeOptions(id).queryKey }),
  };
}

/** The saving of one building by one person in this tab. */
export function useSaving(id: string, userId: number) {
  const queries = useQueryClient();
  const machine = useMemo(
    () => new SavingMachine(id, new UnsentQueue(`unsent:${userId}:${id}`), shownIn(queries, id)),
    [id, userId, queries],
  );
  const { status, unseen } = useSyncExternalStore(machine.subscribe, machine.saving);

  useEffect(() => {
    machine.start();
    const leaving = () => document.visibilityState === 'hidden' && machine.close();
    document.addEventListener('visibilitychange', leaving);
    return () => {
      document.removeEventListener('visibilitychange', leaving);
      machine.stop();
    };
  }, [machine]);

  const { save, gather, undo, redo, restore, settle, settleFixed, retry, takeBack } = machine;
  return { status, unseen, save, gather, undo, redo, restore, settle, settleFixed, retry, takeBack };
}
