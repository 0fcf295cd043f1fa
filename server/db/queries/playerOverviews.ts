import type { RowDataPacket } from 'mysql2/promise';
import type { KeptOverview } from '../../../core/records/clubOverview.ts';
import { readableRows } from '../damaged.ts';
import type { Database } from '../pool.ts';
import { fromStored, toStored } from '../stored.ts';

/** A player's year as it was counted at some time. */
export interface StoredOverview {
  readonly playerId: string;
  /** Of the player at that time. */
  readonly rounds: number;
  readonly lastRoundAt: Date | null;
  readonly countedAt: Date;
  readonly overview: KeptOverview;
}

interface OverviewRow extends RowDataPacket {
  id: string;
  rounds: number;
  last_round_at: Date | null;
  counted_at: Date;
  document: unknown;
}

/** Those of a club's players; one that cannot be read is as good as none. */
export async function listOverviews(db: Database, clubId: string): Promise<readonly StoredOverview[]> {
  const [rows] = await db.execute<OverviewRow[]>(
    `SELECT o.person_id AS id, o.rounds, o.last_round_at, o.counted_at, o.document
     FROM people p JOIN player_overviews o ON o.person_id = p.id WHERE p.club_id = ?`,
    [clubId],
  );
  return readableRows('player_overviews', rows, (row) => ({
    playerId: row.id,
    rounds: row.rounds,
    lastRoundAt: row.last_round_at,
    countedAt: row.counted_at,
    overview: fromStored('overview', row.document),
  }));
}

export async function storeOverview(db: Database, stored: StoredOverview): Promise<void> {
  await db.execute(
    `INSERT INTO player_overviews (person_id, rounds, last_round_at, counted_at, document) VALUES (?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE rounds = VALUES(rounds), last_round_at = VALUES(last_round_at),
       counted_at = VALUES(counted_at), document = VALUES(document)`,
    [
      stored.playerId,
      stored.rounds,
      stored.lastRoundAt,
      stored.countedAt,
      toStored('overview', stored.overview),
    ],
  );
}

/** Something of a player's rounds has changed. */
export async function forgetOverview(db: Database, playerId: string): Promise<void> {
  await db.execute('DELETE FROM player_overviews WHERE person_id = ?', [playerId]);
}
