import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { planQuery } from '../planner/solved.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { asPlayed } from '../table/tableChoice.ts';
import { CallScoring } from './methods/CallScoring.tsx';
import { ClearanceScoring } from './methods/ClearanceScoring.tsx';
import { LandingScoring } from './methods/LandingScoring.tsx';
import { ResultScoring } from './methods/ResultScoring.tsx';
import { loadRound, type LoadedRound } from '../outbox/roundCopy.ts';
import type { Course } from '../../core/scoring/course.ts';
import type { ReviewPart } from './ScoringLayout.tsx';
import { useScoring } from './useScoring.ts';

/** The table-side screen of one round; its address can be opened on any device. */
export function ScoringPage({ review }: { readonly review: ReviewPart }) {
  const { id = '' } = useParams();
  const viewer = useViewer();
  const loaded = useQuery({
    queryKey: ['scoring', id],
    queryFn: () => loadRound(id, viewer),
    networkMode: 'always',
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
  });
  if (loaded.data === undefined) return <Loading what="the round" error={loaded.error} />;
  return <PlannedScoring key={id} loaded={loaded.data} review={review} />;
}

interface PlannedScoringProps {
  readonly loaded: LoadedRound;
  readonly review: ReviewPart;
}

function PlannedScoring({ loaded, review }: PlannedScoringProps) {
  const { open } = loaded;
  const staged = useMemo(() => atStage(open.document, open.round.stage), [open]);
  const drill = isPositionDrill(staged) ? staged : undefined;
  const plan = useQuery(planQuery(drill, asPlayed(open.tableState)));
  if (drill !== undefined && plan.data === undefined) {
    return <Loading what="the planned stroke" error={plan.error} />;
  }
  return <Scoring loaded={loaded} review={review} plan={plan.data} />;
}

interface ScoringOfRoundProps extends PlannedScoringProps {
  readonly plan: PlannedShot | undefined;
}

function Scoring({ loaded, review, plan }: ScoringOfRoundProps) {
  const { open } = loaded;
  const { round, document, tableState } = open;
  const viewer = useViewer();
  const table = useMemo(
    () => plan?.shot.table ?? tableOfCard(tableState.card, tableState.conditions?.conditions ?? null),
    [plan, tableState],
  );
  const course = useMemo(
    (): Course => ({
      counting: { drill: atStage(document, round.stage), stage: round.stage, preset: table.preset, plan },
      ladderStart: round.ladderStart,
    }),
    [document, round.stage, round.ladderStart, table, plan],
  );
  const actions = useScoring(loaded, course, table, viewer);
  const { task, scoring } = course.counting.drill;
  const props = { open, course, actions, table, review };
  if (task.kind === 'position' || task.kind === 'land') return <LandingScoring {...props} />;
  if (task.kind === 'clear' && scoring.method !== 'lives') return <ClearanceScoring {...props} />;
  if (task.kind === 'call') return <CallScoring {...props} question={task.question} />;
  return <ResultScoring {...props} />;
}
