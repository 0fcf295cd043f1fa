import { describe, expect, it } from 'vitest';
import { countedCall } from '../../judgement/countCall.ts';
import { picksOf, shownOf } from '../../judgement/question.ts';
import { scoreCall } from '../../judgement/score.ts';
import { simulate } from '../../motion/simulate.ts';
import { leftOnTable } from '../../planning/aftermath.ts';
import { potLines, viewOf } from '../../planning/potOptions.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { acceptanceAbout } from '../../shot/acceptanceNear.ts';
import { POOL, SNOOKER } from '../../testing/balls.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { POCKET_NAMES } from '../../table/pockets.ts';
import { drawnBreak, type BreakQuestion } from './breakStudy.ts';
import { pocketAfter, poseBreak } from './poseBreak.ts';

const QUESTION: BreakQuestion = {
  table: POOL,
  rack: { kind: 'nine', quality: RACK_QUALITIES.template },
  stroke: FROM_THE_RAIL,
  error: executionErrorOf('team', 'pool'),
  breaks: 40,
  seed: 21,
};

describe('what is on after a break', () => {
  it('is the pocket with the likeliest pot of the lowest ball, and nothing where the breaker does not go on', () => {
    let went = 0;
    for (let k = 0; k < QUESTION.breaks; k++) {
      const shot = drawnBreak(QUESTION, k);
      const { rest } = simulate(shot);
      const left = leftOnTable(shot.balls, rest);
      const cue = left.find(({ id }) => id === 'cue');
      const down = rest.filter(({ id, pocket }) => id !== 'cue' && pocket !== null).length;
      const pocket = pocketAfter(shot, 'nine');
      if (cue === undefined || down === 0 || rest.some(({ offTable }) => offTable)) {
        expect(pocket).toBeUndefined();
        continue;
      }
      went++;
      const objects = left.filter(({ id }) => id !== 'cue');
      const lowest = objects.reduce((a, b) => (Number(b.id) < Number(a.id) ? b : a));
      // Pocket by pocket, whatever the search among them does.
      const chances = potLines(POOL, objects, [lowest.id], acceptanceAbout).map((line) => ({
        pocket: line.pocket,
        chance: viewOf(
          POOL,
          cue,
          line,
          objects.filter((ball) => ball !== lowest),
          executionErrorOf('team', 'pool'),
        ).chance,
      }));
      const best = chances.reduce((a, b) => (b.chance > a.chance ? b : a), {
        pocket: 'nothing on',
        chance: 0,
      });
      if (pocket !== 'nothing on') expect(pocket).toBe(best.pocket);
      else expect(best.chance).toBeLessThan(0.02);
    }
    expect(went).toBeGreaterThan(15);
  });
});

describe('a question about a break', () => {
  const question = poseBreak(POOL, 'plain', 2)!;

  it('has its rack in order, its balls apart, and a pocket that is ahead of the others', () => {
    expect(question.shot.balls.map(({ id }) => id).sort()).toEqual(
      ['cue', ...Array.from({ length: 9 }, (_, i) => String(i + 1))].sort(),
    );
    const [first, second] = question.worth;
    expect(first?.pick).toBe(question.truth);
    expect((first?.value ?? 0) - (second?.value ?? 0)).toBeGreaterThanOrEqual(0.25);
    expect(question.worth.reduce((sum, { value }) => sum + value, 0)).toBeLessThanOrEqual(1 + 1e-9);
    expect(picksOf(question)).toEqual(POCKET_NAMES);
    expect(shownOf(question)).toBe('stroke and line');
    expect(poseBreak(POOL, 'plain', 2)).toEqual(question);
  });

  it('is answered by what fresh breaks of the same rack leave', () => {
    const { balls, strike } = question.shot;
    const cue = balls[0]!;
    const asked: BreakQuestion = {
      ...QUESTION,
      rack: { ...QUESTION.rack, order: balls.slice(1).map(({ id }) => id) },
      stroke: {
        ...FROM_THE_RAIL,
        from: { x: cue.x, y: cue.y },
        speed: strike.speed,
        past: cue.y > POOL.width / 2 ? 'left' : 'right',
      },
      seed: 4_711,
    };
    const pockets = Array.from({ length: 240 }, (_, k) => pocketAfter(drawnBreak(asked, k), 'nine')).flatMap(
      (pocket) => pocket ?? [],
    );
    expect(Math.abs(pockets.length / 240 - question.goesOn)).toBeLessThan(0.14);
    const share = pockets.filter((pocket) => pocket === question.truth).length / pockets.length;
    expect(Math.abs(share - (question.worth[0]?.value ?? 0))).toBeLessThan(0.2);
    for (const other of POCKET_NAMES.filter((name) => name !== question.truth))
      expect(pockets.filter((pocket) => pocket === other).length / pockets.length).toBeLessThan(share);
  });

  it('is scored by how often the called pocket comes', () => {
    const [first, second] = question.worth;
    expect(scoreCall(question, { kind: 'pick', pick: question.truth })).toBe(1);
    expect(scoreCall(question, { kind: 'pick', pick: second!.pick })).toBeCloseTo(
      second!.value / first!.value,
      12,
    );
    expect(countedCall(question, { kind: 'pick', pick: question.truth })).toMatchObject({
      called: question.truth,
      computed: question.truth,
    });
    expect(() => scoreCall(question, { kind: 'verdict', verdict: 'yes' })).toThrow(RangeError);
  });

  it('is not asked at snooker', () => {
    expect(poseBreak(SNOOKER, 'plain', 1)).toBeUndefined();
  });
});
