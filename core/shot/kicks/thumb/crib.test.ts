import { describe, expect, it } from 'vitest';
import { simulate } from '../../../motion/simulate.ts';
import { ball, cueBall, POOL, SNOOKER } from '../../../testing/balls.ts';
import { hitOf } from '../hit.ts';
import { kickShot } from '../way.ts';
import { cribOf } from './crib.ts';
import { ROUNDS, roundStroke } from './threeCushions.ts';
import { thumbAnswers } from './thumbAnswers.ts';
import { thumbFigures } from './thumbFigures.ts';
import { thumbCushions, thumbSpeed } from './thumbRules.ts';

describe('a crib card', () => {
  it.each([
    ['pool', POOL],
    ['snooker', SNOOKER],
  ])('of a %s table has aims that, played, hit a ball full at the other end', (_, table) => {
    const { round, along } = cribOf(table);
    const { width, length, preset } = table;
    const r = preset.ballRadius;
    let played = 0;
    for (const pace of ['soft', 'firm'] as const) {
      for (const line of round) {
        const aim = line[pace];
        if (aim === undefined) continue;
        const from = cueBall(Math.max(2 * r, line.start), 2 * r, table);
        const object = ball('1', Math.max(r, line.arrival), width - r, table);
        const stroke = roundStroke(ROUNDS[0]!, thumbSpeed(table, 'far mark', pace));
        const direction = Math.atan2(width - from.y, aim - from.x);
        const position = { table, balls: [from, object], cue: 'cue' };
        const hit = hitOf(simulate(kickShot(position, stroke, direction), { paths: true }), 'cue');
        expect([hit.first, hit.before.join(' ')]).toEqual(['1', 'left foot right']);
        played++;
      }
      for (const { apart, [pace]: aim } of along) {
        if (aim === undefined) continue;
        const from = cueBall(0.12 * length, 0.5 * (width - apart), table);
        const object = ball('1', from.x, from.y + apart, table);
        const stroke = {
          speed: thumbSpeed(table, 'equal angles', pace),
          tip: { side: 0, height: 0 },
          elevation: 0,
        };
        const position = { table, balls: [from, object], cue: 'cue' };
        const direction = Math.atan2(aim, length - from.x);
        const hit = hitOf(simulate(kickShot(position, stroke, direction), { paths: true }), 'cue');
        expect([hit.first, hit.before.join(' ')]).toEqual(['1', 'foot']);
        expect(hit.covered).toBeGreaterThan(0.9);
        played++;
      }
    }
    expect(played).toBeGreaterThan(25);
  });

  it('has half the way for equal angles, and farther aims for farther balls', () => {
    for (const { along, across } of [cribOf(POOL), cribOf(SNOOKER)]) {
      for (const lines of [along, across]) {
        expect(lines.length).toBeGreaterThan(2);
        for (const { apart, equal } of lines) expect(equal / apart).toBeCloseTo(0.5, 1);
        const soft = lines.flatMap(({ soft: aim }) => (aim === undefined ? [] : [aim]));
        expect(soft).toEqual([...soft].sort((a, b) => a - b));
      }
    }
  });
});

describe('what the rules say for a position', () => {
  it('is told of each the nearest first, two ways at most, with where to aim instead', () => {
    const from = cueBall(0.5, 0.3);
    const target = { x: 0.35, y: 1.1 };
    const figures = { ...thumbFigures(POOL), soft: undefined };
    const answers = thumbAnswers(POOL, figures, 'firm', from, target);
    for (const rule of ['equal angles', 'far mark', 'thirds'] as const) {
      const misses = answers
        .filter(({ question }) => question.rule === rule)
        .map(({ passing }) => Math.abs(passing?.miss ?? NaN));
      expect(misses.length).toBeLessThanOrEqual(2);
      expect(misses).toEqual([...misses].sort((a, b) => a - b));
    }
    expect(answers.filter(({ right }) => right !== undefined).length).toBeGreaterThan(2);
    for (const { question, right, stroke } of answers) {
      if (right === undefined) continue;
      const direction = Math.atan2(right.at.y - from.y, right.at.x - from.x);
      const position = { table: POOL, balls: [from, ball('1', target.x, target.y)], cue: 'cue' };
      const hit = hitOf(simulate(kickShot(position, stroke, direction), { paths: true }), 'cue');
      expect([hit.first, hit.before]).toEqual(['1', thumbCushions(question)]);
      expect(hit.covered).toBeGreaterThan(0.85);
    }
    // Without figures of that pace the two rules that need them are silent.
    const soft = thumbAnswers(POOL, figures, 'soft', from, target);
    expect(soft.every(({ question }) => question.rule === 'equal angles')).toBe(true);
  });
});
