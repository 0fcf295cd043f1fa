import { describe, expect, it } from 'vitest';
import { CUE_BALL } from '../drill/layout.ts';
import { simulate } from '../motion/simulate.ts';
import { buildTable } from '../table/table.ts';
import { createRandom } from '../random/random.ts';
import { shotFromPlaces } from './shotFromPlaces.ts';

const table = buildTable('pool-9ft');
const { ballRadius: radius, ballMass: mass } = table.preset;
const at = (id: string, x: number, y: number) => ({ id, x, y, radius, mass });
const BEFORE = [at('1', 2.4, 0.12), at('2', 1.2, 0.6), at('3', 1.27, 0.9)];

describe('a shot by where the balls lie', () => {
  it('is what the simulator played: what fell, what moved, where the cue ball stopped', () => {
    const random = createRandom(3);
    let fell = 0;
    for (let n = 0; n < 60; n++) {
      const cue = at(CUE_BALL, 0.5, 0.5);
      const strike = {
        ball: CUE_BALL,
        speed: 1 + 4 * random.uniform(),
        direction: 0.6 * (random.uniform() - 0.4),
        tip: { side: 0, height: 0 },
        elevation: 0,
      };
      const { rest } = simulate({ table, balls: [cue, ...BEFORE], strike });
      const lying = rest.filter(({ pocket, offTable }) => pocket === null && !offTable);
      const read = shotFromPlaces(
        BEFORE,
        lying.map(({ id, x, y }) => at(id, x, y)),
      );
      const gone = rest.filter((ball) => !lying.includes(ball)).map(({ id }) => id);
      fell += gone.length;
      expect(new Set(read.potted)).toEqual(new Set(gone.filter((id) => id !== CUE_BALL)));
      expect(read.inOff).toBe(gone.includes(CUE_BALL));
      for (const { id } of BEFORE) {
        const now = lying.find((ball) => ball.id === id);
        const lay = BEFORE.find((ball) => ball.id === id);
        if (now === undefined || lay === undefined) continue;
        const isMoved = Math.hypot(now.x - lay.x, now.y - lay.y) > 0.02;
        expect((read.moved ?? []).some((ball) => ball.id === id)).toBe(isMoved);
      }
    }
    expect(fell).toBeGreaterThan(5);
  });

  it('refuses a ball that was not there', () => {
    expect(() => shotFromPlaces(BEFORE, [at('9', 1, 1)])).toThrow('the 9 was not on the table');
  });
});
