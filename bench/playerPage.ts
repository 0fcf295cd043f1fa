import { createHash } from 'node:crypto';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { withDemoServer } from '../scripts/lib/demoServer.ts';
import { quantile, type Figure } from './report.ts';

/** Clubs whose pages are asked for, and players of each, who have played since the club was looked at last. */
const ASKED_CLUBS = 15;
const ASKED_PLAYERS = 3;

interface Count extends RowDataPacket {
  n: number;
}

async function count(db: Connection, sql: string): Promise<number> {
  const [rows] = await db.query<Count[]>(sql);
  return rows[0]?.n ?? 0;
}

const columnsOf = (alias: string, columns: string) =>
  columns
    .split(',')
    .map((name) => `${alias}.${name.trim()}`)
    .join(', ');

const ROUND_COLUMNS = `recorded_by, table_id, table_revision, conditions_id, table_fingerprint, drill_owner, drill,
  revision, stage, ladder_start, seed, ended_early, result, sums`;
const ATTEMPT_COLUMNS =
  'ordinal, outcome, landing_x, landing_y, points, along, across, played_at, log, counted';

/** Multiplies the demo's rounds over further clubs, each with players of its own, until there are so many shots. */
async function multiply(db: Connection, shots: number, clubs: number): Promise<void> {
  const times = Math.ceil(shots / (await count(db, 'SELECT COUNT(*) n FROM attempts')));
  await db.query('SET SESSION unique_checks = 0, foreign_key_checks = 0, max_statement_time = 0');
  await db.query('CREATE TEMPORARY TABLE clubs_of (copy INT PRIMARY KEY, id CHAR(36))');
  await db.query(`INSERT INTO clubs_of SELECT seq, UUID() FROM seq_1_to_${String(clubs)}`);
  await db.query(`INSERT INTO clubs (id, name) SELECT id, CONCAT('Club ', copy) FROM clubs_of`);
  await db.query('CREATE TEMPORARY TABLE people_of (old CHAR(36), copy INT, id CHAR(36), KEY (old, copy))');
  await db.query(
    `INSERT INTO people_of SELECT p.id, c.copy, UUID() FROM people p JOIN clubs_of c WHERE p.erased_at IS NULL`,
  );
  await db.query(
    `INSERT INTO people (id, club_id, role, name, hand)
     SELECT m.id, c.id, p.role, p.name, p.hand FROM people_of m JOIN people p ON p.id = m.old JOIN clubs_of c ON c.copy = m.copy`,
  );
  await db.query(
    'CREATE TEMPORARY TABLE rounds_of (old CHAR(36), n INT, id CHAR(36), player CHAR(36), club CHAR(36), KEY (old))',
  );
  await db.query(
    `INSERT INTO rounds_of SELECT r.id, s.seq, UUID(), m.id, c.id FROM rounds r JOIN seq_1_to_${String(times)} s
     JOIN clubs_of c ON c.copy = 1 + s.seq MOD ${String(clubs)} JOIN people_of m ON m.old = r.player_id AND m.copy = c.copy`,
  );
  await db.query(
    `INSERT INTO rounds (id, club_id, player_id, started_at, ended_at, ${ROUND_COLUMNS})
     SELECT m.id, m.club, m.player, r.started_at - INTERVAL (m.n DIV ${String(clubs)}) * 5 DAY, r.ended_at,
       ${columnsOf('r', ROUND_COLUMNS)} FROM rounds_of m JOIN rounds r ON r.id = m.old`,
  );
  await db.query(
    `INSERT INTO attempts (id, round_id, ${ATTEMPT_COLUMNS})
     SELECT UUID(), m.id, ${columnsOf('a', ATTEMPT_COLUMNS)} FROM rounds_of m JOIN attempts a ON a.round_id = m.old`,
  );
}

interface Asked {
  readonly cookie: string;
  readonly players: readonly string[];
}

/** Coaches of some of the clubs, signed in, and their players with most rounds. */
async function askedOf(db: Connection): Promise<readonly Asked[]> {
  const [coaches] = await db.query<(RowDataPacket & { id: string; club_id: string })[]>(
    `SELECT MIN(p.id) AS id, p.club_id FROM people p JOIN clubs_of c ON c.id = p.club_id WHERE p.role = 'coach'
     GROUP BY p.club_id LIMIT ${String(ASKED_CLUBS)}`,
  );
  const asked: Asked[] = [];
  for (const { id, club_id: club } of coaches) {
    const digest = createHash('sha256').update(id).digest('hex');
    await db.query(
      'INSERT INTO sessions (token_digest, person_id, expires_at) VALUES (?, ?, NOW() + INTERVAL 1 DAY)',
      [digest, id],
    );
    const [players] = await db.query<(RowDataPacket & { id: string })[]>(
      `SELECT player_id AS id FROM rounds WHERE club_id = ? GROUP BY player_id ORDER BY COUNT(*) DESC
       LIMIT ${String(ASKED_PLAYERS)}`,
      [club],
    );
    asked.push({ cookie: `jolly_session=${id}`, players: players.map((player) => player.id) });
  }
  return asked;
}

/**
 * A player's page over a year, each asked for once, and a club's, with so many shots in the database: the 95th percentile
 * over many. A club's page is told for its very first look, and for one after an evening on which some have played.
 * @param name what the figures' names begin with
 */
async function pages(name: string, shots: number, clubs: number): Promise<readonly Figure[]> {
  return withDemoServer({ JOLLY_BENCHMARKS: '0' }, async ({ url, databaseUrl }) => {
    const db = await createConnection(databaseUrl);
    await multiply(db, shots, clubs);
    const made = await count(db, 'SELECT COUNT(*) n FROM attempts');
    const asked = await askedOf(db);
    const rounds = await count(
      db,
      `SELECT COUNT(*) / COUNT(DISTINCT player_id) n FROM rounds WHERE started_at > NOW() - INTERVAL 365 DAY`,
    );
    const time = async (path: string, cookie: string) => {
      const start = performance.now();
      const reply = await fetch(`${url}/api${path}`, { headers: { cookie } });
      if (!reply.ok) throw new Error(`${path} answered ${String(reply.status)}`);
      await reply.json();
      return performance.now() - start;
    };
    const today = new Date().toISOString().slice(0, 10);
    const player: number[] = [];
    const club = { first: [] as number[], later: [] as number[] };
    for (const { cookie, players } of asked) {
      for (const id of players) player.push(await time(`/players/${id}/progress`, cookie));
      club.first.push(await time(`/club/overview?today=${today}`, cookie));
    }
    for (const { cookie, players } of asked) {
      await db.query('DELETE FROM player_overviews WHERE person_id IN (?)', [players]);
      club.later.push(await time(`/club/overview?today=${today}`, cookie));
    }
    await db.end();
    return [
      { name: `${name}.player`, value: quantile(player, 0.95), unit: 'ms', wanted: 'under 200' },
      { name: `${name}.player.first`, value: player[0] ?? NaN, unit: 'ms' },
      { name: `${name}.club`, value: quantile(club.later, 0.95), unit: 'ms', wanted: 'under 400' },
      { name: `${name}.club.first`, value: quantile(club.first, 0.95), unit: 'ms' },
      { name: `${name}.shots`, value: made, unit: 'shots in the database' },
      { name: `${name}.rounds`, value: rounds, unit: 'rounds a player and year (mean)' },
    ];
  });
}

export const playerPage = () => pages('server.page', 500_000, 10);

/** Takes minutes to make: run by its name alone. */
export const millions = () => pages('server.millions', 5_000_000, 60);
