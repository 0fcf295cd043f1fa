import { readdirSync, readFileSync } from 'node:fs';
import { drillSchema, type Drill } from '../../core/records/drill.ts';
import { completeDrill } from '../../core/records/drillText/complete.ts';

/** The drills that ship. */
export function readLibrary(): readonly Drill[] {
  return readdirSync('library').map((name) =>
    drillSchema.validateSync(completeDrill(JSON.parse(readFileSync(`library/${name}`, 'utf8')))),
  );
}
