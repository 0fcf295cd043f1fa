import { toRadians } from '../../math/angle.ts';
import { simulate } from '../../motion/simulate.ts';
import type { BallAtRest, ShotResult } from '../../motion/shot.ts';
import type { PocketName } from '../../table/pockets.ts';
import { directionsWhere, middleOf, type DirectionRange } from '../directions.ts';
import { aimPointOf, type AimPoint } from './aimPoint.ts';
import { hitOf, isLegalHit } from './hit.ts';
import { stretchesOf, type Stretch } from './stretches.ts';
import { kickShot, wayKey, wayOf, type KickPosition, type KickStroke, type Way } from './way.ts';

/** Pots inside a line are looked for in steps of this or finer, and a side of the ball in so many steps. */
const POT_STEP = toRadians(0.03);
const FEWEST_STEPS = 24;

/** What is wanted of a kick. */
export interface KickWish {
  /** Balls any of which may be met first; undefined for any ball. */
  readonly targets: readonly string[] | undefined;
  /** The side of the ball that is to be met, as the cue ball comes; undefined for either. */
  readonly side?: 'left' | 'right' | undefined;
  /** The pocket into which the first ball is to go; undefined for none. */
  readonly pocket?: PocketName | undefined;
  /** Cushions before the ball, at most; 0…8. */
  readonly mostCushions: number;
  /** And at least; none where it is left out. */
  readonly fewestCushions?: number | undefined;
  /** Exactly these cushions, in order; any where it is left out. */
  readonly cushions?: readonly string[] | undefined;
  /** Whether the cue ball is struck without side. */
  readonly noSide?: boolean | undefined;
}

/** What a played kick comes to. */
export interface KickOutcome {
  /** Where the first ball falls; null where it does not. */
  readonly pot: PocketName | null;
  readonly inOff: boolean;
  /** By the game's rules, the wanted ball met first. */
  readonly legal: boolean;
  /** Where all balls are in the end. */
  readonly rest: readonly BallAtRest[];
  /** Share of the ball's width that is covered, 0…1. */
  readonly covered: number;
}

/** Directions in which the first ball falls. */
export interface PotStretch extends DirectionRange {
  readonly pocket: PocketName;
}

/** A line: a stretch of directions that leads to the wanted ball by the same cushions. */
export interface KickLine extends DirectionRange {
  readonly stroke: KickStroke;
  readonly cushions: readonly string[];
  readonly first: string;
  /** Where the cue points, at the middle of the line; undefined for a line without a cushion. */
  readonly aim: AimPoint | undefined;
  /** How wide the line is where the cue points at the cushion, metres; undefined where it goes round a corner. */
  readonly widthAtAim: number | undefined;
  /** What a miss on either side meets. */
  readonly below: Way;
  readonly above: Way;
  /** Share of the ball that is covered at its low end, in the middle and at its high end. */
  readonly covered: readonly [low: number, middle: number, high: number];
  readonly middle: KickOutcome;
  readonly pots: readonly PotStretch[];
}

/**
 * The lines of a stroke: for every stretch of directions that leads to a wanted ball, where to aim, how wide it is, and what
 * comes of it.
 * @returns the widest first
 */
export function kickLines(position: KickPosition, stroke: KickStroke, wish: KickWish): readonly KickLine[] {
  return stretchesOf(position, stroke, wish.mostCushions, meetsWanted(wish))
    .flatMap((stretch) => linesIn(position, stroke, wish, stretch))
    .sort((a, b) => b.high - b.low - (a.high - a.low));
}

/** Whether a way meets one of the balls that are wanted, by the cushions that are asked for. */
export function meetsWanted({ targets, fewestCushions = 0, cushions: by }: KickWish): (way: Way) => boolean {
  return ({ first, cushions }) =>
    first !== undefined &&
    (targets === undefined || targets.includes(first)) &&
    cushions.length >= fewestCushions &&
    (by === undefined || cushions.join() === by.join());
}

/** What of a stretch does what is wished: all of it, or those parts that meet the side or pot the ball. */
export function linesIn(
  position: KickPosition,
  stroke: KickStroke,
  { side, pocket }: KickWish,
  stretch: Stretch,
): readonly KickLine[] {
  const { way, low, high } = stretch;
  const first = way.first ?? '';
  const play = playedBefore(position, stroke, first);
  const step = Math.max(1e-6, Math.min(POT_STEP, (high - low) / FEWEST_STEPS));
  const pockets = new Set<PocketName>();
  for (let direction = low; direction <= high; direction += step) {
    const { pot } = play(direction);
    if (pot !== null) pockets.add(pot);
  }
  const pots = [...pockets]
    .flatMap((name) =>
      directionsWhere(low, high, step, (direction) => play(direction).pot === name).map(
        (range): PotStretch => ({ ...range, pocket: name }),
      ),
    )
    .sort((a, b) => a.low - b.low);
  const ranges =
    pocket !== undefined
      ? pots.filter((pot) => pot.pocket === pocket)
      : side !== undefined
        ? directionsWhere(low, high, step, (direction) => play(direction).side === side)
        : [stretch];
  return ranges.map((range): KickLine => {
    const middle = middleOf(range);
    const { outcome } = play(middle);
    const aim = way.cushions.length === 0 ? undefined : aimPointOf(position, middle);
    const ends = [range.low, range.high].map((end) => aimPointOf(position, end));
    const [one, other] = ends;
    const isBorder = (end: number) => end === low || end === high;
    const beside = (end: number, outside: Way) =>
      isBorder(end) ? outside : wayOf(kickShot(position, stroke, end), way.cushions.length);
    return {
      low: range.low,
      high: range.high,
      stroke,
      cushions: way.cushions,
      first,
      aim,
      widthAtAim:
        aim === undefined || one?.cushion !== other?.cushion || one === undefined || other === undefined
          ? undefined
          : Math.hypot(one.at.x - other.at.x, one.at.y - other.at.y),
      below: beside(range.low, stretch.below),
      above: beside(range.high, stretch.above),
      covered: [play(range.low).outcome.covered, outcome.covered, play(range.high).outcome.covered],
      middle: outcome,
      pots: pots.filter((pot) => pot.high > range.low && pot.low < range.high),
    };
  });
}

interface PlayedKick {
  readonly pot: PocketName | null;
  readonly side: 'left' | 'right';
  readonly outcome: KickOutcome;
}

/** Plays directions once each. */
function playedBefore(
  position: KickPosition,
  stroke: KickStroke,
  first: string,
): (direction: number) => PlayedKick {
  const known = new Map<number, PlayedKick>();
  return (direction) => {
    const before = known.get(direction);
    if (before !== undefined) return before;
    const shot = kickShot(position, stroke, direction);
    const played = outcomeOf(simulate(shot, { paths: true }), position, first);
    known.set(direction, played);
    return played;
  };
}

function outcomeOf(result: ShotResult, { cue, table }: KickPosition, wanted: string): PlayedKick {
  const hit = hitOf(result, cue);
  const restOf = (id: string) => result.rest.find((ball) => ball.id === id);
  const [struck, ball] = [restOf(cue), restOf(wanted)];
  const isLost = result.rest.some(({ offTable }) => offTable);
  const inOff = struck !== undefined && struck.pocket !== null;
  const pot = ball?.pocket ?? null;
  return {
    pot,
    side: hit.side,
    outcome: {
      pot,
      inOff,
      legal: hit.first === wanted && !inOff && !isLost && isLegalHit(hit, table.preset.game),
      rest: result.rest,
      covered: hit.covered,
    },
  };
}

/** Whether two lines go the same way. */
export function lineKey({ cushions, first }: Pick<KickLine, 'cushions' | 'first'>): string {
  return wayKey({ cushions, first, end: 'ball' });
}
