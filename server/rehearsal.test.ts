import type { RowDataPacket } from 'mysql2/promise';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { listLibrary } from './db/queries/drills.ts';
import { rehearseShots } from './rehearsal.ts';
import { createTestApp, createTestClub, type TestApp } from './testing/club.ts';

let test: TestApp;
beforeAll(async () => {
  test = await createTestApp();
  await createTestClub(test, 'plover');
});
afterAll(() => test.close());

/** How many rows each table has. */
async function rowCounts(): Promise<Record<string, unknown>> {
  const [tables] = await test.pool.execute<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
  );
  const counts: Record<string, unknown> = {};
  for (const { name } of tables) {
    const [rows] = await test.pool.execute<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM \`${String(name)}\``);
    counts[String(name)] = rows[0]?.['n'];
  }
  return counts;
}

it('goes the whole way of every made-up shot, and leaves nothing behind', async () => {
  const before = await rowCounts();
  expect(await rehearseShots(test.deps, test.url, await listLibrary(test.pool))).toBe(320);
  expect(await rowCounts()).toEqual(before);
  expect(Number(before['people'])).toBeGreaterThan(0);
});
