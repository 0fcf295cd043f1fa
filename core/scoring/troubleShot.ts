import { blankDrill, slugOf } from '../drill/draft.ts';
import { CUE_BALL } from '../drill/layout.ts';
import { sharePlace } from '../drill/sharePlace.ts';
import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { potLines, potOptions } from '../planning/potOptions.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { LoggedShot } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import type { PocketName } from '../table/pockets.ts';
import { liesAfter } from './liesAfter.ts';
import type { Table } from '../table/table.ts';

/** A shot of an attempt with what lay on the table before it. */
interface Before {
  /** Where the cue ball lay; undefined where nobody marked it. */
  readonly cue: Point | undefined;
  readonly balls: readonly BallOnTable[];
  /** The chance of the ball that was played, by this player; undefined where the cue ball's place is not known. */
  readonly chance: number | undefined;
  readonly pocket: PocketName | undefined;
}

/** What lay on the table before a shot, and what was played. */
export interface PositionBefore {
  readonly cue: Point;
  readonly balls: readonly BallOnTable[];
  readonly ball: string;
  readonly pocket: PocketName;
  /** The ball that was to come next, and its pocket; undefined for the last ball. */
  readonly next: { readonly ball: string; readonly pocket: PocketName } | undefined;
}

/** The shot that began the trouble in which an attempt failed. */
export interface TroubleShot extends PositionBefore {
  /** From 1. */
  readonly shot: number;
  /** The shot that failed, from 1: the same where it was an easy one. */
  readonly failed: number;
  /** Chances of the ball played, before this shot and before the one that failed. */
  readonly chance: number;
  readonly chanceFailed: number;
}

/** Below this chance a shot is hard: whoever left it has made the trouble. */
const HARD = 0.6;

function before(
  table: Table,
  balls: readonly BallOnTable[],
  cue: Point | undefined,
  { ball, pocket }: LoggedShot,
  error: ExecutionError,
): Before {
  if (cue === undefined || ball === null) return { cue, balls, chance: undefined, pocket: undefined };
  const lines = potLines(table, balls, [ball], acceptanceNear);
  const options = potOptions(table, cueBallAt(table, cue, CUE_BALL), lines, balls, error);
  const meant = pocket === null ? options[0] : options.find(({ line }) => line.pocket === pocket);
  return { cue, balls, chance: meant?.chance ?? 0, pocket: meant?.line.pocket ?? pocket ?? undefined };
}

/**
 * Which shot of a failed attempt began the trouble: from the shot that failed back as long as the balls played were hard,
 * to the shot that left them. A shot that failed though it was easy is its own beginning. Balls lie where they were set
 * until they fall, or where a shot is said to have moved them; the cue ball where its landings were marked.
 * @param set the object balls at the start, and the cue ball's place where the drill gives one
 * @param shots all of the attempt, the last one the shot that failed
 * @returns undefined where the landings that it takes were not marked, or nothing failed
 */
export function troubleShot(
  table: Table,
  set: { readonly balls: readonly BallOnTable[]; readonly cue: Point | undefined },
  shots: readonly LoggedShot[],
  error: ExecutionError,
): TroubleShot | undefined {
  const states: Before[] = [];
  let balls = set.balls;
  let cue = set.cue;
  for (const shot of shots) {
    states.push(before(table, balls, cue, shot, error));
    balls = liesAfter(balls, [shot]).filter(({ id }) => !shot.potted.includes(id));
    cue = shot.landing ?? undefined;
  }
  const failed = shots.length - 1;
  const last = shots[failed];
  const lastChance = states[failed]?.chance;
  if (last === undefined || lastChance === undefined || (last.potted.length > 0 && !last.inOff)) {
    return undefined;
  }
  let begun = failed;
  while (begun > 0 && (states[begun]?.chance ?? 1) < HARD) begun--;
  const [state, shot] = [states[begun], shots[begun]];
  if (state?.cue === undefined || state.chance === undefined || state.pocket === undefined) return undefined;
  if (shot?.ball === undefined || shot.ball === null) return undefined;
  const [after, afterShot] = [states[begun + 1], shots[begun + 1]];
  const nextBall = afterShot?.ball ?? undefined;
  const next =
    nextBall !== undefined && after?.pocket !== undefined
      ? { ball: nextBall, pocket: after.pocket }
      : undefined;
  return {
    shot: begun + 1,
    failed: failed + 1,
    chance: state.chance,
    chanceFailed: lastChance,
    cue: state.cue,
    balls: state.balls,
    ball: shot.ball,
    pocket: state.pocket,
    next,
  };
}

/** Another ball that lies open, for a drill that needs a next one. */
function openBall(table: Table, { ball, balls }: PositionBefore): PositionBefore['next'] {
  const left = balls.filter(({ id }) => id !== ball);
  const [line] = potLines(
    table,
    left,
    left.map(({ id }) => id),
    acceptanceNear,
  );
  return line && { ball: line.ball, pocket: line.pocket };
}

/**
 * A new drill that sets the position before a shot again: the ball to pot, and the next one; where the trouble shot was
 * the last, another ball that lies open.
 */
export function drillFromTrouble(table: Table, trouble: PositionBefore, of: Pick<Drill, 'title'>): Drill {
  const { preset } = table;
  const blank = blankDrill(preset.id);
  const place = (at: Point) => sharePlace(preset, at);
  const { ball, pocket } = trouble;
  const next = trouble.next ?? openBall(table, trouble);
  const title = `${of.title.slice(0, 60)}: the ${ball}`;
  return {
    ...blank,
    title,
    slug: slugOf(title),
    purpose: `The shot that began the trouble in “${of.title}”.`,
    balls: [
      { id: CUE_BALL, at: place(trouble.cue) },
      ...trouble.balls.map(({ id, x, y }) => ({ id, at: place({ x, y }) })),
    ],
    task:
      next === undefined
        ? { kind: 'land', pot: { ball, pocket } }
        : { kind: 'position', pot: ball, pocket, next },
  };
}
