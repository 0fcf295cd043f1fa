import { afterAll, beforeAll, expect, it } from 'vitest';
import type { RowDataPacket } from 'mysql2/promise';
import { clubOverviewSchema } from '../../core/records/clubOverview.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from '../testing/club.ts';
import { playRound } from '../testing/rounds.ts';
import { overviewsRefreshed } from './overview.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'dunlin');
});
afterAll(() => test.close());

const shown = async () => {
  const response = await send(test.app, 'GET', '/api/club/overview?today=2026-11-24', { cookie: club.coach });
  const overview = await clubOverviewSchema.validate(await response.json());
  return overview.find(({ playerId }) => playerId === club.playerId);
};

interface KeptRow extends RowDataPacket {
  counted_at: Date;
  document: string;
}

const kept = async () => {
  const [rows] = await test.pool.execute<KeptRow[]>(
    'SELECT counted_at, CAST(document AS CHAR) AS document FROM player_overviews WHERE person_id = ?',
    [club.playerId],
  );
  return rows[0];
};

/** Makes what is kept say something that nobody would count: so it is seen whether it was counted anew. */
const falsify = () =>
  test.pool.execute(
    `UPDATE player_overviews SET document = JSON_SET(document, '$.plateaus', 77) WHERE person_id = ?`,
    [club.playerId],
  );

it('a club’s overview is kept, until a round of the player is played or changed', async () => {
  expect((await shown())?.rounds).toBe(0);
  await falsify();
  expect((await shown())?.plateaus).toBe(77);
  await playRound(test, club, { drill: 'harbour-turn', at: '2026-11-24T11:00:00Z' });
  expect(await kept()).toBeUndefined();
  expect(await shown()).toMatchObject({ rounds: 1, plateaus: 0 });
  expect(await kept()).toBeDefined();
});

it('an overview of rounds that were taken away by another way does not hold either', async () => {
  await shown();
  await falsify();
  await test.pool.execute('UPDATE rounds SET removed_at = NOW(3) WHERE player_id = ?', [club.playerId]);
  expect(await shown()).toMatchObject({ rounds: 0, plateaus: 0 });
});

it('one that is old is shown at once and counted anew behind it; one that cannot be read is counted now', async () => {
  await shown();
  await falsify();
  test.clock.now += 6 * 60_000;
  expect((await shown())?.plateaus).toBe(77);
  await overviewsRefreshed(club.id);
  expect((await shown())?.plateaus).toBe(0);
  await test.pool.execute(`UPDATE player_overviews SET document = '{"v": 99}' WHERE person_id = ?`, [
    club.playerId,
  ]);
  expect((await shown())?.plateaus).toBe(0);
});
