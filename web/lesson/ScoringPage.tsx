import { useMediaQuery } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useParams } from 'react-router';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill, type PositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { OpenRound } from '../../core/records/club.ts';
import { labAddress } from '../lab/position/positionSetting.ts';
import { planQuery } from '../api/queries.ts';
import { NoSuchPage } from '../app/Failure.tsx';
import { Loading } from '../app/Loading.tsx';
import { asPlayed } from '../hall/tableChoice.ts';
import { DrillDrawing } from '../drills/DrillDrawing.tsx';
import { LineKey } from '../table/LineKey.tsx';
import { LandingMark } from '../table/marks.tsx';
import { EndDialog } from './EndDialog.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { loadRound } from './roundStore.ts';
import { ScoringPad } from './ScoringPad.tsx';
import { ScoringHead } from './ScoringHead.tsx';
import { ShotStrip } from './ShotStrip.tsx';
import { useScoring } from './useScoring.ts';
import { useScoringKeys } from './useScoringKeys.ts';

/** The table-side screen of one round; its address can be opened on any device. */
export function ScoringPage() {
  const { id = '' } = useParams();
  const open = useQuery({
    queryKey: ['scoring', id],
    queryFn: () => loadRound(id),
    networkMode: 'always',
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
  });
  if (open.data === undefined) return <Loading what="the round" error={open.error} />;
  return <PlannedScoring open={open.data} />;
}

function PlannedScoring({ open }: { readonly open: OpenRound }) {
  const staged = atStage(open.document, open.round.stage);
  const drill = isPositionDrill(staged) ? staged : undefined;
  const plan = useQuery(planQuery(drill, asPlayed(open.tableState)));
  if (drill === undefined) return <NoSuchPage />;
  if (plan.data === undefined) return <Loading what="the planned stroke" error={plan.error} />;
  return <Scoring open={open} drill={drill} plan={plan.data} />;
}

interface ScoringProps {
  readonly open: OpenRound;
  /** As it is played at the round's stage. */
  readonly drill: PositionDrill;
  readonly plan: PlannedShot;
}

type Dialog = 'keys' | 'end' | undefined;

function Scoring({ open, drill, plan }: ScoringProps) {
  const portrait = useMediaQuery('(orientation: portrait)', false, { getInitialValueInEffect: false });
  const orientation = portrait ? 'portrait' : 'landscape';
  const actions = useScoring(open, plan);
  const { scoring } = actions;
  const [dialog, setDialog] = useState<Dialog>();
  const askEnd = useCallback(() => setDialog(scoring.ended === null ? 'end' : undefined), [scoring.ended]);
  const showKeys = useCallback(() => setDialog('keys'), []);
  useScoringKeys({ actions, orientation, onHelp: showKeys, onEnd: askEnd, paused: dialog !== undefined });

  const landings = scoring.attempts.flatMap(({ landing, ordinal }) =>
    landing === null ? [] : [{ landing, ordinal }],
  );
  const lastOrdinal = scoring.attempts.at(-1)?.ordinal;
  return (
    <main className="scoring">
      <ScoringHead
        open={open}
        scoring={scoring}
        storeFailed={actions.storeFailed}
        labTo={labAddress(plan.shot, drill.task)}
      />
      <div className="scoring-table">
        <DrillDrawing
          drill={drill}
          stage={open.round.stage}
          plan={plan}
          orientation={orientation}
          {...(scoring.ended === null ? { onTap: actions.landed } : {})}
        >
          {landings.map(({ landing, ordinal }) => (
            <LandingMark key={ordinal} at={landing} ordinal={ordinal} strong={ordinal === lastOrdinal} />
          ))}
          {scoring.waitsFor === 'landing' && <LandingMark at={scoring.cursor} strong />}
        </DrillDrawing>
        <div className="scoring-aside">
          <LineKey
            cueBall="cue ball, planned"
            objectBall="object ball"
            window={`on the ${drill.task.next.ball}`}
            landings
          />
        </div>
        <ShotStrip attempts={scoring.attempts} shots={scoring.shots} />
      </div>
      <ScoringPad open={open} drill={drill} plan={plan} actions={actions} onEnd={askEnd} onKeys={showKeys} />
      <KeysDialog opened={dialog === 'keys'} onClose={() => setDialog(undefined)} />
      <EndDialog
        opened={dialog === 'end'}
        played={scoring.attempts.length}
        shots={scoring.shots}
        onEnd={() => {
          actions.endEarly();
          setDialog(undefined);
        }}
        onClose={() => setDialog(undefined)}
      />
    </main>
  );
}
