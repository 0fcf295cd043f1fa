import { POCKET_NAMES, type PocketName } from '../../table/pockets.ts';

/** The rules of an order, as far as a plan depends on them: what may be potted, and what that leads to. */
export interface OrderGame<S> {
  readonly start: S;
  /** Alike for states that go on alike. */
  readonly key: (state: S) => string;
  /** Object balls on the table. */
  readonly onTable: (state: S) => readonly string[];
  /** Those that may be potted next; none when the table is cleared, or nothing is allowed any more. */
  readonly legal: (state: S) => readonly string[];
  readonly isCleared: (state: S) => boolean;
  /** The state when a ball was potted as it should, in a pocket. */
  readonly after: (state: S, potted: string, pocket: PocketName) => S;
  /** The pocket that may not be used next; left out where what follows never depends on the pocket. */
  readonly barred?: ((state: S) => PocketName | undefined) | undefined;
}

/** A state of the order, by numbers: balls by their place in a list, states by theirs among the nodes. */
export interface OrderNode {
  readonly key: string;
  /** Bit by bit which balls are on the table. */
  readonly present: number;
  readonly legal: readonly number[];
  /** The node that each legal ball leads to: one for all pockets, or one for each of them. */
  readonly next: readonly number[];
  /** Number of the pocket that may not be used; −1 for none. */
  readonly barred: number;
  readonly cleared: boolean;
}

/** A plan looks at no more states than this: fifteen balls in any order are 32,768, a whole snooker table 65,543. */
export const MOST_NODES = 70_000;
/** Of more states than this only a coarse look is taken: ten balls in any order are 1,024. */
export const MANY_NODES = 1_200;

/**
 * All states that good play of an order can come to, each after those that it leads to: the start is the last one.
 * @param balls ids of all object balls, at most 31 @param most states that are looked at
 * @returns undefined when there are more states than a plan can look at
 */
export function orderNodes<S>(
  game: OrderGame<S>,
  balls: readonly string[],
  most = MOST_NODES,
): readonly OrderNode[] | undefined {
  const nodes: OrderNode[] = [];
  const pockets = game.barred === undefined ? POCKET_NAMES.slice(0, 1) : POCKET_NAMES;
  const known = new Map<string, number>();
  const visit = (state: S): number | undefined => {
    const key = game.key(state);
    const there = known.get(key);
    if (there !== undefined) return there;
    const cleared = game.isCleared(state);
    const legal = cleared ? [] : game.legal(state);
    const next: number[] = [];
    for (const ball of legal) {
      for (const pocket of pockets) {
        const to = visit(game.after(state, ball, pocket));
        if (to === undefined) return undefined;
        next.push(to);
      }
    }
    if (nodes.length >= most) return undefined;
    const present = game.onTable(state).reduce((bits, id) => bits | (1 << balls.indexOf(id)), 0);
    const bar = game.barred?.(state);
    const barred = bar === undefined ? -1 : POCKET_NAMES.indexOf(bar);
    const index =
      nodes.push({ key, present, legal: legal.map((id) => balls.indexOf(id)), next, barred, cleared }) - 1;
    known.set(key, index);
    return index;
  };
  return visit(game.start) === undefined ? undefined : nodes;
}
