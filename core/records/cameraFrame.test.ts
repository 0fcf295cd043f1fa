import { Ajv2020 } from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { buildTable } from '../table/table.ts';
import { frameLine, LONGEST_LINE, readFrame } from './cameraFrame.ts';

const table = buildTable('pool-9ft');
const schema = JSON.parse(readFileSync('docs/schema/camera-frame.schema.json', 'utf8')) as object;
const fits = new Ajv2020().compile(schema);
const FRAME = {
  camera: 1,
  seq: 7,
  at: 0.5,
  covered: false,
  balls: [{ ball: 'cue', x: 1203.4, y: 611, confidence: 0.97 }],
};

describe('a line of a camera', () => {
  it('is read as a frame in metres, and written as it was', () => {
    const line = JSON.stringify(FRAME);
    expect(fits(FRAME)).toBe(true);
    const frame = readFrame(line, table);
    expect(frame).toEqual({
      seq: 7,
      at: 0.5,
      isCovered: false,
      balls: [{ name: 'cue', at: { x: 1.2034, y: 0.611 }, confidence: 0.97 }],
    });
    expect(JSON.parse(frameLine(frame))).toEqual(FRAME);
  });

  it.each([
    ['camera', { camera: 2 }],
    ['seq', { seq: -1 }],
    ['seq', { seq: 1.5 }],
    ['at', { at: 'now' }],
    ['at', { at: -1 }],
    ['covered', { covered: 'no' }],
    ['balls', { balls: null }],
    ['balls', { balls: Array.from({ length: 41 }, () => FRAME.balls[0]) }],
    ['balls[0].ball', { balls: [{ ...FRAME.balls[0], ball: ' ' }] }],
    ['balls[0].x', { balls: [{ ...FRAME.balls[0], x: '12' }] }],
    ['balls[0].confidence', { balls: [{ ...FRAME.balls[0], confidence: 1.2 }] }],
    ['picture', { picture: 'of somebody' }],
  ])('that has another %s is refused by its name, and by the schema', (field, change) => {
    const frame = { ...FRAME, ...change };
    expect(fits(frame)).toBe(false);
    expect(() => readFrame(JSON.stringify(frame), table)).toThrow(field);
  });

  it('beside the table, without an end, too long or no JSON is refused', () => {
    const beside = { ...FRAME, balls: [{ ...FRAME.balls[0], x: 2_800 }] };
    expect(() => readFrame(JSON.stringify(beside), table)).toThrow('balls[0] lies beside the table');
    expect(() => readFrame('{"camera":1,', table)).toThrow('no JSON');
    expect(() => readFrame(' '.repeat(LONGEST_LINE + 1), table)).toThrow('too long');
  });
});
