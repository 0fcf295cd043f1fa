import { LRUCache } from 'lru-cache';
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { DrillEntry, ListedDrill } from '../../../core/records/listedDrill.ts';
import type { DrillRevision } from '../../../core/records/drillRevision.ts';
import type { Drill } from '../../../core/records/drill.ts';
import { DamagedRowError, readable, wholeRow } from '../damaged.ts';
import { epochOf } from '../epochs.ts';
import { isDuplicate } from '../errors.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

/** Owner of the drills that ship; a drill that a club wrote has the club's id. */
export const LIBRARY = 'library';

interface RevisionRow extends RowDataPacket {
  owner: string;
  revision: number;
  document: unknown;
}

interface HeadRow {
  owner: string;
  slug: string;
  revision: number;
}

interface ListedRow extends RowDataPacket, HeadRow {
  archived: number;
  favourite: number;
}

interface LogRow extends RowDataPacket {
  revision: number;
  title: string;
  written_by: string | null;
  written_at: Date;
  rounds: number;
}

/** A drill's text with whose it is. */
export interface StoredDrill extends DrillEntry {
  readonly owner: string;
  /** Its text is turned round along the table, for a round that is played so. */
  readonly mirrored?: boolean;
}

function storedOf({ owner, revision, document }: RevisionRow): StoredDrill {
  return { owner, revision, document: fromStored('drill', document) };
}

/** Texts that were asked for: a revision never changes within an epoch of its club, so every process keeps its own. */
const remembered = new LRUCache<string, StoredDrill>({ max: 2_000 });
const keyOf = ({ owner, slug, revision }: HeadRow) => [owner, epochOf(owner), slug, revision].join('|');

/** The texts of some revisions, read where they are not remembered. */
async function textsOf(db: Database, heads: readonly HeadRow[]): Promise<ReadonlyMap<string, StoredDrill>> {
  const texts = new Map<string, StoredDrill>();
  const unknown: HeadRow[] = [];
  for (const head of heads) {
    const known = remembered.get(keyOf(head));
    if (known === undefined) unknown.push(head);
    else texts.set(keyOf(head), known);
  }
  if (unknown.length === 0) return texts;
  const [rows] = await db.execute<(RevisionRow & HeadRow)[]>(
    `SELECT owner, slug, revision, document FROM drill_revisions
     WHERE (owner, slug, revision) IN (${unknown.map(() => '(?, ?, ?)').join(', ')})`,
    unknown.flatMap(({ owner, slug, revision }) => [owner, slug, revision]),
  );
  for (const row of rows) {
    const text = readable('drill_revisions', row.slug, () => storedOf(row));
    if (text === undefined) continue;
    remembered.set(keyOf(row), text);
    texts.set(keyOf(row), text);
  }
  return texts;
}

/**
 * Stores a drill's text as a new revision unless the newest one already says the same.
 * @returns whether it was stored
 */
export async function storeRevision(
  db: Database,
  owner: string,
  drill: Drill,
  digest: string,
  writtenBy: string | null,
): Promise<boolean> {
  const [result] = await db
    .execute<ResultSetHeader>(
      `INSERT INTO drill_revisions (owner, slug, revision, digest, document, written_by)
     SELECT ?, ?, COALESCE(MAX(revision), 0) + 1, ?, ?, ? FROM drill_revisions WHERE owner = ? AND slug = ?
     HAVING NOT EXISTS (
       SELECT 1 FROM drill_revisions n WHERE n.owner = ? AND n.slug = ? AND n.digest = ? AND n.revision =
         (SELECT MAX(m.revision) FROM drill_revisions m WHERE m.owner = ? AND m.slug = ?))`,
      [
        owner,
        drill.slug,
        digest,
        toStored('drill', drill),
        writtenBy,
        owner,
        drill.slug,
        owner,
        drill.slug,
        digest,
        owner,
        drill.slug,
      ],
    )
    .catch((error: unknown) => {
      // Somebody else stores a revision of this number at the same moment.
      if (isDuplicate(error)) return [undefined];
      throw error;
    });
  return result !== undefined && result.affectedRows > 0;
}

const NEWEST = `FROM drill_revisions d
  JOIN (SELECT owner, slug, MAX(revision) AS newest FROM drill_revisions GROUP BY owner, slug) n
    ON n.owner = d.owner AND n.slug = d.slug AND n.newest = d.revision`;

/** The newest revision of every drill that ships. */
export async function listLibrary(db: Database): Promise<StoredDrill[]> {
  const [rows] = await db.execute<(RowDataPacket & HeadRow)[]>(
    `SELECT d.owner, d.slug, d.revision ${NEWEST} WHERE d.owner = ? ORDER BY d.slug`,
    [LIBRARY],
  );
  const texts = await textsOf(db, rows);
  return rows.flatMap((row) => texts.get(keyOf(row)) ?? []);
}

/** What somebody of a club can choose from: the club's own drills, and those that ship unless one of its own is called the same. */
export async function listDrills(
  db: Database,
  clubId: string,
  personId: string,
  slug?: string,
): Promise<ListedDrill[]> {
  const [rows] = await db.execute<ListedRow[]>(
    `SELECT d.owner, d.slug, d.revision, c.archived_at IS NOT NULL AS archived, f.slug IS NOT NULL AS favourite
     ${NEWEST}
     LEFT JOIN club_drills c ON c.club_id = ? AND c.slug = d.slug
     LEFT JOIN favourite_drills f ON f.person_id = ? AND f.slug = d.slug
     WHERE d.owner = IF(c.slug IS NULL, ?, c.club_id) AND (? IS NULL OR d.slug = ?)
     ORDER BY d.slug`,
    [clubId, personId, LIBRARY, slug ?? null, slug ?? null],
  );
  const texts = await textsOf(db, rows);
  return rows.flatMap((row) => {
    const text = texts.get(keyOf(row));
    if (text === undefined) return [];
    return [
      {
        revision: row.revision,
        document: text.document,
        own: row.owner === clubId,
        archived: row.archived === 1,
        favourite: row.favourite === 1,
      },
    ];
  });
}

/** Whose text a club means by a name: its own where it has one, else the library's. */
export async function ownerOf(db: Database, clubId: string, slug: string): Promise<string> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT slug FROM club_drills WHERE club_id = ? AND slug = ?',
    [clubId, slug],
  );
  return rows.length > 0 ? clubId : LIBRARY;
}

/** One revision of a drill as it stands in the database. @throws DamagedRowError when it cannot be read */
export async function findDrill(
  db: Database,
  owner: string,
  slug: string,
  revision: number,
): Promise<StoredDrill | undefined> {
  const [rows] = await db.execute<RevisionRow[]>(
    'SELECT owner, revision, document FROM drill_revisions WHERE owner = ? AND slug = ? AND revision = ?',
    [owner, slug, revision],
  );
  const row = rows[0];
  return row && wholeRow('drill', () => storedOf(row));
}

/** The same, read and checked once. */
export async function revisionOf(
  db: Database,
  owner: string,
  slug: string,
  revision: number,
): Promise<StoredDrill | undefined> {
  const key = keyOf({ owner, slug, revision });
  const known = remembered.get(key);
  if (known !== undefined) return known;
  const entry = await findDrill(db, owner, slug, revision);
  if (entry !== undefined) remembered.set(key, entry);
  return entry;
}

/** The same; undefined for a text that cannot be read, where a list goes on without it. */
export async function readableRevision(
  ...which: Parameters<typeof revisionOf>
): Promise<StoredDrill | undefined> {
  try {
    return await revisionOf(...which);
  } catch (error) {
    if (error instanceof DamagedRowError) return undefined;
    throw error;
  }
}

/** Number of the newest revision; undefined where there is none. */
export async function newestRevision(db: Database, owner: string, slug: string): Promise<number | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT MAX(revision) AS revision FROM drill_revisions WHERE owner = ? AND slug = ?',
    [owner, slug],
  );
  const newest: unknown = rows[0]?.['revision'];
  return typeof newest === 'number' ? newest : undefined;
}

/** Number of the revision with a text, the newest of several; undefined where no revision has it. */
export async function revisionWith(
  db: Database,
  owner: string,
  slug: string,
  digest: string,
): Promise<number | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT MAX(revision) AS revision FROM drill_revisions WHERE owner = ? AND slug = ? AND digest = ?',
    [owner, slug, digest],
  );
  const found: unknown = rows[0]?.['revision'];
  return typeof found === 'number' ? found : undefined;
}

/** Enters a drill among the club's own; one that was put away comes back. */
export async function takeIntoClub(db: Database, clubId: string, slug: string): Promise<void> {
  await db.execute(
    'INSERT INTO club_drills (club_id, slug) VALUES (?, ?) ON DUPLICATE KEY UPDATE archived_at = NULL',
    [clubId, slug],
  );
}

/** Puts a drill of the club away or brings it back. @returns false when the club has no such drill */
export async function setArchived(
  db: Database,
  clubId: string,
  slug: string,
  archivedAt: Date | null,
): Promise<boolean> {
  const owner = await ownerOf(db, clubId, slug);
  await db.execute('UPDATE club_drills SET archived_at = ? WHERE club_id = ? AND slug = ?', [
    archivedAt,
    clubId,
    slug,
  ]);
  return owner === clubId;
}

export async function setFavourite(
  db: Database,
  personId: string,
  slug: string,
  wanted: boolean,
): Promise<void> {
  await db.execute(
    wanted
      ? 'INSERT INTO favourite_drills (person_id, slug) VALUES (?, ?) ON DUPLICATE KEY UPDATE slug = VALUES(slug)'
      : 'DELETE FROM favourite_drills WHERE person_id = ? AND slug = ?',
    [personId, slug],
  );
}

/** The revisions of a drill, newest first, with how many rounds the club played on each. */
export async function listRevisions(
  db: Database,
  clubId: string,
  owner: string,
  slug: string,
): Promise<DrillRevision[]> {
  const [rows] = await db.execute<LogRow[]>(
    `SELECT d.revision, JSON_VALUE(d.document, '$.title') AS title, p.name AS written_by, d.created_at AS written_at,
       (SELECT COUNT(*) FROM rounds r WHERE r.drill_owner = d.owner AND r.drill = d.slug
          AND r.revision = d.revision AND r.club_id = ?) AS rounds
     FROM drill_revisions d LEFT JOIN people p ON p.id = d.written_by
     WHERE d.owner = ? AND d.slug = ? ORDER BY d.revision DESC`,
    [clubId, owner, slug],
  );
  return rows.map((row) => ({
    revision: row.revision,
    title: row.title,
    writtenBy: row.written_by,
    writtenAt: row.written_at.toISOString(),
    rounds: row.rounds,
  }));
}
