import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { answerKickFile } from './kickFile.ts';

const QUESTION = {
  format: 'jolly-rail/kicks',
  version: 1,
  table: 'pool-9ft',
  balls: [
    { id: '1', x: 1.8, y: 0.7 },
    { id: '2', x: 0.75, y: 0.53 },
  ],
  cueBall: { x: 0.6, y: 0.5 },
  target: '1',
  stroke: { speed: 2.4, tip: { side: 0, height: 0 }, elevation: 0 },
  mostCushions: 2,
};

function stretchesFor(question: object) {
  const answer = answerKickFile(question);
  if ('error' in answer || answer.stretches === undefined) throw new Error(JSON.stringify(answer));
  return answer.stretches;
}

describe('a question for the ways to a ball', () => {
  it('is answered with stretches in degrees, the widest first, and what comes of each', () => {
    const stretches = stretchesFor(QUESTION);
    expect(stretches.length).toBeGreaterThan(3);
    const widths = stretches.map(({ low, high }) => high - low);
    expect(widths).toEqual([...widths].sort((a, b) => b - a));
    for (const { low, high, cushions, firstBall, aim, rests } of stretches) {
      expect([low >= -180, low < 180, high > low]).toEqual([true, true, true]);
      expect(firstBall).toBe('1');
      expect(cushions.length).toBeLessThanOrEqual(2);
      expect(aim === null).toBe(cushions.length === 0);
      if (typeof aim?.sights === 'number') expect(aim.sights >= 0 && aim.sights <= 8).toBe(true);
      expect(rests.map(({ id }) => id).sort()).toEqual(['1', '2', 'cue']);
    }
    expect(stretchesFor(QUESTION)).toEqual(stretches);
  });

  it('tells a chance for a player, a better one for a better player, and any ball where none is named', () => {
    const best = (player: string) =>
      Math.max(
        ...stretchesFor({ ...QUESTION, player }).map((line) => ('chance' in line ? line.chance.met : 0)),
      );
    expect(best('title')).toBeGreaterThanOrEqual(best('first season'));
    expect(best('first season')).toBeGreaterThan(0);
    const { target, ...open } = QUESTION;
    const balls = new Set(stretchesFor(open).map(({ firstBall }) => firstBall));
    expect(balls).toEqual(new Set([target, '2']));
  });

  it('finds families over paces and sides, or says that there is nothing', () => {
    const answer = answerKickFile({ ...QUESTION, stroke: 'any', mostCushions: 1 });
    if ('error' in answer) throw new Error(answer.error);
    expect(answer.found).toBe(true);
    expect(answer.families?.[0]?.strokes.length).toBeGreaterThan(0);
    expect(answer.hidden.map(({ ball }) => ball)).toEqual(['1']);
    // The other ball hides it.
    expect(answerKickFile({ ...QUESTION, mostCushions: 0 })).toEqual({
      found: false,
      hidden: [{ ball: '1', seen: 0, usable: 0 }],
      stretches: [],
    });
  });

  it.each([
    [{ ...QUESTION, target: '9' }, 'target names 9'],
    [{ ...QUESTION, target: [] }, 'target must name at least one ball'],
    [{ ...QUESTION, stroke: 'hard' }, 'stroke must be a stroke or "any"'],
    [{ ...QUESTION, stroke: { ...QUESTION.stroke, speed: 0 } }, 'stroke.speed must be above zero'],
    [{ ...QUESTION, mostCushions: 9 }, 'mostCushions must be at most 8'],
    [{ ...QUESTION, side: 'top' }, 'side must be'],
    [{ ...QUESTION, cueBall: 'in hand' }, 'cueBall'],
    [{ ...QUESTION, player: 'champion' }, 'player must be'],
    [{ ...QUESTION, balls: [{ id: 'cue', x: 1, y: 1 }] }, 'a name of its own'],
    [{ ...QUESTION, colour: 'red' }, 'unknown field colour'],
    [{ ...QUESTION, balls: [...QUESTION.balls, { id: '3', x: 1.81, y: 0.7 }] }, 'ball 3: overlaps ball 1'],
    [{ ...QUESTION, cueBall: { x: 9, y: 0.5 } }, 'ball cue: lies outside the cushions'],
    [{ ...QUESTION, stroke: { ...QUESTION.stroke, tip: { side: 0.9, height: 0 } } }, 'tip'],
  ])('names the field that is wrong: %#', (question, words) => {
    const answer = answerKickFile(question);
    expect('error' in answer ? answer.error : 'accepted').toContain(words);
  });

  it('is described by its schema', () => {
    const schema: unknown = JSON.parse(readFileSync('docs/schema/kicks.schema.json', 'utf8'));
    if (typeof schema !== 'object' || schema === null) throw new Error('no schema');
    const accepts = new Ajv2020({ strict: false }).compile(schema);
    const good = [
      QUESTION,
      { ...QUESTION, stroke: 'any', player: 'team', side: 'left' },
      { ...QUESTION, target: ['1', '2'], pocket: 'foot-left' },
    ];
    for (const question of good) expect(accepts(question), JSON.stringify(accepts.errors)).toBe(true);
    const bad = [
      { ...QUESTION, stroke: 'hard' },
      { ...QUESTION, mostCushions: 9 },
      { ...QUESTION, colour: 'red' },
      { ...QUESTION, target: [] },
    ];
    for (const question of bad) expect(accepts(question)).toBe(false);
  });
});
