import { randomUUID } from 'node:crypto';
import { copyProgramme } from '../../core/programme/spreadBlock.ts';
import type { ProgrammeDocument } from '../../core/records/programme.ts';

/** The same weeks for another player, every entry with an id of its own. */
export function copiedFor(document: ProgrammeDocument, playerId: string): ProgrammeDocument {
  return copyProgramme(document, { playerId, startDay: document.startDay }, randomUUID);
}
