import type { RackKind } from '../../rack/rack.ts';
import { clothLinesOf } from '../../table/markings.ts';
import type { Table } from '../../table/table.ts';
import type { BreakStroke } from './breakShot.ts';
import { drawnBreak, playedBreak, studyBreak, type BreakQuestion, type BreakStudy } from './breakStudy.ts';
import { worthOf, worthOfBreak, type MeanWorth } from './breakWorth.ts';

/** What a break may be: places as shares of the table's width (at snooker of the D's half width beside its middle), and so on. */
const POOL = {
  places: [0.09, 0.2, 0.33, 0.5, 0.67, 0.8, 0.91],
  speeds: [5.5, 6.5, 7.5, 8.5, 9.5],
  heights: [-0.2, 0],
} as const;
const OFF = {
  places: [-0.8, -0.55, -0.3, 0.3, 0.55, 0.8],
  speeds: [2.4, 2.7, 3, 3.3],
  covered: [0.3, 0.4, 0.5, 0.7],
  sides: [0, 0.15, 0.3],
} as const;
/** Aims at pool: the head ball full and a little off on either side, the second balls full and thin on their outside. */
const AIMS: readonly Pick<BreakStroke, 'at' | 'covered' | 'past'>[] = [
  { at: 0, covered: 1, past: 'left' },
  { at: 0, covered: 0.85, past: 'left' },
  { at: 0, covered: 0.85, past: 'right' },
  { at: 1, covered: 1, past: 'right' },
  { at: 1, covered: 0.7, past: 'right' },
  { at: 2, covered: 1, past: 'left' },
  { at: 2, covered: 0.7, past: 'left' },
];
/** The ends of the last row of reds, to the right and to the left. */
const [RIGHT_END, LEFT_END] = [10, 14];

/** Rounds: of the strokes that are left the best stay, and each of them is played so often more. */
const ROUNDS = [
  { keep: Infinity, breaks: 5 },
  { keep: 80, breaks: 10 },
  { keep: 24, breaks: 25 },
  { keep: 8, breaks: 60 },
] as const;
/** The best and the breaker's own are at last compared on racks that none was chosen by. */
const FINALLY = 250;
const FINAL_SEED = 7_919;

/** The best break of many, and what it is worth beside the breaker's own. */
export interface BestBreak {
  readonly stroke: BreakStroke;
  readonly tried: number;
  /** Both on the same racks with the same luck, fresh ones. */
  readonly best: BreakStudy;
  readonly own: BreakStudy;
  /** By how much the best one is worth more than the breaker's own (see worthOfBreak). */
  readonly gain: MeanWorth;
}

/** The strokes that are tried: from all places, at all paces, on all aims. @param like its place along the table stays */
export function breaksToTry(table: Table, kind: RackKind, like: BreakStroke): readonly BreakStroke[] {
  const { width } = table;
  const from = (y: number) => ({ x: like.from.x, y });
  if (kind === 'reds') {
    const { dRadius = 0 } = clothLinesOf(table.preset);
    return OFF.places.flatMap((share) => {
      const left = share > 0;
      return OFF.speeds.flatMap((speed) =>
        OFF.covered.flatMap((covered) =>
          OFF.sides.map((side): BreakStroke => ({
            ...like,
            from: from(width / 2 + share * dRadius),
            at: left ? LEFT_END : RIGHT_END,
            past: left ? 'left' : 'right',
            covered,
            speed,
            // Side that runs on at the cushions behind the pack.
            tip: { side: left ? -side : side, height: 0 },
          })),
        ),
      );
    });
  }
  return POOL.places.flatMap((share) =>
    POOL.speeds.flatMap((speed) =>
      AIMS.flatMap((aim) =>
        POOL.heights.map((height): BreakStroke => ({
          ...like,
          ...aim,
          from: from(share * width),
          speed,
          tip: { side: 0, height },
        })),
      ),
    ),
  );
}

/**
 * Looks for the break that is worth most to a breaker on racks of this quality, over place, pace, ball, fullness and tip:
 * all are played a few times, the better ones more often, round by round (successive halving); what the winner is worth is
 * then told by fresh breaks, beside those of the breaker's own stroke.
 * @param question its stroke is the breaker's own; its number of breaks is left out of account
 * @param onShare told what share is done, 0…1 @param strokes the ones that are tried beside the breaker's own
 * @throws RangeError for a rack or a stroke that cannot be
 */
export function bestBreak(
  question: BreakQuestion,
  onShare: (share: number) => void = () => undefined,
  strokes = breaksToTry(question.table, question.rack.kind, question.stroke),
): BestBreak {
  const { rack, stroke: own, seed } = question;
  const all = ROUNDS.reduce((sum, { keep, breaks }) => sum + Math.min(keep, strokes.length + 1) * breaks, 0);
  const whole = all + 2 * FINALLY;
  let done = 0;
  let left = [own, ...strokes].map((stroke) => ({ stroke, sum: 0 }));
  let drawn = 0;
  for (const { keep, breaks } of ROUNDS) {
    left = left.sort((a, b) => b.sum - a.sum).slice(0, keep);
    for (const one of left) {
      for (let k = drawn; k < drawn + breaks; k++) {
        const played = playedBreak(
          drawnBreak({ ...question, stroke: one.stroke, seed }, k),
          rack.kind,
          false,
        );
        one.sum += worthOfBreak(rack.kind, played);
      }
      done += breaks;
      onShare(Math.min(1, done / whole));
    }
    drawn += breaks;
  }
  const winner = left.reduce((top, one) => (one.sum > top.sum ? one : top)).stroke;
  const onFresh = (stroke: BreakStroke, base: number) =>
    studyBreak({ ...question, stroke, breaks: FINALLY, seed: seed + FINAL_SEED }, (share) =>
      onShare(Math.min(1, (base + share * FINALLY) / whole)),
    );
  const best = onFresh(winner, all);
  const ownStudy = onFresh(own, all + FINALLY);
  const gains = best.played.map((one, k) => {
    const other = ownStudy.played[k];
    return worthOfBreak(rack.kind, one) - (other === undefined ? 0 : worthOfBreak(rack.kind, other));
  });
  return { stroke: winner, tried: strokes.length, best, own: ownStudy, gain: worthOf(gains) };
}
