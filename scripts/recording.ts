import { parseArgs } from 'node:util';
import { createRandom } from '../core/random/random.ts';
import { madeBreak } from '../core/sound/madeBreak.ts';
import { buildTable } from '../core/table/table.ts';
import { leaveWith, say, StartError } from './lib/report.ts';
import { writeWav } from './lib/wav.ts';

const RATE = 44_100;

/** `npm run -s recording -- break.wav --speed 7 --distance 1.2 [--noise 0.002 --echo 0.3 --voices 0.5 --strangers 1 --seed 1]`: a break to be heard, in place of a microphone. */
try {
  const number = { type: 'string' } as const;
  const { values, positionals } = parseArgs({
    options: {
      speed: number,
      distance: number,
      noise: number,
      echo: number,
      voices: number,
      strangers: number,
      seed: number,
    },
    allowPositionals: true,
  });
  const [file] = positionals;
  if (file === undefined) throw new StartError('Say the file that is to be made.');
  const { slidingFriction, gravity } = buildTable('pool-9ft').parameters;
  const { samples, tip, rack } = madeBreak(
    {
      speed: Number(values.speed ?? 7),
      distance: Number(values.distance ?? 1.2),
      slowing: slidingFriction * gravity,
      noise: Number(values.noise ?? 0.001),
      echo: Number(values.echo ?? 0.2),
      voices: Number(values.voices ?? 0),
      strangers: Number(values.strangers ?? 0),
    },
    RATE,
    createRandom(Number(values.seed ?? 1)),
  );
  await writeWav(file, { samples, rate: RATE });
  say(`${file}: the tip after ${tip.toFixed(4)} s, the rack after ${rack.toFixed(4)} s`);
} catch (error) {
  leaveWith(error);
}
