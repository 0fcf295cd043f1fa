import { distance, type Point } from '../../math/point.ts';
import type { BallAtRest, Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { CUE_BALL } from '../../drill/layout.ts';
import { leftOnTable } from '../../planning/aftermath.ts';
import { errorAsCued } from '../../player/asCued.ts';
import { executed } from '../../player/execute.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { drawnRack, type RackWish } from '../../rack/drawnRack.ts';
import { rackIds, type RackKind } from '../../rack/rack.ts';
import { createRandom } from '../../random/random.ts';
import { wayIn } from '../../shot/kicks/way.ts';
import { ballLost } from '../../shot/outcome.ts';
import { wilson, type ShareInterval } from '../../statistics/wilson.ts';
import type { Table } from '../../table/table.ts';
import { clearsRoughly, nextPotRoughly } from '../breakGrades.ts';
import { breakShot, type BreakStroke } from './breakShot.ts';
import { wingEnd, wingPlaces, type WingEnd } from './wingBall.ts';

/** A break that is to be studied. */
export interface BreakQuestion {
  readonly table: Table;
  readonly rack: RackWish;
  readonly stroke: BreakStroke;
  /** The breaker's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees). */
  readonly error: ExecutionError;
  /** Breaks that are played, ≥ 1, and the seed of racks and errors. */
  readonly breaks: number;
  readonly seed: number;
}

/** One played break. */
export interface PlayedBreak {
  /** The balls that fell, by their places in the rack. */
  readonly down: readonly number[];
  /** Where the cue ball rests, metres; undefined when it fell or left the table. */
  readonly cueAt: Point | undefined;
  /** No ball was met, the cue ball or a ball was lost, or at a break-off a colour was met first or fell. */
  readonly foul: boolean;
  readonly inOff: boolean;
  readonly offTable: boolean;
  readonly wings: readonly [right: WingEnd, left: WingEnd];
  /** Where the balls rest by their places in the rack; undefined for those that fell. */
  readonly rests: readonly (Point | undefined)[];
  /** Balls of the rack that were moved by more than their own width, or fell. */
  readonly disturbed: number;
  /** Of the next shot, and of clearing what is left from a good place each time, roughly, 0…1; 0 after a foul. */
  readonly next: number;
  /** Undefined where it was not looked at. */
  readonly clears: number | undefined;
}

/** Shares of ends over all breaks. */
export type WingShares = Readonly<Record<WingEnd, number>>;

/** What many breaks come to. */
export interface BreakStudy {
  readonly breaks: number;
  /** That each ball of the rack falls, by its place. */
  readonly falls: readonly ShareInterval[];
  /** The wing ball on the cue ball's side of the table, and the other one. */
  readonly near: WingShares;
  readonly far: WingShares;
  readonly ballsDown: number;
  /** No ball fell. */
  readonly dry: ShareInterval;
  readonly inOff: ShareInterval;
  readonly offTable: ShareInterval;
  /** A ball down without a foul. */
  readonly made: ShareInterval;
  /** Means: of the next pot over all breaks, of clearing over some; undefined at snooker. */
  readonly next: number;
  readonly clears: number | undefined;
  /** Mean number of balls of the rack that were moved by more than their own width. */
  readonly disturbed: number;
  /** The cue ball came back to the head cushion without a foul, as a break-off is to: within BACK of it. */
  readonly back: ShareInterval;
  /** Mean share of the balls left that lie in the head half, 0…1. */
  readonly headHalf: number;
  readonly cueRests: readonly Point[];
  readonly played: readonly PlayedBreak[];
}

/** A break-off's cue ball is back when it rests so near to the head cushion, metres. */
export const BACK = 0.3;
/** Of so many breaks it is looked at how likely the rest is cleared: it takes longer than the break. */
const CLEARS_LOOKED_AT = 40;

/**
 * Plays one break.
 * @param shot with the balls of the rack after the cue ball, by their places, then any others @param valued whether clearing is looked at, too
 */
export function playedBreak(shot: Shot, kind: RackKind, valued: boolean): PlayedBreak {
  const { table } = shot;
  const result = simulate(shot);
  const { rest } = result;
  const racked = shot.balls.slice(1, 1 + rackIds(kind).length);
  const places = racked.map((_, i) => {
    const at = rest[i + 1];
    return at === undefined || at.pocket !== null || at.offTable ? undefined : { x: at.x, y: at.y };
  });
  const after = leftOnTable(shot.balls, rest);
  const cue = after.find(({ id }) => id === CUE_BALL);
  const objects = after.filter((ball) => ball !== cue);
  const offTable = ballLost(rest);
  const { first } = wayIn(result.events, CUE_BALL, Infinity);
  const foul = cue === undefined || offTable || first === undefined || isBreakOffFoul(kind, first, rest);
  const idAt = (place: number) => racked[place]?.id ?? '';
  const [right, left] = wingPlaces(kind);
  return {
    down: racked.flatMap(({ id }, i) =>
      rest.some((ball) => ball.id === id && ball.pocket !== null) ? [i] : [],
    ),
    cueAt: cue && { x: cue.x, y: cue.y },
    foul,
    inOff: rest.some(({ id, pocket }) => id === CUE_BALL && pocket !== null),
    offTable,
    wings: [wingEnd(result, idAt(right), 'right'), wingEnd(result, idAt(left), 'left')],
    rests: places,
    disturbed: racked.filter((ball, i) => {
      const at = places[i];
      return at === undefined || distance(at, ball) > 2 * ball.radius;
    }).length,
    next: foul ? 0 : nextPotRoughly(table, kind, cue, objects),
    clears: !valued || kind === 'reds' ? undefined : foul ? 0 : clearsRoughly(table, objects),
  };
}

/** At a break-off a colour must neither be met first nor fall. @param first the ball met first */
export function isBreakOffFoul(
  kind: RackKind,
  first: string | undefined,
  rest: readonly BallAtRest[],
): boolean {
  if (kind !== 'reds') return false;
  const isColour = (id: string) => id !== CUE_BALL && !id.startsWith('red');
  return (
    first === undefined || isColour(first) || rest.some(({ id, pocket }) => pocket !== null && isColour(id))
  );
}

/**
 * One of the breaks of a question as it is executed: the rack drawn, the breaker's errors in the stroke.
 * @param k its number, an integer ≥ 0 @throws RangeError for a rack or a stroke that cannot be
 */
export function drawnBreak(
  { table, rack, stroke, error, seed }: Omit<BreakQuestion, 'breaks'>,
  k: number,
): Shot {
  const random = createRandom(seed).fork(k);
  const planned = breakShot(table, drawnRack(rack, table.preset, random), stroke);
  return executed(planned, errorAsCued(planned, error), random);
}

/**
 * Plays a break many times: each with a rack drawn anew and the breaker's own errors.
 * @param onShare told what share is done, 0…1
 * @throws RangeError for fewer than one break, or a rack or a stroke that cannot be
 */
export function studyBreak(
  question: BreakQuestion,
  onShare: (share: number) => void = () => undefined,
): BreakStudy {
  const { table, rack, stroke, breaks } = question;
  if (!(breaks >= 1)) throw new RangeError('studyBreak: breaks must be at least 1');
  const played: PlayedBreak[] = [];
  for (let k = 0; k < breaks; k++) {
    played.push(playedBreak(drawnBreak(question, k), rack.kind, k < CLEARS_LOOKED_AT));
    onShare((k + 1) / breaks);
  }
  return summedBreaks(table, played, stroke);
}

const meanOf = (values: readonly number[]) =>
  values.length === 0 ? undefined : values.reduce((sum, value) => sum + value, 0) / values.length;

/** What breaks that were played with a stroke come to. @param played at least one */
export function summedBreaks(
  table: Table,
  played: readonly PlayedBreak[],
  { from }: Pick<BreakStroke, 'from'>,
): BreakStudy {
  const nearSide = from.y < table.width / 2 ? 0 : 1;
  const n = played.length;
  const share = (holds: (one: PlayedBreak) => boolean) => wilson(played.filter(holds).length, n);
  const mean = (of: (one: PlayedBreak) => number) => played.reduce((sum, one) => sum + of(one), 0) / n;
  const ended = (side: 0 | 1, end: WingEnd) => played.filter(({ wings }) => wings[side] === end).length / n;
  const wing = (side: 0 | 1): WingShares => ({
    in: ended(side, 'in'),
    high: ended(side, 'high'),
    low: ended(side, 'low'),
    'knocked away': ended(side, 'knocked away'),
    short: ended(side, 'short'),
  });
  const inHeadHalf = ({ rests }: PlayedBreak) => {
    const left = rests.filter((at) => at !== undefined);
    return left.length === 0 ? 0 : left.filter(({ x }) => x < table.length / 2).length / left.length;
  };
  const balls = played[0]?.rests.length ?? 0;
  return {
    breaks: n,
    falls: Array.from({ length: balls }, (_, place) => share(({ down }) => down.includes(place))),
    near: wing(nearSide),
    far: wing(nearSide === 0 ? 1 : 0),
    ballsDown: mean(({ down }) => down.length),
    dry: share(({ down }) => down.length === 0),
    inOff: share(({ inOff }) => inOff),
    offTable: share(({ offTable }) => offTable),
    made: share(({ down, foul }) => down.length > 0 && !foul),
    next: mean(({ next }) => next),
    clears: meanOf(played.flatMap(({ clears }) => clears ?? [])),
    disturbed: mean(({ disturbed }) => disturbed),
    back: share(({ foul, cueAt }) => !foul && cueAt !== undefined && cueAt.x < BACK),
    headHalf: mean(inHeadHalf),
    cueRests: played.flatMap(({ cueAt }) => cueAt ?? []),
    played,
  };
}
