import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { buildTable } from '../table/table.ts';
import { guidedShots, SHOT_KINDS } from './guidedShots.ts';
import { errorOf, readOff } from './reading.ts';

const read = (table: ReturnType<typeof buildTable>, id: string) => {
  const guided = guidedShots(table).find((each) => each.id === id);
  if (guided === undefined) throw new Error(`no shot ${id}`);
  const result = simulate(guided.shot, { paths: true });
  return guided.readings.map((reading) => readOff(result, reading));
};

describe.each(PRESET_IDS)('on %s', (id) => {
  const table = buildTable(id, { endMass: 0.006 });

  it('each shot can be read as it is asked for, and no ball falls before it', () => {
    for (const { id: name, shot, readings } of guidedShots(table)) {
      const result = simulate(shot, { paths: true });
      for (const reading of readings)
        expect([name, reading, readOff(result, reading)]).toEqual([name, reading, expect.any(Number)]);
    }
  });

  it('there are shots of each kind, by names of their own', () => {
    const shots = guidedShots(table);
    expect(new Set(shots.map(({ kind }) => kind))).toEqual(new Set(SHOT_KINDS));
    expect(new Set(shots.map(({ id: name }) => name)).size).toBe(shots.length);
  });
});

describe('what a shot tells', () => {
  it('a lag on a slower cloth stops shorter and sooner', () => {
    const [fast, slow] = [0.008, 0.014].map((rollingFriction) =>
      read(buildTable('pool-9ft', { rollingFriction }), 'lag 1'),
    );
    // It comes back from the foot cushion: shorter is nearer to it.
    expect(slow?.[0]).toBeGreaterThan((fast?.[0] ?? 0) + 0.05);
    expect(slow?.[2]).toBeLessThan(fast?.[2] ?? 0);
  });

  it('running side carries on along the next cushion, check side holds back', () => {
    const table = buildTable('pool-9ft');
    expect(read(table, 'running side')[1]).toBeGreaterThan((read(table, 'check side')[1] ?? 0) + 0.2);
  });

  it('a heavier end of the cue squirts farther beside the line', () => {
    const [light, heavy] = [0.003, 0.009].map((endMass) =>
      read(buildTable('pool-9ft', { endMass }), 'squirt 1'),
    );
    const off = (at: readonly (number | undefined)[] | undefined) => Math.abs((at?.[0] ?? NaN) - 1.27 / 2);
    expect(off(heavy)).toBeGreaterThan(off(light) + 0.02);
  });

  it('times are read by the watch, places by the tape', () => {
    const exactness = { tape: 0.005, watch: 0.1 };
    expect(errorOf({ kind: 'time', ball: 'cue', from: 'tip', to: 'rest' }, exactness)).toBe(0.1);
    expect(errorOf({ kind: 'rest', ball: 'cue', axis: 'x' }, exactness)).toBe(0.005);
  });
});
