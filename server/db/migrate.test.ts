import { readdirSync } from 'node:fs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createTestDatabase, MIGRATIONS } from '../testing/club.ts';
import { migrate } from './migrate.ts';

let database: Awaited<ReturnType<typeof createTestDatabase>>;
beforeAll(async () => {
  database = await createTestDatabase();
});
afterAll(() => database.drop());

it('runs every migration once and in order, also when two servers start together', async () => {
  const files = readdirSync(MIGRATIONS).sort();
  const [one, two] = await Promise.all([
    migrate(database.url, MIGRATIONS),
    migrate(database.url, MIGRATIONS),
  ]);
  expect([...one, ...two].sort()).toEqual(files);
  expect([one, two].filter((names) => names.length > 0)).toHaveLength(1);
  expect(await migrate(database.url, MIGRATIONS)).toEqual([]);
});
