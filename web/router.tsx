import { createBrowserRouter } from 'react-router';
import { Failure, NoSuchPage } from './app/Failure.tsx';
import { RequireViewer } from './app/RequireViewer.tsx';
import { Shell } from './app/Shell.tsx';
import { SignIn } from './app/SignIn.tsx';
import { DrillList } from './drills/DrillList.tsx';
import { LessonPage } from './lesson/LessonPage.tsx';
import { ScoringPage } from './lesson/ScoringPage.tsx';
import { Today } from './today/Today.tsx';

/** What is needed at the table is loaded at once, so that it is there without network; other rooms when entered. */
export function createRouter() {
  return createBrowserRouter([
    { path: '/sign-in', element: <SignIn />, errorElement: <Failure /> },
    {
      element: <RequireViewer />,
      errorElement: <Failure />,
      children: [
        { path: '/lesson/rounds/:id', element: <ScoringPage /> },
        {
          element: <Shell />,
          children: [
            { path: '/', element: <Today /> },
            { path: '/hall', lazy: async () => ({ Component: (await import('./hall/Hall.tsx')).Hall }) },
            { path: '/drills', element: <DrillList /> },
            {
              path: '/drills/:slug',
              lazy: async () => ({ Component: (await import('./drills/DrillPage.tsx')).DrillPage }),
            },
            { path: '/lesson', element: <LessonPage /> },
            {
              path: '/players',
              lazy: async () => ({ Component: (await import('./players/PlayerList.tsx')).PlayerList }),
            },
            {
              path: '/players/:id',
              lazy: async () => ({ Component: (await import('./players/PlayerPage.tsx')).PlayerPage }),
            },
            {
              path: '/lab',
              lazy: async () => ({ Component: (await import('./lab/LabPage.tsx')).LabPage }),
            },
            { path: '*', element: <NoSuchPage /> },
          ],
        },
      ],
    },
  ]);
}
