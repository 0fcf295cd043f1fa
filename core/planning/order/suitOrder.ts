import type { OrderGame } from './nodes.ts';

/** What is left, and the suit that was taken; undefined while the choice is open. */
export interface SuitState {
  readonly left: readonly string[];
  readonly suit: number | undefined;
}

/** One of some suits and then a last ball: the first ball takes its suit, the others' balls only stand in the way. */
export function suitOrder(
  balls: readonly string[],
  suits: readonly (readonly string[])[],
  last: string,
): OrderGame<SuitState> {
  const legal = ({ left, suit }: SuitState): readonly string[] => {
    if (suit === undefined) return left.filter((id) => suits.some((each) => each.includes(id)));
    const own = left.filter((id) => suits[suit]?.includes(id) === true);
    return own.length > 0 ? own : left.filter((id) => id === last);
  };
  return {
    start: { left: balls, suit: undefined },
    key: ({ left, suit }) => `${suit ?? ''} ${left.join()}`,
    onTable: ({ left }) => left,
    legal,
    isCleared: (state) => legal(state).length === 0,
    after: ({ left, suit }, potted) => ({
      left: left.filter((id) => id !== potted),
      suit: suit ?? suits.findIndex((each) => each.includes(potted)),
    }),
  };
}
