import type { Viewer } from '../../core/records/account.ts';
import type { CalibrationDocument } from '../../core/records/calibration.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import type { TableCard } from '../../core/table/card.ts';
import { auditAt } from '../access/audit.ts';
import { inTransaction, type Database } from '../db/pool.ts';
import { insertCalibration, tableOfCalibration } from '../db/queries/calibrations.ts';
import { changeCue, listCues } from '../db/queries/cues.ts';
import { changeTable } from '../db/queries/tables.ts';
import type { Dependencies } from '../dependencies.ts';
import { notFound, Refusal } from '../http/errors.ts';

/** A card that was made from another one than the table has now. */
export const changedMeanwhile = () =>
  new Refusal(409, 'basedOn is an older card: somebody has changed this table meanwhile', 'basedOn');

const GRAMS = 1_000;

/**
 * Keeps a calibration and takes it into the card and the cues, as one change; one that is sent again is there already.
 * @throws Refusal where the card was changed meanwhile, or the id is that of another table's calibration
 */
export async function takeCalibration(
  { pool, now }: Pick<Dependencies, 'pool' | 'now'>,
  viewer: Viewer,
  table: ClubTable,
  taken: {
    readonly id: string;
    readonly document: CalibrationDocument;
    readonly card: TableCard;
    readonly basedOn: number;
  },
): Promise<void> {
  const { id, document, card, basedOn } = taken;
  await inTransaction(pool, async (db) => {
    const owner = await tableOfCalibration(db, id);
    if (owner === table.id) return;
    if (owner !== undefined)
      throw new Refusal(409, 'calibration has an id that another calibration has', 'calibration');
    const at = new Date(now());
    const change = {
      id: table.id,
      name: table.name,
      archivedAt: table.archived ? at : null,
      card,
      basedOn,
      changedBy: viewer.id,
      changedAt: at,
    };
    if (!(await changeTable(db, change))) throw changedMeanwhile();
    await insertCalibration(db, { id, tableId: table.id, document, takenBy: viewer.id, takenAt: at });
    await takeCues(db, viewer.clubId, document);
    await auditAt(now)(db, viewer, { action: 'table changed', subject: 'table', subjectId: table.id });
  });
}

/** The ends that were told become those of the club's cues. */
async function takeCues(db: Database, clubId: string, { found }: CalibrationDocument): Promise<void> {
  const told = found.filter(({ name, cue, isTold }) => name === 'endMass' && cue !== null && isTold);
  if (told.length === 0) return;
  const cues = await listCues(db, clubId);
  for (const { cue: cueId, value } of told) {
    const cue = cues.find((each) => each.id === cueId);
    if (cue === undefined) throw notFound('this cue');
    const endMass = Number((GRAMS * value).toFixed(1));
    await changeCue(db, clubId, cue.id, { ...cue.document, endMass, squirtBy: 'test' });
  }
}
