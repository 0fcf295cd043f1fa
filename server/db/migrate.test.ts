import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createConnection } from 'mysql2/promise';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { standardCard } from '../../core/table/card.ts';
import { createTestDatabase, MIGRATIONS } from '../testing/club.ts';
import { migrate } from './migrate.ts';
import { openPool } from './pool.ts';
import { findTable } from './queries/tables.ts';

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

it('gives tables from before the cards a card that says their kind and nothing else', async () => {
  const older = await createTestDatabase();
  const folder = mkdtempSync(path.join(tmpdir(), 'migrations-'));
  for (const name of readdirSync(MIGRATIONS).filter((each) => each < '0004')) {
    cpSync(path.join(MIGRATIONS, name), path.join(folder, name));
  }
  const [clubId, tableId] = [randomUUID(), randomUUID()];
  try {
    await migrate(older.url, folder);
    const connection = await createConnection(older.url);
    await connection.query('INSERT INTO clubs (id, name) VALUES (?, ?)', [clubId, 'Quay Street']);
    await connection.query('INSERT INTO tables (id, club_id, name, preset) VALUES (?, ?, ?, ?)', [
      tableId,
      clubId,
      'By the window',
      'snooker-10ft',
    ]);
    await connection.end();
    expect(await migrate(older.url, MIGRATIONS)).toContain('0004_table_cards.sql');
    const pool = openPool(older.url);
    const table = await findTable(pool, clubId, tableId, new Date());
    await pool.end();
    expect(table).toMatchObject({
      name: 'By the window',
      archived: false,
      state: { revision: 1, card: standardCard('snooker-10ft'), conditions: null },
    });
  } finally {
    rmSync(folder, { recursive: true });
    await older.drop();
  }
});
