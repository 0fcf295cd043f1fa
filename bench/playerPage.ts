import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { withDemoServer } from '../scripts/lib/demoServer.ts';
import { coachCookie } from './coachCookie.ts';
import { quantile, type Figure } from './report.ts';

const SHOTS = 500_000;
/** Each of the demo's players is there so many times. */
const COPIES = 10;
/** Players whose pages are asked for, each once, so that nothing is asked for twice. */
const ASKED = 30;

interface Count extends RowDataPacket {
  n: number;
}

async function count(db: Connection, sql: string): Promise<number> {
  const [rows] = await db.query<Count[]>(sql);
  return rows[0]?.n ?? 0;
}

/** Multiplies the demo's rounds until there are half a million shots, over a year and over many players. */
async function multiply(db: Connection): Promise<void> {
  const shots = await count(db, 'SELECT COUNT(*) n FROM attempts');
  const times = Math.ceil(SHOTS / shots);
  await db.query('CREATE TEMPORARY TABLE people_of (old CHAR(36), copy INT, id CHAR(36), KEY (old, copy))');
  await db.query(
    `INSERT INTO people_of SELECT p.id, s.seq, IF(s.seq = 0, p.id, UUID()) FROM people p
     JOIN seq_0_to_${String(COPIES - 1)} s WHERE p.role = 'player'`,
  );
  await db.query(
    `INSERT INTO people (id, club_id, role, name, hand) SELECT m.id, p.club_id, p.role, CONCAT(p.name, ' ', m.copy), p.hand
     FROM people_of m JOIN people p ON p.id = m.old WHERE m.copy > 0`,
  );
  await db.query(
    'CREATE TEMPORARY TABLE rounds_of (old CHAR(36), n INT, id CHAR(36), player CHAR(36), KEY (old))',
  );
  await db.query(
    `INSERT INTO rounds_of SELECT r.id, s.seq, UUID(), m.id FROM rounds r JOIN seq_1_to_${String(times - 1)} s
     JOIN people_of m ON m.old = r.player_id AND m.copy = s.seq MOD ${String(COPIES)}`,
  );
  const columns = `club_id, recorded_by, table_id, table_revision, conditions_id, table_fingerprint, drill_owner, drill,
    revision, stage, ladder_start, seed, ended_early, result, sums`;
  await db.query(
    `INSERT INTO rounds (id, player_id, started_at, ended_at, ${columns})
     SELECT m.id, m.player, r.started_at - INTERVAL (m.n DIV ${String(COPIES)}) * 12 DAY, r.ended_at, ${columns
       .split(',')
       .map((name) => `r.${name.trim()}`)
       .join(', ')}
     FROM rounds_of m JOIN rounds r ON r.id = m.old`,
  );
  await db.query(
    `INSERT INTO attempts (id, round_id, ordinal, outcome, landing_x, landing_y, points, along, across, played_at, log, counted)
     SELECT UUID(), m.id, a.ordinal, a.outcome, a.landing_x, a.landing_y, a.points, a.along, a.across, a.played_at, a.log,
       a.counted FROM rounds_of m JOIN attempts a ON a.round_id = m.old`,
  );
}

/** A player's page over a year with half a million shots in the database: the 95th percentile over many players. */
export async function playerPage(): Promise<readonly Figure[]> {
  return withDemoServer({ JOLLY_BENCHMARKS: '0' }, async ({ url, databaseUrl }) => {
    const db = await createConnection(databaseUrl);
    await multiply(db);
    const shots = await count(db, 'SELECT COUNT(*) n FROM attempts');
    const [players] = await db.query<(RowDataPacket & { id: string; n: number })[]>(
      `SELECT player_id AS id, COUNT(*) n FROM rounds WHERE started_at > NOW() - INTERVAL 365 DAY
       GROUP BY player_id ORDER BY n DESC LIMIT ${String(ASKED)}`,
    );
    await db.end();
    const cookie = await coachCookie(url);
    const times: number[] = [];
    for (const { id } of players) {
      const start = performance.now();
      const reply = await fetch(`${url}/api/players/${id}/progress`, { headers: { cookie } });
      if (!reply.ok) throw new Error(`the page answered ${String(reply.status)}`);
      await reply.json();
      times.push(performance.now() - start);
    }
    const rounds = players.map(({ n }) => n);
    return [
      { name: 'server.player.page', value: quantile(times, 0.95), unit: 'ms', wanted: 'under 200' },
      { name: 'server.player.page.first', value: times[0] ?? NaN, unit: 'ms' },
      { name: 'server.player.page.shots', value: shots, unit: 'shots in the database' },
      { name: 'server.player.page.rounds', value: quantile(rounds, 0.5), unit: 'rounds a page (median)' },
    ];
  });
}
