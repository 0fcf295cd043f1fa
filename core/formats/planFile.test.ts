import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { simulate } from '../motion/simulate.ts';
import { POOL } from '../testing/balls.ts';
import { answerPlanFile } from './planFile.ts';

const QUESTION = {
  format: 'jolly-rail/plan',
  version: 1,
  table: 'pool-9ft',
  balls: [
    { id: '1', x: 1.5, y: 0.7 },
    { id: '2', x: 2.1, y: 0.9 },
    { id: '3', x: 1.9, y: 0.35 },
  ],
  cueBall: { x: 1, y: 0.5 },
  order: { kind: 'rotation' },
  player: 'match',
  seconds: 1,
  seed: 3,
  play: 8,
};

describe('a question for the order of a clearance', () => {
  it('is answered with the steps in order, each with its stroke, and a chance from play-outs', () => {
    const answer = answerPlanFile(QUESTION);
    if (!('found' in answer) || !answer.found) throw new Error('no plan');
    expect(answer.order).toEqual(['1', '2', '3']);
    expect(answer.steps.map(({ ball }) => ball)).toEqual(answer.order);
    expect(answer.chance.plays).toBe(8);
    expect(answer.chance.low).toBeLessThanOrEqual(answer.chance.share);
    expect(answer.chance.share).toBeLessThanOrEqual(answer.chance.high);
    expect(answer.ends['cleared']).toBe(8 * answer.chance.share);
    for (const { strike, chance, landing } of answer.steps) {
      expect(strike.speed).toBeGreaterThan(0);
      expect(Math.abs(strike.direction)).toBeLessThanOrEqual(180);
      expect(chance).toBeGreaterThan(0.5);
      expect([landing.x > 0 && landing.x < 2.54, landing.y > 0 && landing.y < 1.27]).toEqual([true, true]);
    }
    expect(answerPlanFile(QUESTION)).toEqual(answer);
  });

  it('plays no more once its seconds are over, unless it is told how often', () => {
    let now = 0;
    const late = () => (now += 700);
    const playsOf = (question: object) => {
      const answer = answerPlanFile(question, late);
      if (!('found' in answer) || !answer.found) throw new Error('no plan');
      expect(Object.values(answer.ends).reduce((sum, n) => sum + n, 0)).toBe(answer.chance.plays);
      return answer.chance.plays;
    };
    const { play, ...whole } = QUESTION;
    const open = { ...whole, balls: whole.balls.slice(0, 1) };
    expect(playsOf({ ...open, seconds: 0.5 })).toBe(8);
    // The clock is looked at before each play-out from the ninth on: 0.7 s more each time.
    expect(playsOf({ ...open, seconds: 1.5 })).toBe(10);
    expect(playsOf({ ...open, seconds: 0.5, play: play + 4 })).toBe(12);
  });

  it('keeps to wishes, and to a pocket in turn where the drill asks for it', () => {
    // Both lie for the same corner pocket.
    const two = {
      ...QUESTION,
      balls: [
        { id: '1', x: 2.25, y: 1.1 },
        { id: '2', x: 2.3, y: 0.95 },
      ],
      cueBall: { x: 1.6, y: 0.7 },
      order: { kind: 'any' },
    };
    const stepsOf = (question: object) => {
      const answer = answerPlanFile(question);
      if (!('found' in answer) || !answer.found) throw new Error('no plan');
      return answer.steps.map(({ ball, pocket }) => ({ ball, pocket }));
    };
    const free = stepsOf(two);
    expect(new Set(free.map(({ pocket }) => pocket))).toEqual(new Set(['foot-left']));
    const inTurn = stepsOf({ ...two, conditions: ['alternating pockets'] });
    expect(inTurn[0]?.pocket).not.toBe(inTurn[1]?.pocket);
    const other = free[1]?.ball ?? '';
    expect(stepsOf({ ...two, wishes: { locked: [{ step: 1, ball: other }] } })[0]?.ball).toBe(other);
    expect(
      stepsOf({ ...two, wishes: { forbidden: [{ step: 1, ball: free[0]?.ball ?? '' }] } })[0]?.ball,
    ).toBe(other);
    // As near to one corner as to the other.
    const one = { ...two, balls: [{ id: '1', x: 1.9, y: 0.635 }], cueBall: { x: 1.2, y: 0.635 } };
    for (const pocket of ['foot-left', 'foot-right']) {
      expect(stepsOf({ ...one, wishes: { pockets: [{ ball: '1', pocket }] } })).toEqual([
        { ball: '1', pocket },
      ]);
    }
  });

  it('makes no stroke of a plan that breaks a condition', () => {
    const answer = answerPlanFile({ ...QUESTION, conditions: ['no cushion'], order: { kind: 'any' } });
    if (!('found' in answer) || !answer.found) throw new Error('no plan');
    for (const { cushions } of answer.steps) expect(cushions).toEqual([]);
  });

  it('says what blocks where nothing can be played', () => {
    // In the mouth of each corner and in front of both middle pockets lies another ball, close to the first.
    const answer = answerPlanFile({
      ...QUESTION,
      order: { kind: 'listed', balls: ['1'] },
      balls: [
        { id: '1', x: 0.04, y: 0.635 },
        { id: '2', x: 0.097, y: 0.62 },
        { id: '3', x: 0.04, y: 0.693 },
        { id: '4', x: 0.04, y: 0.577 },
        { id: '5', x: 0.096, y: 0.68 },
        { id: '6', x: 0.098, y: 0.56 },
      ],
    });
    if (!('found' in answer) || answer.found) throw new Error('there is a plan');
    expect(answer.why).toMatch(/no ball/);
    const own = answer.blocked.find(({ ball }) => ball === '1');
    expect(own?.by.length).toBeGreaterThan(0);
  });

  it('says which suit is the better one, and calls the same a tie', () => {
    const suits = { kind: 'suits', suits: [['1'], ['9']], last: '8', both: false };
    const asked = (nine: { readonly x: number; readonly y: number }) => {
      const balls = [
        { id: '1', x: 2.2, y: 0.3 },
        { id: '9', ...nine },
        { id: '8', x: 0.9, y: 0.635 },
      ];
      const answer = answerPlanFile({
        ...QUESTION,
        cueBall: { x: 1.7, y: 0.635 },
        balls,
        order: suits,
        play: 16,
      });
      if (!('found' in answer) || !answer.found) throw new Error('no plan');
      return answer;
    };
    // Where it lies the one ball is an easy pot; the other one is frozen to the middle of a short cushion, far away.
    const far = asked({ x: 0.0286, y: 0.55 });
    expect(far.suits?.better).toBe(1);
    expect(far.order[0]).toBe('1');
    // The same in the mirror.
    const alike = asked({ x: 2.2, y: 0.97 });
    expect(alike.suits?.chances).toHaveLength(2);
    expect(alike.suits?.better).toBeNull();
  });

  it('plays every ball by a cushion first where the drill asks for it', () => {
    const balls = [
      { id: '1', x: 2.4, y: 0.16 },
      { id: '2', x: 2.38, y: 1.1 },
    ];
    const question = { ...QUESTION, balls, player: 'match', play: 16 };
    const straight = answerPlanFile(question);
    const answer = answerPlanFile({ ...question, conditions: ['cushion first'] });
    if (!('found' in answer) || !answer.found) throw new Error('no plan');
    if (!('found' in straight) || !straight.found) throw new Error('no straight plan');
    const [first] = answer.steps;
    const { ballRadius: radius, ballMass: mass } = POOL.preset;
    const strike = {
      ...first!.strike,
      ball: 'cue',
      direction: toRadians(first!.strike.direction),
      elevation: toRadians(first!.strike.elevation),
    };
    const lying = [{ id: 'cue', ...answer.cueBall }, ...balls].map((at) => ({ ...at, radius, mass }));
    const { events, rest } = simulate({ table: POOL, balls: lying, strike });
    expect(events.find(({ kind }) => kind === 'ball-cushion' || kind === 'ball-ball')?.kind).toBe(
      'ball-cushion',
    );
    expect(rest.find(({ id }) => id === first!.ball)?.pocket).toBe(first!.pocket);
    // Harder than straight, and no fault of the condition among its ends.
    expect(answer.chance.share).toBeGreaterThan(0.3);
    expect(answer.chance.share).toBeLessThan(straight.chance.share);
    // Whoever cues worse brings it off less often, and is still told how.
    const regular = answerPlanFile({ ...question, player: 'regular', conditions: ['cushion first'] });
    if (!('found' in regular) || !regular.found) throw new Error('no plan for a regular player');
    expect(regular.chance.share).toBeLessThan(answer.chance.share);
  });

  it.each([
    ['order', { order: { kind: 'rotatoin' } }],
    ['balls', { balls: [] }],
    ['balls', { balls: [QUESTION.balls[0], QUESTION.balls[0]] }],
    ['ball 4: overlaps ball 1', { balls: [...QUESTION.balls, { id: '4', x: 1.51, y: 0.7 }] }],
    ['ball 1: lies outside', { balls: [{ id: '1', x: 9, y: 0.7 }] }],
    ['ball 1: overlaps ball cue', { cueBall: { x: 1.51, y: 0.7 } }],
    ['cueBall', { cueBall: 'anywhere' }],
    ['player', { player: 'champion' }],
    ['seed', { seed: 0.5 }],
    ['play', { play: 0 }],
    ['speed', { speed: 3 }],
    ['conditions', { conditions: ['blindfold'] }],
  ])('that is not valid gets an error that names %s', (field, change) => {
    const answer = answerPlanFile({ ...QUESTION, ...change });
    expect(answer).toHaveProperty('error');
    expect(JSON.stringify(answer)).toContain(field);
  });

  it('is what the published schema says', () => {
    const schema: unknown = JSON.parse(readFileSync('docs/schema/plan.schema.json', 'utf8'));
    if (typeof schema !== 'object' || schema === null) throw new Error('no schema');
    const isValid = new Ajv2020({ allErrors: true }).compile(schema);
    expect(isValid(QUESTION)).toBe(true);
    expect(isValid({ ...QUESTION, cueBall: 'in hand', conditions: ['no cushion'] })).toBe(true);
    const wishes = {
      locked: [{ step: 1, ball: '2' }],
      forbidden: [],
      pockets: [{ ball: '1', pocket: 'foot-left' }],
    };
    expect(isValid({ ...QUESTION, wishes })).toBe(true);
    for (const change of [
      { order: { kind: 'x' } },
      { balls: [] },
      { cueBall: 'x' },
      { player: 'x' },
      { seed: 0.5 },
      { play: 0 },
      { x: 1 },
      { wishes: { locked: [{ step: 0, ball: '2' }] } },
      { wishes: { pockets: [{ ball: '1', pocket: 'north' }] } },
    ]) {
      expect([change, isValid({ ...QUESTION, ...change })]).toEqual([change, false]);
      expect(answerPlanFile({ ...QUESTION, ...change })).toHaveProperty('error');
    }
  });
});
