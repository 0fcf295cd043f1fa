import type { RowDataPacket } from 'mysql2/promise';
import type { DrillEntry } from '../../../core/records/club.ts';
import { drillSchema, type Drill } from '../../../core/records/drill.ts';
import { parseJson } from '../json.ts';
import type { Database } from '../pool.ts';

interface RevisionRow extends RowDataPacket {
  revision: number;
  document: unknown;
}

async function entryOf(row: RevisionRow): Promise<DrillEntry> {
  return { revision: row.revision, document: await drillSchema.validate(parseJson(row.document)) };
}

/** Stores a drill's text as a new revision unless the newest one already says the same. */
export async function storeRevision(db: Database, drill: Drill, digest: string): Promise<void> {
  await db.execute(
    `INSERT IGNORE INTO drill_revisions (slug, revision, digest, document)
     SELECT ?, COALESCE(MAX(revision), 0) + 1, ?, ? FROM drill_revisions WHERE slug = ?`,
    [drill.slug, digest, JSON.stringify(drill), drill.slug],
  );
}

/** The newest revision of every drill. */
export async function listDrills(db: Database): Promise<DrillEntry[]> {
  const [rows] = await db.execute<RevisionRow[]>(
    `SELECT d.revision, d.document FROM drill_revisions d
     JOIN (SELECT slug, MAX(revision) AS newest FROM drill_revisions GROUP BY slug) n
       ON n.slug = d.slug AND n.newest = d.revision
     ORDER BY d.slug`,
  );
  return Promise.all(rows.map(entryOf));
}

/** @param revision the newest when left out */
export async function findDrill(
  db: Database,
  slug: string,
  revision?: number,
): Promise<DrillEntry | undefined> {
  const [rows] = await db.execute<RevisionRow[]>(
    `SELECT revision, document FROM drill_revisions
     WHERE slug = ? AND (? IS NULL OR revision = ?) ORDER BY revision DESC LIMIT 1`,
    [slug, revision ?? null, revision ?? null],
  );
  return rows[0] && entryOf(rows[0]);
}
