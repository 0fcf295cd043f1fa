import type { Random } from '../random/random.ts';

/** A break that is to be heard: a stand-in for a recording. */
export interface MadeBreak {
  /** As the ball leaves the tip, m/s; the way to the rack, metres; how fast it slows down sliding, m/s². */
  readonly speed: number;
  readonly distance: number;
  readonly slowing: number;
  /** Standard deviation of the hiss, full scale 1. */
  readonly noise: number;
  /** Share of a knock that comes back from the walls, 0…1, and loudness of voices, 0…1. */
  readonly echo: number;
  readonly voices: number;
  /** Knocks from elsewhere: other tables, chalk, a cue put down. */
  readonly strangers: number;
}

const SECONDS = 2;
/** The tip is heard so long after the beginning, seconds. */
const LEAD = [0.5, 0.8] as const;

/**
 * Makes the sound of a break: tip, rack, balls knocking at each other and at cushions, in a room with people.
 * @param rate samples a second @returns samples −1…1, and when tip and rack were struck, seconds
 * @throws RangeError for a ball that stops before the rack
 */
export function madeBreak(
  { speed, distance, slowing, noise, echo, voices, strangers }: MadeBreak,
  rate: number,
  random: Random,
): { readonly samples: Float32Array; readonly tip: number; readonly rack: number } {
  const reach = speed * speed - 2 * slowing * distance;
  if (reach <= 0) throw new RangeError('madeBreak: the ball stops before the rack');
  const took = slowing === 0 ? distance / speed : (speed - Math.sqrt(reach)) / slowing;
  const tip = between(random, ...LEAD);
  const rack = tip + took;
  const dry = new Float32Array(Math.round(SECONDS * rate));
  const loudness = 0.5 + 0.5 * Math.min(1, speed / 8);
  knock(dry, rate, random, {
    at: tip,
    loud: 0.14 * loudness,
    pitch: between(random, 1_800, 3_200),
    decay: 2.5e-3,
  });
  knock(dry, rate, random, {
    at: rack,
    loud: 0.6 * loudness,
    pitch: between(random, 3_500, 6_500),
    decay: 1.5e-3,
  });
  const clicks = 12 + Math.floor(20 * random.uniform());
  for (let k = 0; k < clicks; k++) {
    const after = 0.01 - 0.09 * Math.log(1 - random.uniform());
    const loud = 0.35 * loudness * random.uniform() * Math.exp(-after / 0.2);
    knock(dry, rate, random, { at: rack + after, loud, pitch: between(random, 3_500, 7_000), decay: 1.2e-3 });
  }
  for (let k = 0; k < 4; k++) {
    const at = rack + between(random, 0.12, 0.6);
    knock(dry, rate, random, {
      at,
      loud: 0.15 * random.uniform(),
      pitch: between(random, 150, 400),
      decay: 0.02,
    });
  }
  for (let k = 0; k < strangers; k++) {
    const at = between(random, 0.05, SECONDS - 0.1);
    const loud = 0.02 * 12 ** random.uniform();
    knock(dry, rate, random, { at, loud, pitch: between(random, 1_500, 6_000), decay: 2e-3 });
  }
  const samples = Float32Array.from(dry);
  for (let k = 0; k < 5; k++) {
    const delay = Math.round(between(random, 0.006, 0.06) * rate);
    const share = echo * between(random, 0.2, 0.7);
    for (let i = delay; i < samples.length; i++) samples[i]! += share * dry[i - delay]!;
  }
  speak(samples, rate, random, voices);
  for (let i = 0; i < samples.length; i++)
    samples[i] = Math.max(-1, Math.min(1, samples[i]! + noise * random.normal()));
  return { samples, tip, rack };
}

const between = (random: Random, low: number, high: number) => low + (high - low) * random.uniform();

interface Knock {
  readonly at: number;
  readonly loud: number;
  /** Hz. */
  readonly pitch: number;
  /** Seconds to a third. */
  readonly decay: number;
}

/** A tone that dies away at once, and a burst of all pitches at its beginning. */
function knock(samples: Float32Array, rate: number, random: Random, { at, loud, pitch, decay }: Knock): void {
  const start = Math.round(at * rate);
  const end = Math.min(samples.length, start + Math.round(8 * decay * rate));
  for (let i = Math.max(0, start); i < end; i++) {
    const t = (i - start) / rate;
    const tone = Math.sin(2 * Math.PI * pitch * t) + 0.4 * Math.sin(2 * Math.PI * 1.7 * pitch * t);
    const burst = 0.5 * random.normal() * Math.exp(-t / 0.6e-3);
    samples[i]! += loud * (tone * Math.exp(-t / decay) + (pitch < 1_000 ? 0 : burst));
  }
}

/** Voices: overtones that rise and fall with syllables, and hissing sounds that swell. */
function speak(samples: Float32Array, rate: number, random: Random, loud: number): void {
  if (loud === 0) return;
  const pitch = between(random, 90, 240);
  const pace = between(random, 2.5, 5);
  const phase = 2 * Math.PI * random.uniform();
  let hiss = 0;
  for (let i = 0; i < samples.length; i++) {
    const t = i / rate;
    const swell = Math.max(0, Math.sin(2 * Math.PI * pace * t + phase));
    let voice = 0;
    for (let n = 1; n <= 16; n++) voice += Math.sin(2 * Math.PI * pitch * n * t + n) / n;
    const breath = Math.max(0, Math.sin(Math.PI * pace * t + 2 * phase)) ** 4;
    hiss = 0.3 * hiss + random.normal();
    samples[i]! += loud * (0.12 * swell * voice + 0.02 * breath * hiss);
  }
}
