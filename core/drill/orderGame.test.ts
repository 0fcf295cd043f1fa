import { describe, expect, it } from 'vitest';
import { orderNodes, type OrderGame } from '../planning/order/nodes.ts';
import { NO_WISHES } from '../planning/order/wishes.ts';
import type { Order } from '../records/drill.ts';
import { orderGameOf, suitChoices } from './orderGame.ts';

const balls = (n: number) => Array.from({ length: n }, (_, i) => String(i + 1));
const gameOf = (order: Order, ids: readonly string[]) =>
  orderGameOf(order, { onTable: ids, last: undefined, suit: undefined });
const nodesOf = (order: Order, ids: readonly string[]) => orderNodes(gameOf(order, ids), ids);

describe('the states of an order', () => {
  it('are all sets of balls in any order, and a chain in rotation', () => {
    expect(nodesOf({ kind: 'any' }, balls(7))).toHaveLength(2 ** 7);
    expect(nodesOf({ kind: 'rotation' }, balls(9))).toHaveLength(10);
    expect(nodesOf({ kind: 'listed', balls: ['3', '1', '2'] }, balls(3))).toHaveLength(4);
  });

  it('lead to states that come before them, down to the cleared table', () => {
    const nodes = nodesOf({ kind: 'any' }, balls(5))!;
    for (const [i, { legal, next, present, cleared }] of nodes.entries()) {
      expect(cleared).toBe(present === 0);
      expect(legal).toHaveLength(next.length);
      for (const [k, to] of next.entries()) {
        expect(to).toBeLessThan(i);
        expect(nodes[to]!.present).toBe(present & ~(1 << legal[k]!));
      }
    }
    expect(nodes.at(-1)!.present).toBe(2 ** 5 - 1);
  });

  it('of two suits end with the last ball, the other suit still there', () => {
    const suits = [
      ['1', '2'],
      ['9', '10', '11'],
    ];
    const ids = ['1', '2', '9', '10', '11', '8'];
    const nodes = nodesOf({ kind: 'suits', suits, last: '8', both: false }, ids)!;
    const ends = nodes.filter(({ cleared }) => cleared).map(({ present }) => present);
    // Ones left of the second suit, or of the first.
    expect(ends.sort((a, b) => a - b)).toEqual([0b000011, 0b011100]);
    // The start; subsets of each suit after one of it is down, the last ball with them; and the two ends.
    expect(nodes).toHaveLength(1 + (2 ** 2 - 1) + (2 ** 3 - 1) + 2);
    const both = nodesOf({ kind: 'suits', suits, last: '8', both: true }, ids)!;
    // One end for each suit that was taken first.
    expect(both.filter(({ cleared }) => cleared).map(({ present }) => present)).toEqual([0, 0]);
  });

  it('of reds and colours know which is on: a colour comes back until the reds are gone', () => {
    const ids = ['red 1', 'red 2', 'yellow', 'black'];
    const nodes = nodesOf({ kind: 'red and colour' }, ids)!;
    const on = nodes.map(({ present, legal }) => `${present.toString(2)} ${legal.join()}`);
    expect(on).toContain(`${(0b1111).toString(2)} 0,1`);
    // With a red down every colour is on, and stays on the table until it is potted.
    expect(on).toContain(`${(0b1110).toString(2)} 2,3`);
    expect(on).toContain(`${(0b1110).toString(2)} 1`);
    // With the last colour after a red they are played in order.
    expect(on).toContain(`${(0b1100).toString(2)} 2`);
    expect(nodes.filter(({ cleared }) => cleared)).toHaveLength(1);
  });

  it('are every set of fifteen balls in any order, and too many for seventeen', () => {
    expect(nodesOf({ kind: 'any' }, balls(15))).toHaveLength(2 ** 15);
    expect(nodesOf({ kind: 'any' }, balls(17))).toBeUndefined();
  });
});

describe('the choice of the suit', () => {
  const suits = { kind: 'suits', suits: [['1', '2'], ['9']], last: '8', both: false } as const;
  const start = { onTable: ['1', '2', '8', '9'], last: undefined, suit: undefined };

  it('is one for each suit, and after it only that suit may be played', () => {
    const game = orderGameOf(suits, start);
    const legal = suitChoices(suits, game.start).map((state) => game.legal(state));
    expect(legal).toEqual([['1', '2'], ['9']]);
  });

  it('is none where both are to be cleared, where one was taken, and in other orders', () => {
    expect(suitChoices({ ...suits, both: true }, start)).toEqual([]);
    expect(suitChoices(suits, { ...start, suit: 1 })).toEqual([]);
    expect(suitChoices({ kind: 'any' }, start)).toEqual([]);
  });
});

/** All orders in which balls may go, each in the first pocket. */
function ordersOf<S>(game: OrderGame<S>, state: S = game.start): string[] {
  if (game.isCleared(state)) return [''];
  return game
    .legal(state)
    .flatMap((ball) => ordersOf(game, game.after(state, ball, 'head-left')).map((rest) => `${ball}${rest}`));
}

describe('wishes for an order', () => {
  const start = { onTable: balls(4), last: undefined, suit: undefined };
  const all = ordersOf(orderGameOf({ kind: 'any' }, start));

  it('leave those orders of all in which each locked ball has its step and no forbidden one has', () => {
    expect(all).toHaveLength(24);
    const wishes = {
      ...NO_WISHES,
      locked: [
        { step: 1, ball: '2' },
        { step: 3, ball: '4' },
      ],
      forbidden: [{ step: 0, ball: '3' }],
    };
    const left = ordersOf(orderGameOf({ kind: 'any' }, start, { wishes }));
    expect(left.sort()).toEqual(all.filter((each) => each[1] === '2' && each[3] === '4' && each[0] !== '3'));
    expect(left).toEqual(['1234']);
  });

  it('leave nothing where the rules do not allow them, and are past when the ball fell by luck', () => {
    const locked = (ball: string, step: number) => ({ wishes: { ...NO_WISHES, locked: [{ step, ball }] } });
    expect(ordersOf(orderGameOf({ kind: 'rotation' }, start, locked('3', 0)))).toEqual([]);
    const game = orderGameOf({ kind: 'any' }, start, locked('3', 2));
    const early = { ...game.after(game.start, '3', 'head-left'), step: 2 };
    expect(game.legal(early)).toEqual(['1', '2', '4']);
  });

  it('of pockets in turn bar the last one, and know states by it', () => {
    const game = orderGameOf({ kind: 'any' }, { ...start, onTable: balls(2) }, { alternating: true });
    expect(game.barred?.(game.start)).toBeUndefined();
    expect(game.barred?.(game.after(game.start, '1', 'foot-left'))).toBe('foot-left');
    const nodes = orderNodes(game, balls(2))!;
    // The start; one ball left after each pocket, for two balls; the end after each pocket.
    expect(nodes).toHaveLength(1 + 2 * 6 + 6);
    expect(nodes.map(({ barred }) => barred).sort((a, b) => a - b)).toEqual(
      [-1, ...[0, 1, 2, 3, 4, 5].flatMap((n) => [n, n, n])].sort((a, b) => a - b),
    );
  });
});
