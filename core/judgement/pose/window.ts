import { distance } from '../../math/point.ts';
import { potLines } from '../../planning/potOptions.ts';
import { paceWindow } from '../../planning/stops.ts';
import { windowAmong } from '../../planning/windowAmong.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { acceptanceNear } from '../../shot/acceptanceNear.ts';
import type { PocketName } from '../../table/pockets.ts';
import type { DifficultyRanges } from '../kinds.ts';
import type { CallQuestion } from '../question.ts';
import type { Poser } from './poser.ts';
import { ballAt, BALLS, randomPot, somePocket, somewhere, type Posed } from './randomPot.ts';

/** A window is asked for a team player at this confidence. */
const CONFIDENCE = 0.7;
/** Steps of its grid: for a first look, and for the answer, metres. */
const ROUGH_STEP = 0.09;
const FINE_STEP = 0.025;

/** Lengths of a difficulty, metres: short windows are harder to see. */
const LENGTHS: DifficultyRanges = {
  plain: [0.9, 9],
  fair: [0.45, 0.9],
  close: [0.2, 0.45],
  'hair-fine': [0.05, 0.2],
};

/** A pot, and a next ball on which the cue ball's stops are for a while. */
export const poseWindow: Poser = (table, random, { difficulty }) => {
  const posed = randomPot(table, random);
  if (posed === undefined) return undefined;
  const next = ballAt(table, BALLS[table.preset.game][1], somewhere(table, random, 0.12));
  if (posed.shot.balls.some((ball) => distance(ball, next) < 0.15)) return undefined;
  const pocket = somePocket(random);
  const asked = { ...posed, shot: { ...posed.shot, balls: [...posed.shot.balls, next] } };
  const [least, most] = LENGTHS[difficulty];
  // A rough look first: most positions are not of the length.
  const rough = onFor(asked, next.id, pocket, ROUGH_STEP);
  if (rough < 0.5 * least || rough > 2 * most) return undefined;
  const question = windowOf(asked, next.id, pocket);
  if (question?.kind !== 'how long is the window') return undefined;
  return question.truth >= least && question.truth < most ? question : undefined;
};

/** How long a stroke's stops are on a ball into a pocket, metres. @param step of the window's grid */
function onFor({ shot, pot, pocket }: Posed, next: string, nextPocket: PocketName, step: number): number {
  const objects = shot.balls.filter(({ id }) => id !== shot.strike.ball && id !== pot);
  const error = executionErrorOf('team', shot.table.preset.game);
  const lines = potLines(shot.table, objects, [next], acceptanceNear, [nextPocket]);
  if (lines.length === 0) return 0;
  return paceWindow(shot, {
    task: { object: pot, pocket },
    wanted: { balls: [next], pockets: [nextPocket] },
    window: windowAmong(shot.table, lines, objects, error, { step }),
    error,
    confidence: CONFIDENCE,
  }).length;
}

/** Asks of a stroke for how long it is on a ball into a pocket. */
export function windowOf(posed: Posed, next: string, nextPocket: PocketName): CallQuestion | undefined {
  const length = onFor(posed, next, nextPocket, FINE_STEP);
  return length < LENGTHS['hair-fine'][0]
    ? undefined
    : { kind: 'how long is the window', ...posed, next, nextPocket, truth: length };
}
