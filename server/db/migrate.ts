import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { Umzug } from 'umzug';

interface NameRow extends RowDataPacket {
  name: string;
}

/** One server migrates at a time; the others wait this long for it, seconds. */
const LOCK_WAIT_S = 60;

/**
 * Brings the database to the newest schema: runs the numbered files that it has not seen, in order.
 * @param folder where the .sql files are
 * @returns the names of those that were run
 */
export async function migrate(url: string, folder: string): Promise<readonly string[]> {
  const connection = await createConnection({ uri: url, multipleStatements: true, timezone: 'Z' });
  try {
    await connection.query('SELECT GET_LOCK(?, ?)', ['jolly-rail-migrations', LOCK_WAIT_S]);
    await connection.query(
      `CREATE TABLE IF NOT EXISTS migrations (
         name VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
         run_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
       ) ENGINE = InnoDB`,
    );
    const done = await umzugFor(connection, folder).up();
    return done.map((migration) => migration.name);
  } finally {
    await connection.end();
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
