import type { ShotResult } from '../motion/shot.ts';
import type { GuidedShot } from './guidedShots.ts';
import { momentOf } from './reading.ts';

/** A stroke may be played so much slower or harder than it is told: its times are so much longer or shorter. */
const STRETCH = { least: 1 / 1.6, most: 1.6 } as const;
const STRETCHES = 81;
/** A knock belongs to a moment where it is no further off than this share of the time since the tip, or this, seconds. */
const NEAR_SHARE = 0.12;
const NEAR = 0.05;

/** The knocks that a shot makes: the tip, balls that meet, cushions; seconds after the tip, in their order. */
function knocksOf({ events }: Pick<ShotResult, 'events'>): readonly number[] {
  const heard = events.flatMap(({ kind, t }) => (kind === 'ball-ball' || kind === 'ball-cushion' ? [t] : []));
  return [0, ...heard];
}

/**
 * The times of a guided shot from a recording of it: of the knocks one is the tip, and the shot as the card foretells it, played
 * slower or harder, says which of the others is which.
 * @param result the shot as the card foretells it @param impacts when something knocked, seconds from the beginning of the recording, in their order
 * @returns one for each reading: seconds, or undefined for what is no time, is not heard, or ends where a ball stops without a sound
 */
export function timesHeard(
  guided: GuidedShot,
  result: ShotResult,
  impacts: readonly number[],
): readonly (number | undefined)[] {
  const expected = knocksOf(result);
  let best: { cost: number; heard: readonly (number | undefined)[] } | undefined;
  impacts.forEach((tip, first) => {
    const later = impacts.slice(first).map((at) => at - tip);
    for (let n = 0; n < STRETCHES; n++) {
      const stretch = STRETCH.least * (STRETCH.most / STRETCH.least) ** (n / (STRETCHES - 1));
      const heard = expected.map((at) => nearest(later, at * stretch));
      const cost = expected.reduce((sum, at, k) => {
        const found = heard[k];
        return sum + (found === undefined ? 1 : (Math.abs(found - at * stretch) / reach(at * stretch)) ** 2);
      }, 0);
      // Of two that fit alike the one in which nothing was heard before.
      if (best === undefined || cost < best.cost - 1e-9) best = { cost, heard };
    }
  });
  const at = best?.heard ?? [];
  return guided.readings.map((reading) => {
    if (reading.kind !== 'time') return undefined;
    const [from, to] = [reading.from, reading.to].map((moment) => {
      if (moment === 'rest') return undefined;
      const foretold = momentOf(result, reading.ball, moment);
      return foretold === undefined ? undefined : at[expected.indexOf(foretold)];
    });
    return from === undefined || to === undefined || to <= from ? undefined : to - from;
  });
}

const reach = (at: number) => Math.max(NEAR, NEAR_SHARE * at);

function nearest(later: readonly number[], at: number): number | undefined {
  const near = later.filter((each) => Math.abs(each - at) <= reach(at));
  return near.length === 0
    ? undefined
    : near.reduce((best, each) => (Math.abs(each - at) < Math.abs(best - at) ? each : best));
}
