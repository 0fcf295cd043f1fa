import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { buildTable } from '../table/table.ts';
import { guidedShots } from './guidedShots.ts';
import { timesHeard } from './hearing.ts';
import { readOff } from './reading.ts';

const table = buildTable('pool-9ft');
const shots = guidedShots(table);

/** A shot as it really went: harder or softer than it is told. */
function played(id: string, harder: number) {
  const guided = shots.find((each) => each.id === id);
  if (guided === undefined) throw new Error(`there is no ${id}`);
  const { strike } = guided.shot;
  const real = simulate(
    { ...guided.shot, strike: { ...strike, speed: strike.speed * harder } },
    { paths: true },
  );
  const knocks = real.events.flatMap(({ kind, t }) =>
    kind === 'ball-ball' || kind === 'ball-cushion' ? [t] : [],
  );
  return { guided, real, knocks, foretold: simulate(guided.shot, { paths: true }) };
}

describe('the times of a shot from a recording', () => {
  it.each([
    ['angle 45 slow', 0.85],
    ['angle 60 firm', 1.15],
    ['three cushions', 1.1],
    ['stun 2', 0.9],
    ['half ball 1', 1.2],
    ['lag 3', 0.9],
  ])('%s: are those that it really took, however hard it was played', (id, harder) => {
    const { guided, real, knocks, foretold } = played(id, harder);
    // The recording began some time before, and somebody had set a ball down.
    const start = 3.2;
    const impacts = [0.4, start, ...knocks.map((at) => start + at)];
    const heard = timesHeard(guided, foretold, impacts);
    guided.readings.forEach((reading, i) => {
      if (reading.kind !== 'time') {
        expect(heard[i]).toBeUndefined();
        return;
      }
      expect(heard[i]).toBeCloseTo(readOff(real, reading) ?? NaN, 6);
    });
  });

  it('what ends without a sound, and what is not heard, stays open', () => {
    const { guided, knocks, foretold } = played('lag 1', 1);
    const heard = timesHeard(guided, foretold, [1, ...knocks.map((at) => 1 + at)]);
    // Place of rest, tip to cushion, cushion to the stop.
    expect(heard.map((each) => each !== undefined)).toEqual([false, true, false]);
    expect(timesHeard(guided, foretold, []).every((each) => each === undefined)).toBe(true);
    expect(timesHeard(guided, foretold, [1]).every((each) => each === undefined)).toBe(true);
  });
});
