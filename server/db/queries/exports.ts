import type { LongConnection } from '../longConnection.ts';

/** Rows that are read at a time. */
const ROWS_AT_A_TIME = 1_000;

const ROUND = `p.name AS player, t.name AS \`table\`, r.drill, JSON_VALUE(d.document, '$.title') AS drill_title,
  r.revision AS drill_revision, r.stage`;
const TEXT = `drill_revisions d ON d.owner = r.drill_owner AND d.slug = r.drill AND d.revision = r.revision`;
const OF_ATTEMPTS = `attempts a JOIN rounds r ON r.id = a.round_id JOIN people p ON p.id = r.player_id
  JOIN tables t ON t.id = r.table_id JOIN ${TEXT} WHERE r.club_id = ? AND r.removed_at IS NULL AND a.undone_at IS NULL AND NOT a.contested
  ORDER BY r.started_at, r.id, a.ordinal`;

/** What can be taken out as CSV, and from where; the club's id is the one parameter. */
export const EXPORTS = {
  players: `SELECT p.id AS player_id, p.name AS player, p.hand, p.email IS NOT NULL AS has_sign_in,
      p.archived_at, p.created_at FROM people p WHERE p.club_id = ? AND p.role = 'player' AND p.erased_at IS NULL ORDER BY p.name, p.id`,
  rounds: `SELECT r.id AS round_id, ${ROUND}, r.started_at, r.ended_at, r.ended_early,
      JSON_VALUE(r.result, '$.value') AS result, JSON_VALUE(r.result, '$.unit') AS unit,
      JSON_VALUE(r.result, '$.better') AS better, JSON_VALUE(r.result, '$.complete') AS complete,
      JSON_VALUE(r.result, '$.censored') AS censored, w.name AS recorded_by
    FROM rounds r JOIN people p ON p.id = r.player_id JOIN tables t ON t.id = r.table_id
      JOIN people w ON w.id = r.recorded_by JOIN ${TEXT} WHERE r.club_id = ? AND r.removed_at IS NULL ORDER BY r.started_at, r.id`,
  attempts: `SELECT r.id AS round_id, ${ROUND}, a.ordinal AS attempt, a.outcome, a.points,
      a.landing_x AS landing_x_m, a.landing_y AS landing_y_m, a.along AS along_m, a.across AS across_m, a.played_at,
      a.change_reason FROM ${OF_ATTEMPTS}`,
  shots: `SELECT r.id AS round_id, ${ROUND}, a.ordinal AS attempt, a.log FROM ${OF_ATTEMPTS}`,
  calls: `SELECT c.id AS call_id, p.name AS player, c.kind, c.preset AS table_kind, c.score, c.coach_score, c.called_at
    FROM calls c JOIN people p ON p.id = c.player_id WHERE p.club_id = ? ORDER BY c.called_at, c.id`,
  programmes: `SELECT g.id AS programme_id, p.name AS player, JSON_VALUE(g.document, '$.title') AS programme,
      i.day, i.drill,
      (SELECT JSON_VALUE(d.document, '$.title') FROM drill_revisions d
        WHERE d.slug = i.drill AND d.owner IN (g.club_id, 'library')
        ORDER BY d.owner = 'library', d.revision DESC LIMIT 1) AS drill_title, i.stage, i.minutes, i.kind, i.note, k.ticked_at
    FROM programmes g JOIN people p ON p.id = g.player_id
      JOIN JSON_TABLE(g.document, '$.items[*]' COLUMNS (
        id CHAR(36) PATH '$.id', day CHAR(10) PATH '$.day', drill VARCHAR(60) PATH '$.drill', stage INT PATH '$.stage',
        minutes INT PATH '$.minutes', kind VARCHAR(20) PATH '$.kind', note VARCHAR(300) PATH '$.note')) i
      LEFT JOIN programme_ticks k ON k.programme_id = g.id AND k.item_id = i.id
    WHERE g.club_id = ? AND g.archived_at IS NULL ORDER BY g.id, i.day, i.id`,
} as const;
export type ExportName = keyof typeof EXPORTS;

export type ExportRow = Readonly<Record<string, unknown>>;

/** The rows of an export, some at a time, as they come from the database. */
export async function* listExportRows(
  connection: LongConnection,
  clubId: string,
  name: ExportName,
): AsyncGenerator<readonly ExportRow[]> {
  const found = connection.rows(EXPORTS[name], [clubId]);
  let some: ExportRow[] = [];
  for await (const row of found) {
    some.push(row);
    if (some.length < ROWS_AT_A_TIME) continue;
    yield some;
    some = [];
  }
  if (some.length > 0) yield some;
}
