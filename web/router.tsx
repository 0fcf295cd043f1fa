import { createBrowserRouter } from 'react-router';
import { Failure, NoSuchPage } from './app/Failure.tsx';
import { RequireViewer } from './app/RequireViewer.tsx';
import { Shell } from './app/Shell.tsx';
import { SignIn } from './app/SignIn.tsx';
import { Today } from './today/Today.tsx';

const drills = () => import('./drills/DrillList.tsx');
const designer = () => import('./designer/DesignerPage.tsx');
const startRound = () => import('./lesson/StartRoundPage.tsx');

/** Scoring, and what a round says below it. */
async function scoring() {
  const [{ ScoringPage }, { RoundBelow }] = await Promise.all([
    import('./scoring/ScoringPage.tsx'),
    import('./review/RoundBelow.tsx'),
  ]);
  return { Component: () => <ScoringPage review={RoundBelow} /> };
}

/** A player, with their programmes and reports. */
async function player() {
  const [{ PlayerPage }, { ProgrammesPart }, { ReportsPart }] = await Promise.all([
    import('./players/PlayerPage.tsx'),
    import('./programme/ProgrammesPart.tsx'),
    import('./report/ReportsPart.tsx'),
  ]);
  return { Component: () => <PlayerPage programmes={ProgrammesPart} reports={ReportsPart} /> };
}

/** Fetches what is needed at the table before it is asked for, so that it is there without network. */
export async function fetchTableSide(): Promise<void> {
  await Promise.all([drills(), startRound(), scoring()]);
}

/** Every room is loaded when it is entered, those at the table as soon as the first page stands. */
export function createRouter() {
  return createBrowserRouter([
    { path: '/sign-in', element: <SignIn />, errorElement: <Failure /> },
    {
      path: '/screen/:code/projector',
      errorElement: <Failure />,
      lazy: async () => ({ Component: (await import('./screen/ProjectorPage.tsx')).ProjectorPage }),
    },
    {
      path: '/screen/:code?',
      errorElement: <Failure />,
      lazy: async () => ({ Component: (await import('./screen/ScreenPage.tsx')).ScreenPage }),
    },
    {
      element: <RequireViewer />,
      errorElement: <Failure />,
      children: [
        {
          path: '/lesson/rounds/:id',
          lazy: scoring,
        },
        {
          path: '/drills/:slug/sheet',
          lazy: async () => ({ Component: (await import('./drills/SheetPage.tsx')).SheetPage }),
        },
        {
          element: <Shell />,
          children: [
            { path: '/', element: <Today /> },
            { path: '/hall', lazy: async () => ({ Component: (await import('./hall/Hall.tsx')).Hall }) },
            {
              path: '/hall/:id',
              lazy: async () => ({ Component: (await import('./hall/TablePage.tsx')).TablePage }),
            },
            {
              path: '/hall/:id/calibrate',
              lazy: async () => ({
                Component: (await import('./hall/calibration/CalibrationPage.tsx')).CalibrationPage,
              }),
            },
            { path: '/drills', lazy: async () => ({ Component: (await drills()).DrillList }) },
            {
              path: '/drills/new',
              lazy: async () => ({ Component: (await designer()).DesignerPage }),
            },
            {
              path: '/drills/:slug/edit',
              lazy: async () => ({ Component: (await designer()).DesignerPage }),
            },
            {
              path: '/drills/:slug',
              lazy: async () => ({ Component: (await import('./drills/DrillPage.tsx')).DrillPage }),
            },
            {
              path: '/lesson',
              lazy: async () => ({ Component: (await import('./lesson/LessonsPage.tsx')).LessonsPage }),
            },
            { path: '/lesson/round', lazy: async () => ({ Component: (await startRound()).StartRoundPage }) },
            {
              path: '/lesson/evening',
              lazy: async () => ({
                Component: (await import('./lesson/evening/PlanEveningPage.tsx')).PlanEveningPage,
              }),
            },
            {
              path: '/lesson/evening/:id',
              lazy: async () => ({
                Component: (await import('./lesson/evening/PlannedEveningPage.tsx')).PlannedEveningPage,
              }),
            },
            {
              path: '/lesson/:id',
              lazy: async () => ({ Component: (await import('./lesson/LessonPage.tsx')).LessonPage }),
            },
            {
              path: '/players',
              lazy: async () => ({ Component: (await import('./club/ClubPage.tsx')).ClubPage }),
            },
            {
              path: '/players/compare',
              lazy: async () => ({ Component: (await import('./club/ComparePage.tsx')).ComparePage }),
            },
            {
              path: '/players/evening',
              lazy: async () => ({ Component: (await import('./club/EveningPage.tsx')).EveningPage }),
            },
            {
              path: '/players/club',
              lazy: async () => ({ Component: (await import('./club/ClubCarePage.tsx')).ClubCarePage }),
            },
            {
              path: '/account',
              lazy: async () => ({ Component: (await import('./app/AccountPage.tsx')).AccountPage }),
            },
            {
              path: '/players/records',
              lazy: async () => ({ Component: (await import('./club/RecordsPage.tsx')).RecordsPage }),
            },
            {
              path: '/programmes/:id',
              lazy: async () => ({
                Component: (await import('./programme/ProgrammePage.tsx')).ProgrammePage,
              }),
            },
            {
              path: '/reports/:id',
              lazy: async () => ({ Component: (await import('./report/ReportPage.tsx')).ReportPage }),
            },
            {
              path: '/players/:id',
              lazy: player,
            },
            {
              path: '/lab',
              lazy: async () => ({ Component: (await import('./lab/stroke/LabPage.tsx')).LabPage }),
            },
            {
              path: '/lab/position',
              lazy: async () => ({
                Component: (await import('./lab/position/PositionPage.tsx')).PositionPage,
              }),
            },
            {
              path: '/lab/order',
              lazy: async () => ({ Component: (await import('./lab/order/OrderPage.tsx')).OrderPage }),
            },
            {
              path: '/lab/kick',
              lazy: async () => ({ Component: (await import('./lab/kick/KickPage.tsx')).KickPage }),
            },
            {
              path: '/lab/kick/card',
              lazy: async () => ({ Component: (await import('./lab/kick/CribPage.tsx')).CribPage }),
            },
            {
              path: '/lab/safety',
              lazy: async () => ({ Component: (await import('./lab/safety/SafetyPage.tsx')).SafetyPage }),
            },
            {
              path: '/lab/break',
              lazy: async () => ({ Component: (await import('./lab/break/BreakPage.tsx')).BreakPage }),
            },
            {
              path: '/lab/call',
              lazy: async () => ({ Component: (await import('./trainers/CallPage.tsx')).CallPage }),
            },
            {
              path: '/lab/photo',
              lazy: async () => ({ Component: (await import('./lab/photo/PhotoPage.tsx')).PhotoPage }),
            },
            { path: '*', element: <NoSuchPage /> },
          ],
        },
      ],
    },
  ]);
}
