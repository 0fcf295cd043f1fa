import type { AuditAction, AuditSubject } from '../../core/records/audit.ts';
import type { Viewer } from '../../core/records/account.ts';
import { noteAudit } from '../db/queries/audit.ts';
import type { Database } from '../db/pool.ts';

/** What somebody does to what; why, and whom else it concerns. */
interface Done {
  readonly action: AuditAction;
  readonly subject: AuditSubject;
  readonly subjectId: string;
  readonly otherId?: string;
  readonly reason?: string;
}

/** Notes what somebody does now, in the transaction that does it. */
export type NoteDone = (db: Database, viewer: Pick<Viewer, 'id' | 'clubId'>, done: Done) => Promise<void>;

/** @param now ms since 1970 */
export function auditAt(now: () => number): NoteDone {
  return (db, { id: personId, clubId }, done) =>
    noteAudit(db, { clubId, personId, at: new Date(now()), ...done });
}
