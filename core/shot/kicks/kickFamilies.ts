import { toRadians } from '../../math/angle.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { groupBy } from '../../statistics/groupBy.ts';
import { middleOf } from '../directions.ts';
import { kickChance, type KickChance } from './kickChance.ts';
import { lineKey, linesIn, meetsWanted, type KickLine, type KickWish } from './kickLines.ts';
import { seenOf } from './seen.ts';
import { stretchesOf, type Stretch } from './stretches.ts';
import type { KickPosition, KickStroke } from './way.ts';

const PACES = [1.1, 1.6, 2.3, 3.3, 4.6];
const SIDES = [0, -0.4, 0.4];
/** A swerve and a massé: raised butt and much side, at these paces. */
const CURVED = [
  { elevation: toRadians(18), side: 0.45, paces: [1.6, 2.4] },
  { elevation: toRadians(55), side: 0.42, paces: [1.8, 2.6] },
];
/** So many lines of a family are tried with the player's errors, the widest, and so many families are told. */
const TRIED = 4;
const MOST_FAMILIES = 12;
/** For a first look at a line one of so many executions. */
const ROUGHLY = 4;
/** Narrower than this nobody plays, radians: over all strokes directions are looked at in these steps. */
const NARROW = toRadians(0.16);
/** The stroke by which a first answer is given, and how many of its lines are tried for it. */
const FIRST = { speed: 2.3, side: 0 } as const;
const FIRST_TRIED = 3;

/** A line with what a player makes of it. */
export interface RatedLine extends KickLine {
  readonly chance: KickChance;
}

/** Lines that go the same way with other paces and sides. */
export interface KickFamily {
  readonly cushions: readonly string[];
  readonly first: string;
  /** The one that the player brings off legally most often. */
  readonly best: RatedLine;
  /** All of them, the widest first. */
  readonly lines: readonly Pick<KickLine, 'low' | 'high' | 'stroke'>[];
}

/** The strokes that are looked at: paces and sides; swerve and massé only where no straight hit is to be had. */
export function kickStrokes(
  position: KickPosition,
  { targets, noSide }: Pick<KickWish, 'targets' | 'noSide'>,
): readonly KickStroke[] {
  const plain = PACES.flatMap((speed) =>
    (noSide === true ? [0] : SIDES).map((side): KickStroke => ({
      speed,
      tip: { side, height: 0 },
      elevation: 0,
    })),
  );
  const isOpen = (targets ?? []).some((id) => seenOf(position, id).usable > 0);
  if (isOpen || targets === undefined || noSide === true) return plain;
  const curved = CURVED.flatMap(({ elevation, side, paces }) =>
    paces.flatMap((speed) =>
      [-side, side].map((aside): KickStroke => ({ speed, tip: { side: aside, height: 0 }, elevation })),
    ),
  );
  return [...plain, ...curved];
}

/** The chance that a player meets a wanted ball with a line. */
export function rated(
  position: KickPosition,
  line: KickLine,
  wish: KickWish,
  error: ExecutionError,
): RatedLine {
  return { ...line, chance: kickChance(position, line.stroke, middleOf(line), error, meetsWanted(wish)) };
}

/**
 * The lines over paces and sides, grouped by the way they go, each with the stroke that this player brings off most often.
 * @param error the player's @param onStroke told after each stroke with the share that is done, 0…1
 * @param onFirst told the best line of a plain stroke at a middle pace, if it has one, before the others are looked at
 * @returns the best first
 */
export function kickFamilies(
  position: KickPosition,
  wish: KickWish,
  error: ExecutionError,
  onStroke?: (share: number) => void,
  onFirst?: (line: RatedLine) => void,
): readonly KickFamily[] {
  const strokes = [...kickStrokes(position, wish)].sort((a, b) => Number(isFirst(b)) - Number(isFirst(a)));
  const isPart = wish.side !== undefined || wish.pocket !== undefined;
  const all = strokes.flatMap((stroke, i) => {
    const found = stretchesOf(position, stroke, wish.mostCushions, meetsWanted(wish), NARROW);
    if (i === 0 && onFirst !== undefined) {
      const first = bestOf(position, stroke, wish, error, found);
      if (first !== undefined) onFirst(first);
    }
    onStroke?.((i + 1) / strokes.length);
    return found.flatMap((stretch): readonly Candidate[] =>
      isPart
        ? linesIn(position, stroke, wish, stretch).map((line) => ({ ...line, whole: () => line }))
        : [
            {
              ...bare(stroke, stretch),
              whole: () => linesIn(position, stroke, wish, stretch)[0],
            },
          ],
    );
  });
  return [
    ...groupBy(
      all.filter(({ low, high }) => high - low >= NARROW),
      lineKey,
    ).values(),
  ]
    .map((lines) => lines.sort(byWidth))
    .sort((a, b) => byWidth(a[0]!, b[0]!))
    .slice(0, MOST_FAMILIES)
    .flatMap((lines): readonly KickFamily[] => {
      const tried = lines.slice(0, TRIED).map((line) => ({
        line,
        chance: kickChance(position, line.stroke, middleOf(line), error, meetsWanted(wish), ROUGHLY),
      }));
      const most = tried.reduce((best, each) => (each.chance.legal > best.chance.legal ? each : best));
      const whole = most.line.whole();
      if (whole === undefined) return [];
      const { cushions, first } = whole;
      const members = lines.map(({ low, high, stroke }) => ({ low, high, stroke }));
      return [{ cushions, first, best: rated(position, whole, wish, error), lines: members }];
    })
    .sort((a, b) => b.best.chance.legal - a.best.chance.legal);
}

const isFirst = ({ speed, tip }: KickStroke) => speed === FIRST.speed && tip.side === FIRST.side;

/** Of the widest stretches of a stroke the line that the player brings off most often, by a first look. */
function bestOf(
  position: KickPosition,
  stroke: KickStroke,
  wish: KickWish,
  error: ExecutionError,
  found: readonly Stretch[],
): RatedLine | undefined {
  const rated = [...found]
    .sort((a, b) => b.high - b.low - (a.high - a.low))
    .slice(0, FIRST_TRIED)
    .flatMap((stretch) => linesIn(position, stroke, wish, stretch))
    .map((line): RatedLine => {
      const chance = kickChance(position, stroke, middleOf(line), error, meetsWanted(wish), ROUGHLY);
      return { ...line, chance };
    });
  return rated.sort((a, b) => b.chance.legal - a.chance.legal)[0];
}

type BareLine = Pick<KickLine, 'low' | 'high' | 'stroke' | 'cushions' | 'first'>;

/** A line, and how the rest of it is worked out. */
interface Candidate extends BareLine {
  readonly whole: () => KickLine | undefined;
}

const byWidth = (a: BareLine, b: BareLine) => b.high - b.low - (a.high - a.low);

function bare(stroke: KickStroke, { low, high, way: { cushions, first = '' } }: Stretch): BareLine {
  return { low, high, stroke, cushions, first };
}
