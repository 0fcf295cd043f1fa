import { logOf } from '../../core/records/attempt.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { newAttemptSchema } from '../../core/records/storedAttempt.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { buildTable } from '../../core/table/table.ts';
import { fromStored, toStored } from '../db/stored.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { countFor } from './counting.ts';

/** So often the way of a shot is gone before the first one comes: Node.js compiles it meanwhile. */
const TIMES = 200;

/** Counts made-up shots, which go nowhere, so that the first real ones do not wait for a program that is still cold. */
export function warmUp(library: readonly StoredDrill[]): void {
  const entry = library.find(({ document }) => isPositionDrill(document));
  if (entry === undefined) return;
  const table = buildTable(entry.document.table);
  for (let k = 0; k < TIMES; k++) {
    const landing = { x: 1 + 0.001 * k, y: 0.4 };
    const log = logOf({ shots: [{ ...BLANK_SHOT, potted: ['1'], landing }] });
    const body = newAttemptSchema.validateSync({ ordinal: 1, log, playedAt: '2026-01-01T00:00:00Z' });
    const attempt = countFor(entry, { table }, { stage: 1 }, { id: 'warm', ...body });
    fromStored('log', toStored('log', attempt.log));
    fromStored('counted', toStored('counted', attempt.counted));
  }
}
