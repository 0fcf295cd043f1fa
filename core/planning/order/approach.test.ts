import { describe, expect, it } from 'vitest';
import { simulate } from '../../motion/simulate.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { brokenConditions } from '../../virtual/choosePot.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { POOL } from '../../testing/balls.ts';
import { potLines } from '../potOptions.ts';
import { aimsAt, approachesTo, cushionOptions } from './approach.ts';

const ERROR = executionErrorOf('title', 'pool');
const { ballRadius: radius, ballMass: mass } = POOL.preset;
const at = (id: string, x: number, y: number): BallOnTable => ({ id, x, y, radius, mass });
const [CUE, BALL] = [at('cue', 1.4, 0.75), at('1', 2.36, 0.14)];
const LINES = potLines(POOL, [BALL], ['1'], acceptanceOf);
const optionsWith = (...others: readonly BallOnTable[]) =>
  cushionOptions(POOL, CUE, LINES, [BALL, ...others], ERROR);

describe('ways of playing at a pot', () => {
  it('are the straight one, or one by each cushion that leads to it', () => {
    for (const line of LINES) {
      expect(approachesTo(POOL, CUE, line, ERROR, false).map(({ by }) => by)).toEqual([undefined]);
      const cushions = approachesTo(POOL, CUE, line, ERROR, true).map(({ by }) => by?.cushion);
      expect(cushions).not.toContain(undefined);
      expect(new Set(cushions).size).toBe(cushions.length);
    }
    expect(optionsWith().length).toBeGreaterThan(0);
  });

  it('are closed by a ball before the cushion, and by one behind it', () => {
    const [best] = optionsWith().toSorted((a, b) => b.chance - a.chance);
    const { bounce, contact, cushion } = best!.by!;
    const between = (from: { x: number; y: number }, to: { x: number; y: number }, share: number) =>
      at('2', from.x + share * (to.x - from.x), from.y + share * (to.y - from.y));
    const isThere = (other: BallOnTable) =>
      optionsWith(other).some(({ line, by }) => line.pocket === best!.line.pocket && by?.cushion === cushion);
    expect(isThere(at('2', 0.3, 1.1))).toBe(true);
    expect(isThere(between(CUE, bounce, 0.5))).toBe(false);
    expect(isThere(between(bounce, contact, 0.4))).toBe(false);
    // A ball where the cue ball lies leaves nothing at all.
    expect(optionsWith(at('2', CUE.x + radius, CUE.y))).toEqual([]);
  });

  it('by a cushion keep the condition as they are played, and straight ones break it', () => {
    const [best] = optionsWith().toSorted((a, b) => b.chance - a.chance);
    const meant = { cue: 'cue', object: '1', pocket: best!.line.pocket, lastPocket: undefined };
    const brokenBy = (leaves: number, speed: number) =>
      brokenConditions(
        ['cushion first'],
        simulate({
          table: POOL,
          balls: [CUE, BALL],
          strike: { ball: 'cue', speed, direction: leaves, tip: { side: 0, height: 0 }, elevation: 0 },
        }),
        meant,
      );
    const aimed = aimsAt(POOL, CUE, best!, ERROR, 0, 2, 0)(0);
    expect(aimed?.falls).toBeGreaterThan(0.3);
    expect(brokenBy(aimed!.leaves, 2)).toEqual([]);
    const straight = aimsAt(POOL, CUE, { line: best!.line, by: undefined }, ERROR, 0, 2, 0)(0);
    expect(brokenBy(straight!.leaves, 2)).toEqual(['cushion first']);
    // One that is less likely than asked is not aimed.
    expect(aimsAt(POOL, CUE, best!, ERROR, 0, 2, 1)(0)).toBeUndefined();
  });
});
