import { createBrowserRouter } from 'react-router';
import { Failure, NoSuchPage } from './app/Failure.tsx';
import { RequireViewer } from './app/RequireViewer.tsx';
import { Shell } from './app/Shell.tsx';
import { SignIn } from './app/SignIn.tsx';
import { DrillList } from './drills/DrillList.tsx';
import { DrillPage } from './drills/DrillPage.tsx';
import { Hall } from './hall/Hall.tsx';
import { LessonPage } from './lesson/LessonPage.tsx';
import { ScoringPage } from './lesson/ScoringPage.tsx';
import { PlayerList } from './players/PlayerList.tsx';
import { PlayerPage } from './players/PlayerPage.tsx';
import { Today } from './today/Today.tsx';

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
            { path: '/hall', element: <Hall /> },
            { path: '/drills', element: <DrillList /> },
            { path: '/drills/:slug', element: <DrillPage /> },
            { path: '/lesson', element: <LessonPage /> },
            { path: '/players', element: <PlayerList /> },
            { path: '/players/:id', element: <PlayerPage /> },
            { path: '*', element: <NoSuchPage /> },
          ],
        },
      ],
    },
  ]);
}
