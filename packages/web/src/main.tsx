import '@fontsource-variable/source-sans-3/index.css';
import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import './app/app.css';
import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter, Navigate, RouterProvider, type RouteObject } from 'react-router';
import { api } from './api/api.ts';
import { startOffline } from './session/offline.ts';
import { startSession } from './session/start.ts';
import { makeStore } from './session/store.ts';
import { Broken } from './app/Broken.tsx';
import { Gate } from './app/Gate.tsx';
import { OrgSyncStatus } from './app/OrgSyncStatus.tsx';
import { Root } from './app/Root.tsx';
import { SkipLink } from './app/SkipLink.tsx';
import { keepFocus } from './shared/fields/keep-focus.ts';
import { theme, variables } from './app/theme.ts';
import { JobsPage } from './features/jobs/JobsPage.tsx';
import { language } from './messages/language.ts';
import { loadTexts } from './messages/load-texts.ts';

/** A screen with the texts of the core that the list of jobs does without. */
const withTexts = async <Screen,>(screen: Promise<Screen>): Promise<Screen> => {
  const [loaded] = await Promise.all([screen, loadTexts()]);
  return loaded;
};
const loadJob = () => withTexts(import('./app/job/JobPage.tsx'));
const jobs = <JobsPage onIdle={() => void loadJob().catch(() => undefined)} />;

const routes: readonly RouteObject[] = [
  { path: '/', element: jobs },
  { path: '/jobs/:jobId/:stage?/:roomId?', lazy: async () => ({ Component: (await loadJob()).JobPage }) },
  {
    path: '/jobs/:jobId/sheets',
    lazy: async () => ({
      Component: (await withTexts(import('./features/walk-sheet/WalkSheetsPage.tsx'))).WalkSheetsPage,
    }),
  },
  {
    path: '/stand-in',
    lazy: async () => ({
      Component: (await withTexts(import('./features/stand-in/StandInPage.tsx'))).StandInPage,
    }),
  },
  { path: '/rack', element: <Navigate to="/library/rack" replace /> },
  {
    path: '/library/:part?',
    lazy: async () => ({ Component: (await withTexts(import('./app/LibraryPage.tsx'))).LibraryPage }),
  },
  {
    path: '/together',
    lazy: async () => ({
      Component: (await withTexts(import('./features/shared-purchase/SharedPurchasePage.tsx'))).TogetherPage,
    }),
  },
  {
    path: '/crew',
    lazy: async () => ({ Component: (await withTexts(import('./features/crew/CrewPage.tsx'))).CrewPage }),
  },
  {
    path: '/changes/:jobId?',
    lazy: async () => ({
      Component: (await withTexts(import('./features/changes/ChangesPage.tsx'))).ChangesPage,
    }),
  },
  {
    path: '/join/:token',
    lazy: async () => ({ Component: (await withTexts(import('./features/crew/JoinPage.tsx'))).JoinPage }),
  },
  {
    path: '/bench/:sheetKey?',
    lazy: async () => ({ Component: (await withTexts(import('./features/bench/BenchPage.tsx'))).BenchPage }),
  },
  { path: '*', element: jobs },
];

const router = createBrowserRouter([
  {
    element: <Root />,
    children: routes.map((route) => ({
      ...route,
      errorElement: <Broken />,
      hydrateFallbackElement: <></>,
    })),
  },
] as RouteObject[]);

document.documentElement.lang = language;

const store = makeStore();
// Asked for while the page is still being put together: both are wanted at once.
void store.dispatch(api.endpoints.session.initiate());
if (window.location.pathname === '/') void store.dispatch(api.endpoints.jobs.initiate());
void startSession(store);
startOffline();
keepFocus();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <MantineProvider theme={theme} cssVariablesResolver={variables} defaultColorScheme="auto">
        <Notifications position="bottom-right" />
        <SkipLink />
        <OrgSyncStatus />
        <Gate>
          <RouterProvider router={router} />
        </Gate>
      </MantineProvider>
    </Provider>
  </StrictMode>,
);
