import { highPass } from './highPass.ts';

/** A knock that can be heard. */
export interface Impact {
  /** Seconds from the beginning of the recording. */
  readonly at: number;
  /** Of its loudest millisecond, dB under the loudest that a recording can hold. */
  readonly level: number;
}

/** Clicks are sharp: what they have above this is looked at, Hz. */
const CORNER = 3_000;
/** Steps of time, and how much is taken together, seconds. */
const STEP = 0.5e-3;
const WINDOW = 1e-3;
/** What lay before: so long, ending so long before the knock, seconds. */
const BACKGROUND = 0.1;
const GAP = 3e-3;
/** A knock rises above what lay before, and above the few milliseconds just before, by these factors of energy. */
const ABOVE_BACKGROUND = 12;
const RISE = 5;
/** Knocks nearer to each other than this are one, seconds. */
const APART = 6e-3;
/** So much is looked at for how loud it is, seconds. */
const LOUDEST_WITHIN = 4e-3;

/** Within APART a knock that is so much stronger than the one before it takes its place, by energy. */
const FAR_STRONGER = 4;

/** The knocks of a recording, and what else is in it. */
export interface Heard {
  /** By time. */
  readonly impacts: readonly Impact[];
  /** What a knock had to exceed to be heard, between two moments: the most of it, dB like levels. */
  readonly deafness: (from: number, to: number) => number;
}

/**
 * Finds the knocks in a recording: where what is high in it rises suddenly out of what lay before.
 * @param samples −1…1, one channel @param rate samples a second, at least 16,000
 */
export function impactsOf(samples: Float32Array, rate: number): Heard {
  const energy = energies(highPass(samples, rate, CORNER), rate);
  const steps = (seconds: number) => Math.round(seconds / STEP);
  const [before, gap, apart, loud] = [BACKGROUND, GAP, APART, LOUDEST_WITHIN].map(steps) as [
    number,
    number,
    number,
    number,
  ];
  const impacts: Impact[] = [];
  const needed = new Float64Array(energy.length);
  let last = -Infinity;
  let lastPeak = 0;
  let background = 0;
  for (let k = gap + 1; k < energy.length; k++) {
    const since = Math.max(0, k - gap - before);
    // The middle value: another knock in it does not lift it.
    if (k % 8 === 0 || background === 0) background = middleOf(energy.subarray(since, k - gap));
    const now = energy[k]!;
    needed[k] = ABOVE_BACKGROUND * background;
    const isNear = k - last < apart;
    if (now < needed[k]! || (isNear && now < FAR_STRONGER * lastPeak)) continue;
    let just = 0;
    for (let j = k - gap; j < k - 1; j++) just = Math.max(just, energy[j]!);
    if (now < RISE * just) continue;
    if (isNear) impacts.pop();
    last = k;
    let peak = now;
    for (let j = k; j < Math.min(energy.length, k + loud); j++) peak = Math.max(peak, energy[j]!);
    lastPeak = peak;
    impacts.push({ at: k * STEP, level: decibels(peak) });
  }
  return {
    impacts,
    deafness: (from, to) => {
      let most = 0;
      for (let k = Math.max(0, steps(from)); k < Math.min(needed.length, steps(to)); k++)
        most = Math.max(most, needed[k]!);
      return decibels(most);
    },
  };
}

const decibels = (energy: number) => 10 * Math.log10(energy);

/** Mean square in each step of time. */
function energies(samples: Float32Array, rate: number): Float64Array {
  const [hop, width] = [STEP * rate, Math.round(WINDOW * rate)];
  const count = Math.max(0, Math.floor((samples.length - width) / hop));
  const floor = 1e-12;
  return Float64Array.from({ length: count }, (_, k) => {
    const start = Math.round(k * hop);
    let sum = 0;
    for (let i = start; i < start + width; i++) sum += samples[i]! * samples[i]!;
    return sum / width + floor;
  });
}

function middleOf(values: Float64Array): number {
  if (values.length === 0) return 0;
  const sorted = Float64Array.from(values).sort();
  return sorted[Math.floor(sorted.length / 2)]!;
}
