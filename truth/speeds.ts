import { createRandom } from '../core/random/random.ts';
import { breakSpeed } from '../core/sound/breakSpeed.ts';
import { madeBreak } from '../core/sound/madeBreak.ts';
import { atLeast, atMost, told, type Asked, type Figure } from './figure.ts';

const RECORDINGS = 500;
const RATE = 44_100;
/** Nearer than this to the truth is right. */
const NEAR = 0.03;
/** Sliding friction of a worsted cloth by the acceleration of fall, m/s². */
const SLOWING = 0.2 * 9.81;

/** Speeds that are heard from made recordings: with noise, echo, voices and knocks from elsewhere. */
export function speeds({ seed, size }: Asked): readonly Figure[] {
  const root = createRandom(seed);
  const count = Math.max(1, Math.round(size * RECORDINGS));
  let [right, wrong, silent, inside] = [0, 0, 0, 0];
  for (let k = 0; k < count; k++) {
    const random = root.fork(k);
    const speed = 4 + 6 * random.uniform();
    const distance = 0.9 + 0.8 * random.uniform();
    const made = {
      speed,
      distance,
      slowing: SLOWING,
      noise: 0.0005 * 30 ** random.uniform(),
      echo: 0.6 * random.uniform(),
      voices: random.uniform() < 0.5 ? 0 : random.uniform(),
      strangers: random.uniform() < 0.6 ? 0 : 1 + Math.floor(3 * random.uniform()),
    };
    const { samples } = madeBreak(made, RATE, random);
    // Nobody measures the way to a millimetre.
    const measured = distance + 0.004 * random.normal();
    const answer = breakSpeed(samples, RATE, { distance: measured, slowing: SLOWING });
    if (answer.kind === 'cannot tell') silent++;
    else {
      if (Math.abs(answer.speed - speed) < NEAR * speed) right++;
      else wrong++;
      if (answer.low <= speed && speed <= answer.high) inside++;
    }
  }
  return [
    atLeast('speeds.right-or-silent', (right + silent) / count, 0.95, 'share'),
    atMost('speeds.wrong', wrong, 0, 'recordings'),
    atLeast('speeds.in-interval', inside / Math.max(1, right + wrong), 0.9, 'share'),
    told('speeds.told', (right + wrong) / count, 'share'),
  ];
}
