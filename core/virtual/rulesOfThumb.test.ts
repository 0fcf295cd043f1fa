import { describe, expect, it } from 'vitest';
import { pathAfterHit } from '../judgement/pose/path.ts';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import { cushionSide } from '../shot/sideSpin.ts';
import { buildTable } from '../table/table.ts';
import { ruleOfThumb, thumbStrokes } from './rulesOfThumb.ts';

const all = [...thumbStrokes(buildTable('pool-9ft'))];
const strokes = all.flatMap((question) => question.strokes);

describe('the strokes of a rule of thumb', () => {
  it('pot the ball and carry the cue ball as far as is asked', () => {
    let checked = 0;
    for (const { travel, shots } of strokes) {
      for (const shot of shots) {
        if (shot === undefined) continue;
        const path = pathAfterHit(shot);
        const length = path.slice(1).reduce((sum, point, i) => sum + distance(point, path[i] ?? point), 0);
        expect(Math.abs(length - travel)).toBeLessThan(0.02);
        expect(simulate(shot).rest.find(({ id }) => id === 'object')?.pocket).toBe('foot-left');
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(30);
  });

  it('with running side run at the first cushion', () => {
    const question = all.find(({ school, cutDeg }) => school === 'side spin' && cutDeg === 40);
    const far = question?.strokes.at(-1)?.shots[1];
    if (far === undefined) throw new Error('no stroke with side');
    expect(far.strike.tip.side).not.toBe(0);
    expect(cushionSide(far, simulate(far, { paths: true }))).toBe('running');
  });
});

describe('a rule of thumb', () => {
  it('is better met by a better player, at every distance and either way', () => {
    for (const question of all) {
      const [poor, good] = [15, 80].map((rating) => ruleOfThumb(question, rating).points);
      poor?.forEach(({ success }, i) => {
        success.forEach((share, way) => {
          const better = good?.[i]?.success[way];
          if (share === undefined || better === undefined) return;
          expect(better).toBeGreaterThanOrEqual(share - 0.02);
        });
      });
    }
  });

  it('sends whoever nearly stuns the ball forward by follow, not back by draw over distance', () => {
    const question = all.find(({ school, cutDeg }) => school === 'draw or follow' && cutDeg === 8);
    if (question === undefined) throw new Error('no such question');
    expect(ruleOfThumb(question, 40).stretches).toEqual([{ way: 'follow', until: undefined }]);
  });

  it('changes the way where the shares cross, and says nothing where they do not differ', () => {
    for (const question of all) {
      const { points, stretches, ways } = ruleOfThumb(question, 50);
      for (const { way, until } of stretches.slice(0, -1)) {
        const before = points.findLast(({ travel, success: [a, b] }) => {
          return travel <= (until ?? 0) && a !== undefined && b !== undefined && Math.abs(a - b) >= 0.05;
        });
        const [a = 0, b = 0] = before?.success ?? [];
        expect(a > b ? ways[0] : ways[1]).toBe(way);
      }
      expect(stretches.at(-1)?.until).toBeUndefined();
    }
  });
});
