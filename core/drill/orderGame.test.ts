import { describe, expect, it } from 'vitest';
import { orderNodes } from '../planning/order/nodes.ts';
import type { Order } from '../records/drill.ts';
import { orderGameOf } from './orderGame.ts';

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

  it('are too many for fifteen balls in any order', () => {
    expect(nodesOf({ kind: 'any' }, balls(15))).toBeUndefined();
  });
});
