import { saveAs } from 'file-saver';
import type { ImportReply } from '../../core/records/listedDrill.ts';
import { importReplySchema } from '../../core/records/listedDrill.ts';
import type { Drill } from '../../core/records/drill.ts';
import { readDrillFile, writeDrillFile } from '../../core/formats/drillFile.ts';
import { call } from '../api/client.ts';

/** Saves drills as a file: one by its name, several as a set. */
export function saveDrillsFile(drills: readonly Drill[]): void {
  const [first] = drills;
  const name = drills.length === 1 && first !== undefined ? `${first.slug}.drill.json` : 'drills.json';
  saveAs(new Blob([writeDrillFile(drills)], { type: 'application/json' }), name);
}

/** What became of one drill of a file. */
export interface Imported {
  readonly title: string;
  /** Where it is now; undefined when it was refused. */
  readonly slug?: string;
  readonly ok: boolean;
  readonly words: string;
}

const OUTCOMES: Readonly<Record<ImportReply['outcome'], string>> = {
  added: 'added',
  'new revision': 'added as a new revision of the one that was here',
  'already here': 'is here already, word for word',
};

/**
 * Takes the drills of a file in, one after the other: one that is refused leaves the others alone.
 * @throws DrillFileError when the file holds no drills
 */
export async function importDrills(text: string): Promise<readonly Imported[]> {
  const results: Imported[] = [];
  for (const each of readDrillFile(text)) {
    if (each.kind === 'refused') {
      results.push({ title: each.title, ok: false, words: `line ${each.line}: ${each.reason}` });
      continue;
    }
    const { title } = each.drill;
    try {
      const reply = importReplySchema.validateSync(
        await call('POST', '/drills/import', { document: each.drill }),
      );
      results.push({ title, slug: reply.slug, ok: true, words: OUTCOMES[reply.outcome] });
    } catch (error) {
      const words = error instanceof Error ? error.message : 'the server did not take it';
      results.push({ title, ok: false, words });
    }
  }
  return results;
}
