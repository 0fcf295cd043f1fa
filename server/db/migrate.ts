import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Connection, RowDataPacket } from 'mysql2/promise';
import { Umzug } from 'umzug';
import { openPool, type DatabasePool } from './pool.ts';
import { LEASES_TABLE, releaseLease, takeLease } from './queries/leases.ts';

interface NameRow extends RowDataPacket {
  name: string;
}

const LEASE = 'migrations';
/** A server that died while it migrated is waited for so long, seconds; one that lives renews its lease. */
const LEASE_S = 15;
const RENEW_MS = 5_000;
const LOOK_MS = 100;
/** One server migrates at a time; the others wait this long for it. */
const WAIT_MS = 120_000;
/** A change of a large table may take so long, seconds. */
const STATEMENT_S = 3_600;

/**
 * Brings the database to the newest schema: runs the numbered files that it has not seen, in order. Of several servers
 * that start, on whichever nodes of a cluster, one does it and the others wait.
 * @param folder where the .sql files are
 * @returns the names of those that were run
 */
export async function migrate(url: string, folder: string): Promise<readonly string[]> {
  const pool = openPool(url);
  const holder = randomUUID();
  let renewal: NodeJS.Timeout | undefined;
  try {
    await pool.execute(LEASES_TABLE);
    await waitForTurn(pool, holder);
    renewal = setInterval(() => void takeLease(pool, LEASE, holder, LEASE_S).catch(() => false), RENEW_MS);
    const connection = await pool.openConnection(STATEMENT_S);
    try {
      await connection.db.query(
        `CREATE TABLE IF NOT EXISTS migrations (
           name VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
           run_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
         ) ENGINE = InnoDB`,
      );
      const done = await umzugFor(connection.db, folder).up();
      return done.map((migration) => migration.name);
    } finally {
      connection.destroy();
    }
  } finally {
    clearInterval(renewal);
    await releaseLease(pool, LEASE, holder).catch(() => undefined);
    await pool.end();
  }
}

async function waitForTurn(pool: DatabasePool, holder: string): Promise<void> {
  const end = Date.now() + WAIT_MS;
  while (!(await takeLease(pool, LEASE, holder, LEASE_S))) {
    if (Date.now() > end) throw new Error('migrate: another server has been migrating for too long');
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
}

function umzugFor(connection: Connection, folder: string): Umzug {
  return new Umzug({
    migrations: {
      glob: ['*.sql', { cwd: folder }],
      resolve: ({ name }) => ({
        name,
        up: async () => {
          await connection.query(await readFile(path.join(folder, name), 'utf8'));
        },
      }),
    },
    storage: {
      executed: async () => {
        const [rows] = await connection.query<NameRow[]>('SELECT name FROM migrations ORDER BY name');
        return rows.map((row) => row.name);
      },
      logMigration: async ({ name }) => {
        await connection.query('INSERT INTO migrations (name) VALUES (?)', [name]);
      },
      unlogMigration: () => Promise.reject(new Error('migrate: migrations are never taken back')),
    },
    logger: undefined,
  });
}
