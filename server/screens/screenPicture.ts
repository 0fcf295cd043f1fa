import { currentBlock } from '../../core/programme/currentBlock.ts';
import { nextPlayer, playersOf } from '../../core/programme/turns.ts';
import type { LessonDocument } from '../../core/records/lesson.ts';
import type { ScreenPicture, Shown } from '../../core/records/screen.ts';
import type { Database } from '../db/pool.ts';
import { newestRevision, ownerOf, readableRevision } from '../db/queries/drills.ts';
import { findLesson } from '../db/queries/lessons.ts';
import { listPlayers } from '../db/queries/people.ts';
import { listRoundsOfLesson } from '../db/queries/rounds.ts';
import { screenOfCode } from '../db/queries/screens.ts';
import { findTable } from '../db/queries/tables.ts';

/** What an open screen shows now; undefined for a code that opens none, or whose lesson is over or put away. */
export async function screenPicture(
  db: Database,
  code: string,
  now: Date,
): Promise<ScreenPicture | undefined> {
  const screen = await screenOfCode(db, code, now);
  if (screen === undefined) return undefined;
  const { clubId, lessonId, shown } = screen;
  const lesson = await findLesson(db, clubId, lessonId);
  if (lesson === undefined || lesson.archived || lesson.document.endedAt !== null) return undefined;
  return pictureOf(db, clubId, lessonId, lesson.document, shown, now);
}

async function pictureOf(
  db: Database,
  clubId: string,
  lessonId: string,
  document: LessonDocument,
  shown: Shown,
  now: Date,
): Promise<ScreenPicture | undefined> {
  const table = await findTable(db, clubId, document.tableId, now);
  if (table === undefined) return undefined;
  const block = currentBlock(document);
  const base = {
    shown,
    tableName: table.name,
    card: table.state.card,
    conditions: table.state.conditions,
  };
  if (block === undefined) return { ...base, block: null, turn: null, landings: [] };
  const owner = await ownerOf(db, clubId, block.drill);
  const revision = await newestRevision(db, owner, block.drill);
  const drill = revision === undefined ? undefined : await readableRevision(db, owner, block.drill, revision);
  const rounds = (await listRoundsOfLesson(db, clubId, lessonId)).filter(
    ({ lesson: of }) => of?.block === block.id,
  );
  const turn = nextPlayer(playersOf(document, block), rounds, document.turns);
  const players = turn === undefined ? [] : await listPlayers(db, clubId);
  const name = players.find(({ id }) => id === turn)?.name;
  const { stage, minutes, startedAt, endedAt } = block;
  return {
    ...base,
    block:
      drill?.document.stages[stage - 1] === undefined
        ? null
        : { drill: drill.document, stage, minutes, startedAt, endedAt },
    // A screen stands where anybody looks: the first name is enough to know whose turn it is.
    turn: name?.split(' ')[0] ?? null,
    landings: (rounds.at(-1)?.attempts ?? []).flatMap(({ landing }) => (landing === null ? [] : [landing])),
  };
}
