import { expect, it } from 'vitest';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { COUNTING_METHODS } from '../../../core/records/drillText/counting.ts';
import { FIRST_SCORING } from '../../../core/drill/draft.ts';
import { courseOf } from '../../testing/courses.ts';
import { countedOrWhy, putEntered } from './fields.ts';
import { fieldsFor } from './fieldsFor.ts';
import { DoneFields } from './DoneFields.tsx';
import { ShotFields } from './ShotFields.tsx';

const position = courseOf('harbour-turn', 2);
const landed = (x: number, y: number) =>
  logOf({ shots: [{ ...BLANK_SHOT, ball: '1', potted: ['1'], landing: { x, y } }] });

it('a landing that the server would refuse is said before it is sent, and is no preview', () => {
  const { length, width, cueBallRadius: radius } = position.counting.preset;
  for (const [x, y] of [
    [length + 1, 0.5],
    [1, -0.2],
    [radius / 2, 0.5],
    [1, width - radius / 2],
  ] as const) {
    expect(countedOrWhy(position, landed(x, y))).toMatch(/^Not yet: the cue ball would lie/);
  }
  expect(countedOrWhy(position, landed(radius, width - radius))).toMatchObject({ done: true });
});

it('every way of counting has fields of its own to tell an attempt otherwise', () => {
  const { drill } = courseOf('key-and-lock').counting;
  for (const method of COUNTING_METHODS) {
    expect(fieldsFor({ ...drill, scoring: FIRST_SCORING[method] })).toBeTypeOf('function');
  }
  expect(fieldsFor(position.counting.drill)).toBe(ShotFields);
  expect(fieldsFor(drill)).toBe(DoneFields);
});

it('a clearance that was logged shot by shot is told by its result from then on', () => {
  const course = courseOf('key-and-lock');
  const log = logOf({ shots: ['2', '1', '8'].map((ball) => ({ ...BLANK_SHOT, ball, potted: [ball] })) });
  const told: ReturnType<typeof logOf>[] = [];
  putEntered({ course, log, onLog: (next) => told.push(next) }, { done: false, balls: 1 });
  expect(told).toMatchObject([{ shots: [], detail: 'quick', entered: { done: false, balls: 1 } }]);
  expect(countedOrWhy(course, told[0] ?? log)).toMatchObject({ done: false, balls: 1 });
});
