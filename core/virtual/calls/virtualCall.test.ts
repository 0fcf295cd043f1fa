import { describe, expect, it } from 'vitest';
import { scoreCall } from '../../judgement/score.ts';
import { anyOrder } from '../../planning/order/anyOrder.ts';
import { OrderPlanner } from '../../planning/order/planner.ts';
import { GLANCE } from '../../planning/order/tableDetail.ts';
import { executionErrorOf, LEVELS, type LevelName } from '../../player/levels.ts';
import { createRandom } from '../../random/random.ts';
import { ball, cueBall, POOL, shotOf } from '../../testing/balls.ts';
import { thrownTable } from '../../testing/thrownTable.ts';
import { callAnswerSchema, writtenAnswer } from '../../records/call.ts';
import { poseCall } from '../poseCall.ts';
import { callCell } from './callCell.ts';
import { virtualCall, type LevelQuestion } from './virtualCall.ts';

const callerAt = (name: LevelName, seed = 1) => ({
  error: executionErrorOf(name, 'pool'),
  looksAhead: LEVELS.find((level) => level.name === name)?.looksAhead ?? 0,
  random: createRandom(seed),
});

describe('virtual players who call', () => {
  it('say what becomes of a stroke the better, the better they play it', () => {
    const { scores = [], positions } = callCell(POOL, 'draw the path', 'close', 24) ?? {};
    expect(positions).toBeGreaterThan(20);
    expect((scores[2] ?? 0) - (scores[0] ?? 1)).toBeGreaterThan(0.1);
    expect((scores[4] ?? 0) - (scores[2] ?? 1)).toBeGreaterThan(0);
    expect(callCell(POOL, 'draw the path', 'close', 24)?.scores).toEqual(scores);
  });

  it('answer as anybody’s device does: what they say is taken', () => {
    for (const [k, kind] of (['draw the path', 'does it pass', 'where on the cushion'] as const).entries()) {
      const question = poseCall(POOL, kind, 'fair', 30 + k);
      if (question?.kind !== kind) throw new Error(`no position to ask "${kind}" of`);
      for (const { name } of LEVELS) {
        const answer = virtualCall(callerAt(name), question, 'fair');
        expect(callAnswerSchema.isValidSync(writtenAnswer(answer))).toBe(true);
        const score = scoreCall(question, answer);
        expect(score).toBeGreaterThanOrEqual(0);
        expect(score).toBeLessThanOrEqual(1);
      }
    }
  });

  it('see what is plain to see, those who cue well nearly always', () => {
    const { scores = [], positions } = callCell(POOL, 'in-off or not', 'plain', 12) ?? {};
    expect(positions).toBeGreaterThan(8);
    expect(scores[4]).toBeGreaterThan(0.85);
  });

  it('play the ball of their own plan first: who looks at the pot alone takes the easiest', () => {
    const { cue, balls } = thrownTable(4, 12);
    const ids = balls.map(({ id }) => id);
    const question: LevelQuestion = {
      kind: 'which ball first',
      shot: shotOf(POOL, [cue, ...balls]),
      pot: '1',
      pocket: 'foot-left',
      truth: '1',
      worth: ids.map((pick) => ({ pick, value: 0.5 })),
    };
    const error = executionErrorOf('title', 'pool');
    const plan = OrderPlanner.of({ table: POOL, balls, game: anyOrder(ids), error, detail: GLANCE });
    const best = plan?.choose(ids, cue, balls)?.ball;
    expect(virtualCall(callerAt('title'), question, 'fair')).toEqual({ kind: 'pick', pick: best });
    for (const { name } of LEVELS) {
      const answer = virtualCall(callerAt(name), question, 'fair');
      expect(scoreCall(question, answer)).toBe(1);
    }
    const order = virtualCall(
      callerAt('first season'),
      { ...question, kind: 'whole order', truth: ids, worth: [] },
      'fair',
    );
    expect(order.kind === 'order' && [...order.order].sort()).toEqual(ids);
  });

  it('know that hair-fine positions may be too close, and say so of what they see both ways', () => {
    const obstacle = ball('2', 1.5, 0.5);
    const asked = (direction: number): LevelQuestion => ({
      kind: 'does it pass',
      shot: shotOf(POOL, [cueBall(0.6, 0.5), ball('1', 1.2, 0.62), obstacle], { direction, speed: 2.4 }),
      pot: '1',
      pocket: 'foot-left',
      obstacle,
      truth: 'yes',
      marginMm: undefined,
      share: 0,
    });
    const said = (question: LevelQuestion, difficulty: 'plain' | 'hair-fine') => {
      const verdicts = new Set<string>();
      for (let seed = 1; seed <= 30; seed++) {
        const answer = virtualCall(callerAt('first season', seed), question, difficulty);
        if (answer.kind === 'verdict') verdicts.add(answer.verdict);
      }
      return [...verdicts].sort();
    };
    const open = Array.from({ length: 20 }, (_, i) => asked(0.01 * i)).filter(
      (question) => said(question, 'plain').length > 1,
    );
    expect(open.length).toBeGreaterThan(0);
    for (const question of open) {
      expect(said(question, 'plain')).toEqual(['no', 'yes']);
      expect(said(question, 'hair-fine')).toContain('too close');
    }
  });
});
