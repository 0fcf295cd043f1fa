import { parseArgs } from 'node:util';
import { breakSpeed } from '../core/sound/breakSpeed.ts';
import { buildTable } from '../core/table/table.ts';
import { leaveWith, StartError } from './lib/report.ts';
import { readWav } from './lib/wav.ts';

/** `npm run -s speed -- break.wav --distance 1.2`: how fast the cue ball was, from the sound of tip and rack. */
try {
  const { values, positionals } = parseArgs({
    options: { distance: { type: 'string' } },
    allowPositionals: true,
  });
  const [file] = positionals;
  const distance = Number(values.distance);
  if (file === undefined || !(distance > 0.2 && distance < 4))
    throw new StartError('Say the file, and --distance with the metres from the cue ball to the rack.');
  const { slidingFriction, gravity } = buildTable('pool-9ft').parameters;
  const { samples, rate } = await readWav(file);
  const told = breakSpeed(samples, rate, { distance, slowing: slidingFriction * gravity });
  process.stdout.write(`${JSON.stringify(told, null, 2)}\n`);
} catch (error) {
  leaveWith(error);
}
