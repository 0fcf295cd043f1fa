import type { RowDataPacket } from 'mysql2/promise';
import getPort from 'get-port';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createTestDatabase } from '../testing/club.ts';
import { addressesOf } from './addresses.ts';
import { troubleOf } from './errors.ts';
import { inTransaction, openPool, type DatabasePool } from './pool.ts';

let database: Awaited<ReturnType<typeof createTestDatabase>>;
let pool: DatabasePool;
beforeAll(async () => {
  database = await createTestDatabase();
  pool = openPool(database.url);
  await pool.execute(
    'CREATE TABLE counters (id INT PRIMARY KEY, n INT NOT NULL, day DATE NULL) ENGINE = InnoDB',
  );
  await pool.execute('INSERT INTO counters (id, n) VALUES (1, 0), (2, 0)');
});
afterAll(async () => {
  await pool.end();
  await database.drop();
});

const count = async (id: number) => {
  const [rows] = await pool.execute<(RowDataPacket & { n: number })[]>(
    'SELECT n FROM counters WHERE id = ?',
    [id],
  );
  return rows[0]?.n;
};

describe('an address of a database', () => {
  it('names one node or several', () => {
    expect(addressesOf('mysql://u:p@127.0.0.1:3306/jolly')).toEqual(['mysql://u:p@127.0.0.1:3306/jolly']);
    expect(addressesOf('mysql://u:p@a:1,b:2,c/jolly?ssl=1')).toEqual([
      'mysql://u:p@a:1/jolly?ssl=1',
      'mysql://u:p@b:2/jolly?ssl=1',
      'mysql://u:p@c/jolly?ssl=1',
    ]);
  });

  it.each(['postgres://x/y', 'mysql://u:p@/jolly', 'mysql://u:p@host/', 'mysql://u:p@a,,b/jolly', ''])(
    '%s is none',
    (url) => {
      expect(() => addressesOf(url)).toThrow(TypeError);
    },
  );
});

describe('connections', () => {
  it('are to the next node when one is gone, and stay there', async () => {
    const dead = await getPort({ host: '127.0.0.1' });
    const url = database.url.replace(/@([^/]+)\//, `@127.0.0.1:${String(dead)},$1/`);
    const several = openPool(url);
    try {
      await several.execute('SELECT 1');
      const { connection, node } = await several.take();
      connection.release();
      expect(node).toBe(1);
      await inTransaction(several, (db) => db.execute('UPDATE counters SET n = n + 1 WHERE id = 2'));
      expect(await count(2)).toBe(1);
    } finally {
      await several.end();
    }
  });

  it('refuse what does not fit, whatever the server is set to', async () => {
    for (const day of ['0000-00-00', '2026-02-30', 'soon']) {
      const refused = await pool.execute('UPDATE counters SET day = ? WHERE id = 1', [day]).then(
        () => undefined,
        (error: unknown) => troubleOf(error),
      );
      expect([day, refused]).toEqual([day, 'value']);
    }
  });
});

describe('a transaction', () => {
  it('that others were in the way of is run again, until all are done', async () => {
    // Two rows locked in either order: without another try half of these would end as deadlocks.
    const step = (first: number, second: number) =>
      inTransaction(pool, async (db) => {
        await db.execute('UPDATE counters SET n = n + 1 WHERE id = ?', [first]);
        await db.execute('UPDATE counters SET n = n + 1 WHERE id = ?', [second]);
      });
    const before = await count(1);
    await Promise.all(Array.from({ length: 40 }, (_, k) => (k % 2 === 0 ? step(1, 2) : step(2, 1))));
    expect((await count(1)) ?? 0).toBe((before ?? 0) + 40);
  });

  it('that fails stores nothing, and its error is told', async () => {
    const before = await count(1);
    await expect(
      inTransaction(pool, async (db) => {
        await db.execute('UPDATE counters SET n = 999 WHERE id = 1');
        throw new RangeError('no');
      }),
    ).rejects.toThrow(RangeError);
    expect(await count(1)).toBe(before);
  });
});
