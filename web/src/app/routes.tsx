import { createBrowserRouter, isRouteErrorResponse, Link, useOutletContext, useRouteError, type RouteObject } from 'react-router';
import type { SessionView } from '@sounding/contract/api.ts';
import { DeskPage } from '../features/desk/DeskPage.tsx';
import { Notice } from '../ui/controls.tsx';
import { Centred, Shell } from './Shell.tsx';

/** Who is at the desk and on which day; every view stands inside the shell that fetched it. */
export const useDesk = (): SessionView => useOutletContext<SessionView>();

const Lost = ({ text }: { text: string }) => (
  <Centred>
    <Notice $tone="danger" role="alert">
      {text} <Link to="/">Back to the desk</Link>
    </Notice>
  </Centred>
);
const NoSuchPage = () => <Lost text="There is no such page." />;

function Failed() {
  const error = useRouteError();
  const isMissing = isRouteErrorResponse(error) && error.status === 404;
  return isMissing ? <NoSuchPage /> : <Lost text="This view has failed. What was saved is safe." />;
}

/** What stands inside the shell. */
const VIEWS: RouteObject[] = [
  { index: true, Component: DeskPage },
  { path: 'case/:caseId/plan/:questionId', lazy: async () => ({ Component: (await import('../features/plan/PlanPage.tsx')).PlanPage }) },
  { path: 'casebook', lazy: async () => ({ Component: (await import('../features/casebook/CasebookPage.tsx')).CasebookPage }) },
  { path: 'bench', lazy: async () => ({ Component: (await import('../features/bench/BenchPage.tsx')).BenchPage }) },
  { path: 'bench/tests/:id?', lazy: async () => ({ Component: (await import('../features/bench/InspectionPage.tsx')).InspectionPage }) },
  { path: 'bench/picture', lazy: async () => ({ Component: (await import('../features/bench/photo/PicturePage.tsx')).PicturePage }) },
  { path: 'bench/instruments', lazy: async () => ({ Component: (await import('../features/bench/InstrumentsPage.tsx')).InstrumentsPage }) },
  { path: 'season', lazy: async () => ({ Component: (await import('../features/season/SeasonPage.tsx')).SeasonPage }) },
  { path: 'season/stations', lazy: async () => ({ Component: (await import('../features/season/StationsPage.tsx')).StationsPage }) },
  { path: 'office', lazy: async () => ({ Component: (await import('../features/office/OfficePage.tsx')).OfficePage }) },
  { path: 'library/labels', lazy: async () => ({ Component: (await import('../features/library/LabelsPage.tsx')).LabelsPage }) },
  { path: 'library', lazy: async () => ({ Component: (await import('../features/library/LibraryPage.tsx')).LibraryPage }) },
  { path: 'library/cause/:id', lazy: async () => ({ Component: (await import('../features/library/CausePage.tsx')).CausePage }) },
  { path: 'library/plant/:id', lazy: async () => ({ Component: (await import('../features/library/PlantPage.tsx')).PlantPage }) },
  { path: 'library/seen/:finding/:answer', lazy: async () => ({ Component: (await import('../features/library/SeenPage.tsx')).SeenPage }) },
  { path: 'library/edit/:kind/:id', lazy: async () => ({ Component: (await import('../features/library/EntryPage.tsx')).EntryPage }) },
  { path: 'library/exchange', lazy: async () => ({ Component: (await import('../features/library/ExchangePage.tsx')).ExchangePage }) },
  { path: 'library/learned', lazy: async () => ({ Component: (await import('../features/library/LearnedPage.tsx')).LearnedPage }) },
  { path: 'library/compare', lazy: async () => ({ Component: (await import('../features/library/ComparePage.tsx')).ComparePage }) },
  { path: 'case/:caseId', lazy: async () => ({ Component: (await import('../features/case/CasePage.tsx')).CasePage }) },
  { path: 'case/:caseId/reply/:questionId', lazy: async () => ({ Component: (await import('../features/reply/ReplyPage.tsx')).ReplyPage }) },
  { path: '*', Component: NoSuchPage },
];

export function createAppRouter() {
  return createBrowserRouter([
    {
      path: '/',
      Component: Shell,
      ErrorBoundary: Failed,
      HydrateFallback: () => <Notice>Opening …</Notice>,
      // a view that fails leaves the shell standing
      children: [{ ErrorBoundary: Failed, children: VIEWS }],
    },
  ]);
}
