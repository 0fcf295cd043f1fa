import { readFileSync } from 'node:fs';
import path from 'node:path';
import { env } from 'node:process';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { parseCallLevels } from '../../core/records/callLevels.ts';
import { CallLevels } from '../../core/scoring/callLevels.ts';

let known: CallLevels | undefined;

/** How virtual players call, as it ships; what belongs to other versions of physics and levels is left out. */
export function callLevels(): CallLevels {
  const file = path.join(env['JOLLY_ROOT'] ?? process.cwd(), 'levels', 'calls.jsonl');
  known ??= new CallLevels(
    parseCallLevels(readFileSync(file, 'utf8')).filter(
      ({ modelVersion, levelVersion }) =>
        modelVersion === MODEL_VERSION && levelVersion === LEVEL_TABLE_VERSION,
    ),
  );
  return known;
}
