import { promisify } from 'node:util';
import { strToU8, zip, type AsyncZippable } from 'fflate';
import {
  ATTEMPT,
  DRILL,
  ENDED,
  LANDING,
  OFF,
  OUTCOME,
  PLAYED,
  POINTS,
  RESULT,
  ROUND_ID,
  STAGE,
  STARTED,
  TABLE,
  UNIT,
} from '../exports/columns.ts';
import { csvOf } from '../exports/csv.ts';
import { listCalls } from '../db/queries/calls.ts';
import { ownRow } from '../db/queries/erasure.ts';
import { listLessons } from '../db/queries/lessons.ts';
import { listProgrammes } from '../db/queries/programmes.ts';
import { listReports } from '../db/queries/reports.ts';
import { listHeadsOfPlayer, withAttempts } from '../db/queries/rounds.ts';
import type { Database } from '../db/pool.ts';

/** Packs in threads of its own: a life of practice takes a while. */
const packed = promisify<AsyncZippable, Uint8Array>(zip);
/** More than anybody plays in a life. */
const MOST = 100_000;
/** Rounds whose attempts are read at a time. */
const AT_A_TIME = 200;
const EVERY = { drill: undefined, revision: undefined, stage: undefined, fingerprint: undefined };

const README = `Everything that this club keeps of you, in open formats.

person.json      your name, hand and e-mail address
rounds.csv       your rounds, one a line; times in UTC
attempts.csv     what you scored, one attempt a line; lengths in metres
rounds.json      the same with everything that was noted of each shot
calls.json       what you called before you saw it
programmes.json  your weeks of practice
lessons.json     your lessons; of those in a group only your part
reports.json     what your coaches wrote to you
`;

/** Everything of one player as files in one archive (ZIP). */
export async function takeAway(db: Database, clubId: string, playerId: string): Promise<Uint8Array> {
  const heads = await listHeadsOfPlayer(db, clubId, playerId, EVERY, MOST);
  const rounds = [];
  for (let from = 0; from < heads.length; from += AT_A_TIME) {
    rounds.push(...(await withAttempts(db, heads.slice(from, from + AT_A_TIME))));
  }
  const lessons = await listLessons(db, clubId, { personId: playerId, limit: MOST });
  const own = lessons.map(({ heldBy, document }) => ({
    heldBy: heldBy.name,
    ...document,
    ...(document.playerIds.length === 1
      ? {}
      : {
          playerIds: [playerId],
          summary: '',
          blocks: document.blocks
            .filter((block) => (block.playerId ?? playerId) === playerId)
            .map((block) => ({ ...block, note: '' })),
        }),
  }));
  const json = (value: unknown) => strToU8(JSON.stringify(value, null, 1));
  return packed({
    'read-me.txt': strToU8(README),
    'person.json': json(await ownRow(db, playerId)),
    'rounds.csv': strToU8(
      csvOf(
        [ROUND_ID, DRILL, STAGE, TABLE, STARTED, ENDED, RESULT, UNIT],
        rounds.map(({ id, drill, stage, table, startedAt, endedAt, result }) => ({
          round_id: id,
          drill,
          stage,
          table: table.name,
          started_at: startedAt,
          ended_at: endedAt,
          result: result?.value ?? null,
          unit: result?.unit ?? null,
        })),
        { zone: 'UTC', begins: true },
      ),
    ),
    'attempts.csv': strToU8(
      csvOf(
        [ROUND_ID, ATTEMPT, OUTCOME, POINTS, ...LANDING, ...OFF, PLAYED],
        rounds.flatMap(({ id, attempts }) =>
          attempts.map(({ ordinal, outcome, points, landing, along, across, playedAt }) => ({
            round_id: id,
            attempt: ordinal,
            outcome,
            points,
            landing_x_m: landing?.x ?? null,
            landing_y_m: landing?.y ?? null,
            along_m: along,
            across_m: across,
            played_at: playedAt,
          })),
        ),
        { zone: 'UTC', begins: true },
      ),
    ),
    'rounds.json': json(rounds),
    'calls.json': json(await listCalls(db, clubId, playerId, MOST)),
    'programmes.json': json(await listProgrammes(db, clubId, playerId)),
    'lessons.json': json(own),
    'reports.json': json(await listReports(db, clubId, playerId)),
  });
}
