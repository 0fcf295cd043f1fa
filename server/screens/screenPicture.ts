import { currentBlock } from '../../core/programme/currentBlock.ts';
import { nextPlayer, playersOf } from '../../core/programme/turns.ts';
import type { LessonDocument } from '../../core/records/lesson.ts';
import type { ScreenPicture, Shown } from '../../core/records/screen.ts';
import type { Database } from '../db/pool.ts';
import { newestRevision, ownerOf, readableRevision, type StoredDrill } from '../db/queries/drills.ts';
import { findLesson } from '../db/queries/lessons.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listRoundsOfLesson } from '../db/queries/rounds.ts';
import { screenOfCode } from '../db/queries/screens.ts';
import { findTable } from '../db/queries/tables.ts';
import { setFor } from '../rounds/counting.ts';

/** What an open screen shows now; undefined for a code that opens none, or whose lesson is over or put away. */
export async function screenPicture(
  db: Database,
  code: string,
  now: Date,
): Promise<ScreenPicture | undefined> {
  const screen = await screenOfCode(db, code, now);
  if (screen === undefined) return undefined;
  const { clubId, lessonId, shown, beside } = screen;
  const lesson = await findLesson(db, clubId, lessonId);
  if (lesson === undefined || lesson.archived || lesson.document.endedAt !== null) return undefined;
  const table = await findTable(db, clubId, lesson.document.tableId, now);
  if (table === undefined) return undefined;
  return {
    shown,
    beside,
    callDrill: await drillOfCall(db, clubId, shown),
    tableName: table.name,
    card: table.state.card,
    conditions: table.state.conditions,
    ...(await blockShown(db, clubId, lesson, table.state.card)),
  };
}

/** A drill of the club or the library as it stands now; undefined where there is none that can be read. */
async function newestDrill(db: Database, clubId: string, slug: string): Promise<StoredDrill | undefined> {
  const owner = await ownerOf(db, clubId, slug);
  const revision = await newestRevision(db, owner, slug);
  return revision === undefined ? undefined : readableRevision(db, owner, slug, revision);
}

async function drillOfCall(
  db: Database,
  clubId: string,
  { view, call }: Shown,
): Promise<ScreenPicture['callDrill']> {
  if (view !== 'call' || call?.source.kind !== 'drill') return null;
  return (await newestDrill(db, clubId, call.source.slug))?.document ?? null;
}

/** The block that is played, whose turn it is, and where the cue ball stopped in the round that is played. */
async function blockShown(
  db: Database,
  clubId: string,
  { id, document }: { readonly id: string; readonly document: LessonDocument },
  card: ScreenPicture['card'],
): Promise<Pick<ScreenPicture, 'block' | 'turn' | 'landings'>> {
  const block = currentBlock(document);
  if (block === undefined) return { block: null, turn: null, landings: [] };
  const entry = await newestDrill(db, clubId, block.drill);
  const rounds = (await listRoundsOfLesson(db, clubId, id)).filter(
    ({ lesson: of }) => of?.block === block.id,
  );
  const last = rounds.at(-1);
  // A round in the mirror has its balls and landings there.
  const drill = entry && setFor(entry, { mirrored: last?.mirrored ?? false, table: card }).document;
  const turn = nextPlayer(playersOf(document, block), rounds, document.turns);
  const players = turn === undefined ? [] : await listPlayers(db, clubId);
  const name = players.find((player) => player.id === turn)?.name;
  const { stage, minutes, startedAt, endedAt } = block;
  return {
    block: drill?.stages[stage - 1] === undefined ? null : { drill, stage, minutes, startedAt, endedAt },
    // A screen stands where anybody looks: the first name is enough to know whose turn it is.
    turn: name?.split(' ')[0] ?? null,
    landings: (last?.attempts ?? []).flatMap(({ landing }) => (landing === null ? [] : [landing])),
  };
}
