import type { ImportReply } from '../../core/records/listedDrill.ts';
import type { Viewer } from '../../core/records/account.ts';
import { problemsOf } from '../../core/drill/problems.ts';
import type { Drill } from '../../core/records/drill.ts';
import {
  LIBRARY,
  newestRevision,
  ownerOf,
  revisionWith,
  storeRevision,
  takeIntoClub,
} from '../db/queries/drills.ts';
import { inTransaction, type DatabasePool } from '../db/pool.ts';
import { Refusal } from '../http/errors.ts';
import { digestOf } from './library.ts';

const CHANGED_MEANWHILE = () =>
  new Refusal(409, 'basedOn is an older revision: somebody has changed this drill meanwhile', 'basedOn');

/**
 * Stores a text that a coach wrote as the club's own drill; a changed one becomes a new revision, so that rounds keep
 * theirs. Sent again it is there already.
 * @param basedOn the revision that was edited; null for a new drill
 * @throws Refusal 400 when the drill cannot be used, naming the field; 409 when the name is taken, or somebody has written another revision meanwhile
 */
export async function saveDrill(
  pool: DatabasePool,
  viewer: Viewer,
  drill: Drill,
  basedOn: number | null,
): Promise<void> {
  const [problem] = problemsOf(drill);
  if (problem !== undefined) {
    throw new Refusal(400, `document.${problem.words}`, `document.${problem.field}`);
  }
  const digest = digestOf(drill);
  await inTransaction(pool, async (db) => {
    const newest = await newestRevision(db, viewer.clubId, drill.slug);
    // A drill that the club had before the library got one of its name stays the club's.
    if (newest === undefined && (await newestRevision(db, LIBRARY, drill.slug)) !== undefined) {
      throw new Refusal(
        409,
        'document.slug is that of a drill of the library: choose another',
        'document.slug',
      );
    }
    const same = await revisionWith(db, viewer.clubId, drill.slug, digest);
    if (newest !== undefined && same === newest) return;
    if (newest !== undefined && basedOn === null) {
      throw new Refusal(409, 'document.slug is that of another drill of the club', 'document.slug');
    }
    if ((newest ?? null) !== basedOn) throw CHANGED_MEANWHILE();
    await takeIntoClub(db, viewer.clubId, drill.slug);
    if (!(await storeRevision(db, viewer.clubId, drill, digest, viewer.id))) throw CHANGED_MEANWHILE();
  });
}

/**
 * The name under which a drill called like one of the library's is taken in: its own with a number, the first that is
 * free or under which the same text is here already.
 */
async function nameBeside(pool: DatabasePool, clubId: string, drill: Drill): Promise<string> {
  for (let number = 2; ; number++) {
    const tail = `-${String(number)}`;
    const slug = `${drill.slug.slice(0, 60 - tail.length)}${tail}`;
    if ((await newestRevision(pool, LIBRARY, slug)) !== undefined) continue;
    const same = await revisionWith(pool, clubId, slug, digestOf({ ...drill, slug }));
    if (same !== undefined || (await newestRevision(pool, clubId, slug)) === undefined) return slug;
  }
}

/** Takes a drill of a file in. One that is here already, be it in the library, is recognised and not stored again. */
export async function importDrill(pool: DatabasePool, viewer: Viewer, drill: Drill): Promise<ImportReply> {
  const { clubId } = viewer;
  const owner = await ownerOf(pool, clubId, drill.slug);
  const newest = await newestRevision(pool, owner, drill.slug);
  const known = await revisionWith(pool, owner, drill.slug, digestOf(drill));
  if (known !== undefined) {
    if (owner === clubId) await takeIntoClub(pool, clubId, drill.slug);
    return { outcome: 'already here', slug: drill.slug, revision: known };
  }
  if (owner === LIBRARY && newest !== undefined) {
    return importDrill(pool, viewer, { ...drill, slug: await nameBeside(pool, clubId, drill) });
  }
  await saveDrill(pool, viewer, drill, newest ?? null);
  const revision = (await newestRevision(pool, clubId, drill.slug)) ?? 1;
  return { outcome: newest === undefined ? 'added' : 'new revision', slug: drill.slug, revision };
}
