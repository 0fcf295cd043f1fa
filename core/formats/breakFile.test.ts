import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { answerBreakFile } from './breakFile.ts';

const QUESTION = {
  format: 'jolly-rail/breaks',
  version: 1,
  table: 'pool-9ft',
  rack: { kind: 'nine', quality: 'template' },
  cueBall: { x: 0.635, y: 0.12 },
  speed: 6,
  player: 'match',
  breaks: 60,
  seed: 5,
};

function told(question: object) {
  const answer = answerBreakFile(question);
  if ('error' in answer) throw new Error(answer.error);
  return answer;
}

describe('a question for a break', () => {
  it('is answered with shares that agree with each other, the same from the same seed', () => {
    const answer = told(QUESTION);
    expect(answer.breaks).toBe(60);
    expect(answer.falls.map(({ place }) => place)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
    const down = answer.falls.reduce((sum, { share }) => sum + share, 0);
    expect(down).toBeCloseTo(answer.ballsDown, 9);
    for (const wing of [answer.wing.near, answer.wing.far]) {
      expect(Object.values(wing).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    }
    expect(answer.made.share + answer.dry.share).toBeLessThanOrEqual(1);
    expect(answer.cueBallRests.length).toBeLessThanOrEqual(60);
    answer.rests.forEach((places, place) =>
      expect(places.length).toBeLessThanOrEqual(60 - Math.round(60 * answer.falls[place]!.share)),
    );
    expect(told(QUESTION)).toEqual(answer);
    expect(told({ ...QUESTION, seed: 6 })).not.toEqual(answer);
  });

  it('can name gaps, the order of the numbers, sizes of the rack, the aim and the errors', () => {
    const open = { ...QUESTION, rack: { kind: 'nine', gaps: [{ between: [0, 1], mm: 0.5 }] } };
    expect(told(open).wing.near).not.toEqual(told(QUESTION).wing.near);
    told({
      ...QUESTION,
      rack: {
        kind: 'nine',
        order: ['1', '9', '2', '3', '4', '5', '6', '7', '8'],
        quality: { gapMm: 0.1, offsetMm: 1, tiltDeg: 0.5 },
      },
      aim: { ball: 2, covered: 0.7, past: 'right' },
      tip: { side: 0.2, height: 0.1 },
      elevation: 4,
      player: { directionDeg: 0.1, speed: 0.05, tip: 0.05, elevationDeg: 0.5 },
      breaks: 5,
    });
    const snooker = {
      ...QUESTION,
      table: 'snooker-12ft',
      rack: { kind: 'reds' },
      cueBall: { x: 0.7, y: 1.1 },
      breaks: 5,
    };
    expect(told(snooker).clears).toBeNull();
  });

  it.each([
    [{ rack: { kind: 'nine', gaps: [{ between: [0, 8], mm: 0.1 }] } }, /no neighbours/],
    [{ rack: { kind: 'nine', gaps: [{ between: [3, 12], mm: 0.1 }] } }, /place 12/],
    [{ rack: { kind: 'nine', order: ['1'] } }, /rack\.order/],
    [{ rack: { kind: 'seven' } }, /rack\.kind/],
    [{ rack: { kind: 'nine', quality: { gapMm: -1, offsetMm: 0, tiltDeg: 0 } } }, /rack\.quality\.gapMm/],
    [{ cueBall: { x: 0, y: 0 } }, /cueBall/],
    [{ cueBall: { x: 1.905, y: 0.635 } }, /overlaps/],
    [{ aim: { ball: 12 } }, /no ball 12/],
    [{ aim: { covered: 0 } }, /aim\.covered/],
    [{ speed: 0 }, /speed/],
    [{ breaks: 0 }, /breaks/],
    [{ player: 'nobody' }, /player/],
    [{ colour: 'red' }, /unknown field colour/],
    [{ rack: { kind: 'reds' } }, /pink spot/],
  ])('%j is an error that names the field', (change, message) => {
    const answer = answerBreakFile({ ...QUESTION, ...change });
    expect('error' in answer ? answer.error : '').toMatch(message);
  });

  it('takes what its schema takes', () => {
    const schema: unknown = JSON.parse(readFileSync('docs/schema/breaks.schema.json', 'utf8'));
    if (typeof schema !== 'object' || schema === null) throw new Error('no schema');
    const valid = new Ajv2020({ strict: false }).compile(schema);
    expect(valid(QUESTION)).toBe(true);
    for (const wrong of [{ speed: 0 }, { breaks: 0 }, { colour: 'red' }, { rack: { kind: 'seven' } }]) {
      expect(valid({ ...QUESTION, ...wrong })).toBe(false);
    }
  });
});
