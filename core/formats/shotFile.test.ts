import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { PRESET_IDS } from '../table/preset.ts';
import { standardCard, tableOfCard } from '../table/card.ts';
import { buildTable, tableFingerprint } from '../table/table.ts';
import { simulate } from '../motion/simulate.ts';
import { playShotFile, readShotFile, writeShotFile } from './shotFile.ts';
import { shotFileSchema } from './shotFileSchema.ts';

const shot = {
  format: 'jolly-rail/shot',
  version: 1,
  table: 'pool-9ft',
  balls: [
    { id: 'cue', x: 0.635, y: 0.635 },
    { id: '1', x: 1.905, y: 0.635 },
  ],
  strike: { ball: 'cue', speed: 2, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 },
  parameters: { slidingFriction: 0.2 },
};

describe('the shot file', () => {
  it('is read in the units of the core and played', () => {
    const read = readShotFile({ ...shot, strike: { ...shot.strike, direction: 90, elevation: 45 } });
    expect(read.strike.direction).toBeCloseTo(Math.PI / 2, 12);
    expect(read.strike.elevation).toBeCloseTo(Math.PI / 4, 12);
    const result = playShotFile(shot);
    if ('error' in result) throw new Error(result.error);
    // Slides 12·v²/(49·μs·g) and then rolls: it reaches the ball at 1.27 m less a ball.
    expect(result.events[0]).toMatchObject({ kind: 'rolling', ids: ['cue'] });
    expect(result.events[0]!.t).toBeCloseTo((2 * 2) / (7 * 0.2 * 9.81), 9);
    expect(result.events[1]).toMatchObject({ kind: 'ball-ball', ids: ['cue', '1'] });
    expect(result.rest.map((b) => b.id)).toEqual(['cue', '1']);
    expect(result.duration).toBe(result.events.at(-1)!.t);
  });

  it('knows tables of any size, with or without pockets, and balls of any kind', () => {
    const plain = readShotFile({
      ...shot,
      table: { length: 2, width: 1, pockets: 'none' },
      balls: [{ ...shot.balls[0], radius: 0.03, mass: 0.2 }],
    });
    expect(plain.table.pockets).toHaveLength(0);
    expect(plain.balls[0]).toMatchObject({ radius: 0.03, mass: 0.2 });
    expect(simulate({ ...plain, strike: { ...plain.strike, direction: 0.7 } }).complete).toBe(true);
    const odd = readShotFile({ ...shot, table: { length: 2, width: 1.2, pockets: 'snooker-12ft' } });
    expect(odd.table.pockets).toHaveLength(6);
    expect(odd.table.length).toBe(2);
    const small = readShotFile({ ...shot, table: 'eight-7ft' });
    expect(small.balls.map((b) => b.mass)).toEqual([0.097, 0.118]);
  });

  it.each([
    ['format', { ...shot, format: 'other' }],
    ['version', { ...shot, version: 2 }],
    ['table must be one of', { ...shot, table: 'billiard' }],
    ['balls is missing', { ...shot, balls: undefined }],
    ['balls[0].x', { ...shot, balls: [{ id: 'cue', x: 'a', y: 0.5 }] }],
    ['strike.direction', { ...shot, strike: { ...shot.strike, direction: null } }],
    ['slidingfriction', { ...shot, parameters: { slidingfriction: 0.2 } }],
    ['parameters.ballRestitution', { ...shot, parameters: { ballRestitution: 2 } }],
    ['ball 1: overlaps ball cue', { ...shot, balls: [shot.balls[0], { id: '1', x: 0.65, y: 0.635 }] }],
    ['miscue', { ...shot, strike: { ...shot.strike, tip: { side: 0.5, height: 0.5 } } }],
  ])('that is wrong says so: %s', (message, file) => {
    const result = playShotFile(file);
    expect('error' in result && result.error).toContain(message);
  });

  it('written and read again is the same shot', () => {
    const table = buildTable('snooker-12ft', { rollingFriction: 0.005 });
    const original = {
      table,
      balls: [{ id: 'cue', x: 1, y: 0.5, radius: 0.02625, mass: 0.141 }],
      strike: { ball: 'cue', speed: 3, direction: 1.25, tip: { side: 0.2, height: -0.1 }, elevation: 0.3 },
    };
    const again = readShotFile(JSON.parse(JSON.stringify(writeShotFile(original))));
    expect(again.table.parameters).toEqual(table.parameters);
    expect(again.balls).toEqual(original.balls);
    expect(again.strike.direction).toBeCloseTo(1.25, 12);
    expect(writeShotFile(original).parameters).toEqual({ rollingFriction: 0.005 });
  });
});

it('a shot on a club’s table keeps its size, pockets and cloth when written and read again', () => {
  const card = {
    ...standardCard('pool-9ft'),
    pockets: 'tight' as const,
    measured: [
      { name: 'length' as const, value: 2.52, source: 'tape' },
      { name: 'cushionRestitutionFall' as const, value: 0.01, source: 'two paces' },
    ],
  };
  const table = tableOfCard(card, null);
  const balls = [{ id: 'cue', x: 1, y: 0.5, radius: 0.028575, mass: 0.17 }];
  const strike = { ball: 'cue', speed: 3, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 };
  const again = readShotFile(JSON.parse(JSON.stringify(writeShotFile({ table, balls, strike })))).table;
  expect(tableFingerprint(again)).toBe(tableFingerprint(table));
  expect(again.pockets).toEqual(table.pockets);
});

describe('the published schema', () => {
  const schema = JSON.parse(readFileSync('docs/schema/shot.schema.json', 'utf8')) as {
    properties: Record<string, { properties?: Record<string, object> }>;
    required: string[];
    $defs: { preset: { enum: string[] } };
  };

  it('names the same fields, parameters and tables as the code', () => {
    const fields = shotFileSchema.fields;
    expect(Object.keys(schema.properties).sort()).toEqual(Object.keys(fields).sort());
    expect(schema.required.sort()).toEqual(
      Object.keys(fields)
        .filter((name) => name !== 'parameters' && name !== 'pocketSizes')
        .sort(),
    );
    expect(schema.$defs.preset.enum).toEqual([...PRESET_IDS]);
    for (const name of Object.keys(schema.properties['parameters']!.properties!)) {
      const value = name === 'ballFriction' ? { a: 0, b: 0, c: 0 } : 0.5;
      expect(playShotFile({ ...shot, parameters: { [name]: value } })).not.toHaveProperty('error');
    }
  });
});
