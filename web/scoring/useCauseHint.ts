import { skipToken, useQuery } from '@tanstack/react-query';
import { executionErrorOf } from '../../core/player/levels.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { attribute } from '../../core/scoring/attribution.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { asPlayed } from '../table/tableChoice.ts';
import { useFittedPlayer } from '../planner/useFittedPlayer.ts';
import { strokeCloudOf } from '../workers/solver.ts';
import { attributionWords } from './landingWords.ts';
import type { CauseHint } from './LastShot.tsx';
import type { Course } from '../../core/scoring/course.ts';
import type { ScoringActions } from './useScoring.ts';

/** The level whose errors are assumed of a player who has not played enough yet. */
const ASSUMED = 'team';

/** Why the last shot ended where it did, for this player's sizes of errors; undefined where nothing is to be said. */
export function useCauseHint(
  open: OpenRound,
  course: Course,
  actions: ScoringActions,
): CauseHint | undefined {
  const { drill, preset, plan } = course.counting;
  const position = isPositionDrill(drill) ? drill : undefined;
  const assumed = executionErrorOf(ASSUMED, preset.game);
  const { fitted } = useFittedPlayer(
    position === undefined ? null : open.round.player.id,
    preset.game,
    assumed,
  );
  const sizes = fitted?.error ?? assumed;
  const on = asPlayed(open.tableState);
  const cloud = useQuery({
    queryKey: ['stroke cloud', position, on, sizes],
    queryFn:
      position === undefined || plan === undefined ? skipToken : () => strokeCloudOf(position, on, sizes),
    staleTime: Infinity,
    networkMode: 'always',
  });
  const last = actions.scoring.attempts.at(-1);
  const shot = last?.log.shots[0];
  if (cloud.data === undefined || position === undefined || shot === undefined) return undefined;
  if (shot.landing === null || shot.inOff) return undefined;
  const answer = attribute(cloud.data, shot.landing, shot.potted.includes(position.task.pot));
  return {
    words: attributionWords(answer),
    confirm:
      answer.kind === 'told' ? () => actions.note({ cause: answer.cause, causeBy: 'hint' }) : undefined,
  };
}
