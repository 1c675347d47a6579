import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { ProjectList } from './rooms/projects/ProjectList';
import { applyTheme } from './frame/theme';
import './styles.css';

applyTheme();

/** What stands there while the first page is fetched. */
const opening = { hydrateFallbackElement: <p className="p-12 text-soft">Opening…</p> };

const router = createBrowserRouter([
  { path: '/', element: <ProjectList /> },
  {
    path: '/projects/:project',
    ...opening,
    lazy: async () => ({ Component: (await import('./frame/ProjectFrame')).ProjectFrame }),
    children: [
      { path: 'brief', lazy: async () => ({ Component: (await import('./rooms/brief/Brief')).BriefRoom }) },
      { path: 'survey', lazy: async () => ({ Component: (await import('./rooms/survey/Survey')).SurveyRoom }) },
      { path: 'descent', lazy: async () => ({ Component: (await import('./rooms/descent/Descent')).DescentRoom }) },
      { path: 'members', lazy: async () => ({ Component: (await import('./rooms/members/Members')).MembersRoom }) },
      { path: 'ground', lazy: async () => ({ Component: (await import('./rooms/ground/Ground')).GroundRoom }) },
      { path: 'package', lazy: async () => ({ Component: (await import('./rooms/package/Package')).PackageRoom }) },
      { index: true, lazy: async () => ({ Component: (await import('./frame/FirstRoom')).FirstRoom }) },
    ],
  },
  {
    path: '/bench',
    ...opening,
    lazy: async () => ({ Component: (await import('./rooms/bench/Bench')).BenchRoom }),
    children: [
      { index: true, element: <Navigate to="/bench/beam" replace /> },
      { path: 'beam', lazy: async () => ({ Component: (await import('./rooms/bench/BeamBench')).BeamBench }) },
      { path: 'member', lazy: async () => ({ Component: (await import('./rooms/bench/MemberBench')).MemberBench }) },
      { path: 'builtup', lazy: async () => ({ Component: (await import('./rooms/bench/BuiltUpBench')).BuiltUpBench }) },
      { path: 'chart', lazy: async () => ({ Component: (await import('./rooms/bench/ChartBench')).ChartBench }) },
      { path: 'sections', lazy: async () => ({ Component: (await import('./rooms/bench/SectionsBench')).SectionsBench }) },
    ],
  },
  { path: '*', ...opening, lazy: async () => ({ Component: (await import('./frame/NotThere')).NotThere }) },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 5_000 } } });

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
