import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { Report, ReportDocument } from '../../../core/records/report.ts';
import { readableRows, wholeRow } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

interface ReportRow extends RowDataPacket {
  id: string;
  version: number;
  player_id: string;
  player: string;
  writer: string;
  archived_at: Date | null;
  document: unknown;
}

const SELECT = `SELECT r.id, r.version, r.player_id, p.name AS player, w.name AS writer, r.archived_at, r.document
  FROM reports r JOIN people p ON p.id = r.player_id JOIN people w ON w.id = r.written_by`;

function reportOf(row: ReportRow): Report {
  return {
    id: row.id,
    version: row.version,
    player: { id: row.player_id, name: row.player },
    writtenBy: row.writer,
    archived: row.archived_at !== null,
    document: fromStored('report', row.document),
  };
}

export async function findReport(db: Database, clubId: string, id: string): Promise<Report | undefined> {
  const [rows] = await db.execute<ReportRow[]>(`${SELECT} WHERE r.club_id = ? AND r.id = ?`, [clubId, id]);
  const row = rows[0];
  return row && wholeRow('report', () => reportOf(row));
}

/** The reports of a club, or about one of its players, the one changed last first. */
export async function listReports(
  db: Database,
  clubId: string,
  playerId: string | undefined,
): Promise<Report[]> {
  const [rows] = await db.execute<ReportRow[]>(
    `${SELECT} WHERE r.club_id = ? AND (? IS NULL OR r.player_id = ?) ORDER BY r.changed_at DESC, r.id LIMIT 300`,
    [clubId, playerId ?? null, playerId ?? null],
  );
  return readableRows('reports', rows, reportOf);
}

/** Stores a report; one of the same id that is already there stays. */
export async function insertReport(
  db: Database,
  report: {
    readonly id: string;
    readonly clubId: string;
    readonly writtenBy: string;
    readonly document: ReportDocument;
  },
): Promise<void> {
  const { id, clubId, writtenBy, document } = report;
  await db.execute(
    `INSERT INTO reports (id, club_id, player_id, written_by, version, document) VALUES (?, ?, ?, ?, 1, ?)
     ON DUPLICATE KEY UPDATE id = id`,
    [id, clubId, document.playerId, writtenBy, toStored('report', document)],
  );
}

/** Stores a new version, if it was written on the newest one. */
export async function updateReport(
  db: Database,
  id: string,
  basedOn: number,
  document: ReportDocument,
): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE reports SET version = version + 1, document = ?, changed_at = CURRENT_TIMESTAMP(3)
     WHERE id = ? AND version = ?`,
    [toStored('report', document), id, basedOn],
  );
  return result.affectedRows > 0;
}

/** Puts a report away, or brings it back. */
export async function archiveReport(db: Database, id: string, archivedAt: Date | null): Promise<void> {
  await db.execute('UPDATE reports SET archived_at = ? WHERE id = ?', [archivedAt, id]);
}
