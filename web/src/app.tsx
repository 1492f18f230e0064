import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ComponentType, lazy, useLayoutEffect } from 'react';
import { Navigate, Route, Routes, Link } from 'react-router';
import { v4 as newId } from 'uuid';
import { api, workFor } from './api/client';
import { accountOptions } from './api/options';
import type { Made, User } from './api/types';
import { WelcomePage } from './features/account/WelcomePage';
import { BuildingFrame } from './features/building/BuildingFrame';
import { Finder } from './features/finder/Finder';
import { ProjectsPage } from './features/projects/ProjectsPage';
import { Empty, Failed, Loading } from './ui/States';
import { sayVerb } from './ui/verbs';

/** What is loaded when it is first opened. */
const later = (load: () => Promise<ComponentType>) => lazy(async () => ({ default: await load() }));

const PrototypeStage = later(async () => (await import('./features/prototype/PrototypeStage')).PrototypeStage);
const PlotStage = later(async () => (await import('./features/plot/PlotStage')).PlotStage);
const ShellStage = later(async () => (await import('./features/shell/ShellStage')).ShellStage);
const RoofStage = later(async () => (await import('./features/roof/RoofStage')).RoofStage);
const SkinStage = later(async () => (await import('./features/skin/SkinStage')).SkinStage);
const SheetsStage = later(async () => (await import('./features/sheets/SheetsStage')).SheetsStage);
const BenchPage = later(async () => (await import('./features/bench/BenchPage')).BenchPage);
const HistoryPage = later(async () => (await import('./features/history/HistoryPage')).HistoryPage);
const DryFitPage = later(async () => (await import('./features/dryfit/DryFitPage')).DryFitPage);
const StandPage = later(async () => (await import('./features/stand/StandPage')).StandPage);

export function App() {
  const account = useQuery(accountOptions());
  if (account.isPending) return <Loading what="Chartula" />;
  if (account.isError) return <Failed error={account.error} again={() => void account.refetch()} />;
  if (account.data.user === null) return <WelcomePage hasDemo={account.data.demo} />;
  return <SignedIn user={account.data.user} />;
}

function SignedIn({ user }: { user: User }) {
  const queries = useQueryClient();
  // Before any of what stands in here asks for something, and never left empty when one person follows another.
  useLayoutEffect(() => {
    workFor(user.id);
    return () => workFor(null);
  }, [user.id]);

  /** What the finder was told to do and is no place to go to; true where it was done here. */
  function onVerb(verb: string, building: string | null): boolean {
    if (building === null) return false;
    const sheets = `/api/buildings/${building}/sheets.pdf`;
    if (verb === 'print') window.location.assign(sheets);
    else if (verb === 'print-stale') window.location.assign(`${sheets}?only=stale`);
    else if (verb === 'undo' || verb === 'redo') sayVerb(verb);
    else if (verb === 'mark-printed')
      void api
        .post<Made>(`buildings/${building}/prints`, { client_id: newId(), which: 'all' })
        .then(() => queries.invalidateQueries({ queryKey: ['building', building] }));
    else return false;
    return true;
  }

  return (
    <>
      <Finder onVerb={onVerb} />
      <Routes>
        <Route path="/" element={<ProjectsPage user={user} />} />
        <Route path="/buildings/:id" element={<BuildingFrame user={user} />}>
          <Route index element={<Navigate to="shell" replace />} />
          <Route path="prototype" element={<PrototypeStage />} />
          <Route path="plot" element={<PlotStage />} />
          <Route path="shell" element={<ShellStage />} />
          <Route path="roof" element={<RoofStage />} />
          <Route path="skin" element={<SkinStage />} />
          <Route path="sheets" element={<SheetsStage />} />
          <Route path="bench" element={<BenchPage />} />
          <Route path="history" element={<HistoryPage />} />
          <Route path="fit" element={<DryFitPage />} />
          <Route path="stand" element={<StandPage />} />
        </Route>
        <Route path="*" element={<NotHere />} />
      </Routes>
    </>
  );
}

/** An address that leads nowhere says so. */
function NotHere() {
  return (
    <Empty title="There is nothing at this address">
      <p>
        It may have been mistyped, or what stood here was taken away. Your <Link to="/">projects</Link> are where they
        were.
      </p>
    </Empty>
  );
}
