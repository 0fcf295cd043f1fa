import type { CallKind, Difficulty } from '../judgement/kinds.ts';
import { LEVELS } from '../player/levels.ts';
import type { CallLevelRow } from '../records/callLevels.ts';
import { groupBy } from '../statistics/groupBy.ts';
import { LEVEL_GRID } from '../statistics/levelFilter.ts';
import type { Game } from '../table/preset.ts';

/** What a call was asked as; without a difficulty where a drill gave the position. */
export interface AskedCall {
  readonly kind: CallKind;
  readonly game: Game;
  readonly difficulty: Difficulty | undefined;
}

/** No call is quite impossible, and none quite sure, however few positions say so. */
const LEAST = 0.03;
const kept = (share: number) => Math.min(1 - LEAST, Math.max(LEAST, share));
const logit = (share: number) => Math.log(kept(share) / (1 - kept(share)));
const logistic = (z: number) => 1 / (1 + Math.exp(-z));

/** The means nearest to these that never fall: neighbours that do are taken together (M. Ayer et al., 1955). */
export function rising(means: readonly number[]): readonly number[] {
  const blocks: { sum: number; count: number }[] = [];
  for (const value of means) {
    blocks.push({ sum: value, count: 1 });
    for (;;) {
      const [before, last] = [blocks.at(-2), blocks.at(-1)];
      if (before === undefined || last === undefined) break;
      if (before.sum / before.count <= last.sum / last.count) break;
      blocks.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count });
    }
  }
  return blocks.flatMap(({ sum, count }) => Array.from({ length: count }, () => sum / count));
}

const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;

/** What a mean score is at a rating, between the levels and beyond them along the same slopes of its logit. */
function atRating(logits: readonly number[], rating: number): number {
  const upper = LEVELS.findIndex((level, i) => i > 0 && (rating <= level.rating || i === LEVELS.length - 1));
  const [from, to] = [LEVELS[upper - 1]!, LEVELS[upper]!];
  const share = (rating - from.rating) / (to.rating - from.rating);
  return kept(logistic(logits[upper - 1]! + share * (logits[upper]! - logits[upper - 1]!)));
}

const keyOf = ({ kind, game }: Pick<AskedCall, 'kind' | 'game'>) => `${kind}, ${game}`;

/**
 * How right somebody of each level calls. Each cell has few positions: the levels of a kind are told apart by all its
 * difficulties together, never falling from level to level, and a difficulty moves them all by as much of their logit.
 */
export class CallLevels {
  readonly #kinds: ReadonlyMap<string, readonly CallLevelRow[]>;
  readonly #expected = new Map<string, readonly number[]>();

  constructor(rows: readonly CallLevelRow[]) {
    this.#kinds = groupBy(rows, keyOf);
  }

  /** The mean score at each level of the grid, 0…1; undefined where no virtual player has called. */
  expected(asked: AskedCall): readonly number[] | undefined {
    const key = `${keyOf(asked)}, ${asked.difficulty ?? ''}`;
    const known = this.#expected.get(key);
    if (known !== undefined) return known;
    const rows = this.#kinds.get(keyOf(asked));
    if (rows === undefined) return undefined;
    const all = rows.reduce((sum, { positions }) => sum + positions, 0);
    const pooled = LEVELS.map((_, i) =>
      rows.reduce((sum, { positions, scores }) => sum + (positions * (scores[i] ?? 0)) / all, 0),
    );
    const own = rows.find(({ difficulty }) => difficulty === asked.difficulty);
    const harder = own === undefined ? 0 : logit(mean(own.scores)) - logit(mean(pooled));
    const logits = rising(pooled).map((share) => logit(share) + harder);
    const expected = LEVEL_GRID.map((rating) => atRating(logits, rating));
    this.#expected.set(key, expected);
    return expected;
  }
}
