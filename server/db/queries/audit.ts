import { randomUUID } from 'node:crypto';
import type { RowDataPacket } from 'mysql2/promise';
import {
  auditEntrySchema,
  type AuditAction,
  type AuditEntry,
  type AuditSubject,
} from '../../../core/records/audit.ts';
import { readable } from '../damaged.ts';
import type { Database } from '../pool.ts';

/** What somebody did. */
export interface AuditNote {
  readonly clubId: string;
  readonly personId: string;
  readonly at: Date;
  readonly action: AuditAction;
  readonly subject: AuditSubject;
  readonly subjectId: string;
  readonly otherId?: string;
  readonly reason?: string;
}

/** Notes what is done, in the transaction that does it. */
export async function noteAudit(db: Database, note: AuditNote): Promise<void> {
  await db.execute(
    `INSERT INTO audit (id, club_id, at, person_id, action, subject, subject_id, other_id, reason)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      randomUUID(),
      note.clubId,
      note.at,
      note.personId,
      note.action,
      note.subject,
      note.subjectId,
      note.otherId ?? null,
      note.reason ?? null,
    ],
  );
}

interface AuditRow extends RowDataPacket {
  id: string;
  at: Date;
  who: string | null;
  action: string;
  subject: string;
  subject_id: string;
  name: string | null;
  other: string | null;
  reason: string | null;
}

/** The newest notes of a club, with the names of today. @param subjectId only those of one person, round or table */
export async function listAudit(
  db: Database,
  clubId: string,
  which: { readonly subjectId: string | undefined; readonly limit: number },
): Promise<readonly AuditEntry[]> {
  const { subjectId = null, limit } = which;
  const [rows] = await db.execute<AuditRow[]>(
    `SELECT a.id, a.at, w.name AS who, a.action, a.subject, a.subject_id, o.name AS other, a.reason,
       COALESCE(p.name, CONCAT(r.drill, ', ', rp.name), t.name, h.name, c.name) AS name
     FROM audit a
       LEFT JOIN people w ON w.id = a.person_id
       LEFT JOIN people o ON o.id = a.other_id
       LEFT JOIN people p ON a.subject = 'person' AND p.id = a.subject_id
       LEFT JOIN rounds r ON a.subject = 'round' AND r.id = a.subject_id
       LEFT JOIN people rp ON rp.id = r.player_id
       LEFT JOIN tables t ON a.subject = 'table' AND t.id = a.subject_id
       LEFT JOIN halls h ON a.subject = 'hall' AND h.id = a.subject_id
       LEFT JOIN clubs c ON a.subject = 'club' AND c.id = a.subject_id
     WHERE a.club_id = ? AND (? IS NULL OR a.subject_id = ?)
     ORDER BY a.at DESC, a.id LIMIT ${String(Math.trunc(limit))}`,
    [clubId, subjectId, subjectId],
  );
  return rows.flatMap(
    (row) =>
      readable('audit', row.id, () =>
        auditEntrySchema.validateSync({
          id: row.id,
          at: row.at.toISOString(),
          by: row.who ?? 'somebody who is gone',
          action: row.action,
          subject: row.subject,
          subjectId: row.subject_id,
          name: row.name ?? '',
          other: row.other,
          reason: row.reason,
        }),
      ) ?? [],
  );
}
