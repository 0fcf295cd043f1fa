import type { OrderGame } from './nodes.ts';

/** The order of balls that may go as they like: a state is what is left. */
export function anyOrder(balls: readonly string[]): OrderGame<readonly string[]> {
  return {
    start: balls,
    key: (left) => left.join(),
    onTable: (left) => left,
    legal: (left) => left,
    isCleared: (left) => left.length === 0,
    after: (left, potted) => left.filter((id) => id !== potted),
  };
}

/** The order of balls that go one after the other. */
export function inOrder(balls: readonly string[]): OrderGame<readonly string[]> {
  return { ...anyOrder(balls), legal: (left) => left.slice(0, 1) };
}
