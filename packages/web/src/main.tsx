import '@fontsource-variable/source-sans-3/index.css';
import '@mantine/core/styles.css';
import '@mantine/notifications/styles.css';
import './app/app.css';
import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { makeStore } from './app/store.ts';
import { theme, variables } from './app/theme.ts';
import { JobsPage } from './features/jobs/JobsPage.tsx';

const router = createBrowserRouter([
  { path: '/', element: <JobsPage /> },
  {
    path: '/jobs/:jobId/:stage?/:roomId?',
    lazy: async () => ({ Component: (await import('./features/job/JobPage.tsx')).JobPage }),
    hydrateFallbackElement: <></>,
  },
  {
    path: '/jobs/:jobId/sheets',
    lazy: async () => ({
      Component: (await import('./features/walk-sheet/WalkSheetsPage.tsx')).WalkSheetsPage,
    }),
    hydrateFallbackElement: <></>,
  },
  {
    path: '/stand-in',
    lazy: async () => ({ Component: (await import('./features/stand-in/StandInPage.tsx')).StandInPage }),
    hydrateFallbackElement: <></>,
  },
  {
    path: '/rack',
    lazy: async () => ({ Component: (await import('./features/rack/RackPage.tsx')).RackPage }),
    hydrateFallbackElement: <></>,
  },
  {
    path: '/bench/:sheetKey?',
    lazy: async () => ({ Component: (await import('./features/bench/BenchPage.tsx')).BenchPage }),
    hydrateFallbackElement: <></>,
  },
  { path: '*', element: <JobsPage /> },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={makeStore()}>
      <MantineProvider theme={theme} cssVariablesResolver={variables} defaultColorScheme="light">
        <Notifications position="bottom-right" />
        <RouterProvider router={router} />
      </MantineProvider>
    </Provider>
  </StrictMode>,
);
