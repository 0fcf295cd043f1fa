import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drillSchema, type Drill } from '../records/drill.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { CUE_BALL, layOut } from './layout.ts';
import { mirrorDrill } from './mirror.ts';
import { problemsOf } from './problems.ts';
import { atStation, stationOfAttempt, stationsOf } from './station.ts';

const drill = drillSchema.validateSync(JSON.parse(readFileSync('library/one-bounce.drill.json', 'utf8')));
const preset = TABLE_PRESETS[drill.table];
const cueOf = (each: Drill) => layOut(each, preset).find(({ id }) => id === CUE_BALL)!;
const fields = (each: Drill) => [...new Set(problemsOf(each).map(({ field }) => field))];
const without = (each: Drill): Drill => ({ ...each, stations: undefined });

describe('the stations of a drill', () => {
  it('are taken in turn, and from the first again', () => {
    expect(stationsOf(drill)).toBe(5);
    expect([1, 2, 5, 6, 11].map((attempt) => stationOfAttempt(drill, attempt))).toEqual([1, 2, 5, 1, 1]);
    const along = [1, 2, 3, 4, 5, 6].map(
      (attempt) => (8 * cueOf(atStation(drill, attempt)).x) / preset.length,
    );
    [1, 1.5, 2, 2.5, 3, 1].forEach((diamond, i) => expect(along[i]).toBeCloseTo(diamond, 9));
  });

  it('leave the other balls where they lie, and a drill without them as it is', () => {
    const others = (each: Drill) => layOut(each, preset).filter(({ id }) => id !== CUE_BALL);
    expect(others(atStation(drill, 3))).toEqual(others(drill));
    expect(stationsOf(without(drill))).toBe(1);
    expect(atStation(without(drill), 7)).toEqual(without(drill));
  });

  it('stand on the other side of the middle line in the mirror', () => {
    const mirrored = mirrorDrill(drill, preset.width);
    for (let attempt = 1; attempt <= 5; attempt++) {
      const [here, there] = [cueOf(atStation(drill, attempt)), cueOf(atStation(mirrored, attempt))];
      expect(there.x).toBeCloseTo(here.x, 9);
      expect(there.y).toBeCloseTo(preset.width - here.y, 9);
    }
  });

  it('need a cue ball, room, and a task that goes through them', () => {
    expect(fields(drill)).toEqual([]);
    const noCue = { ...drill, balls: drill.balls.filter(({ id }) => id !== CUE_BALL) };
    expect(fields(noCue)).toContain('stations');
    const eight = drill.balls.find(({ id }) => id === '8')!;
    expect(fields({ ...drill, stations: [{ diamonds: { along: 1, across: 1 } }, eight.at] })).toEqual([
      'balls',
    ]);
    expect(fields({ ...drill, stations: [eight.at] })).toEqual(['stations']);
    const position = drillSchema.validateSync(JSON.parse(readFileSync('library/slipway.drill.json', 'utf8')));
    expect(fields({ ...position, stations: drill.stations })).toContain('stations');
  });
});
