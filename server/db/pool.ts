import {
  createPool,
  type FieldPacket,
  type Pool,
  type PoolConnection,
  type QueryResult,
} from 'mysql2/promise';
import { addressesOf } from './addresses.ts';
import { troubleOf } from './errors.ts';
import { LongConnection } from './longConnection.ts';

/** What stands for a ? of a statement. */
type Value = string | number | boolean | Date | null;

/** Anything that runs parameterised SQL: the pool, or a connection inside a transaction. */
export interface Database {
  execute<T extends QueryResult>(sql: string, values?: Value[]): Promise<[T, FieldPacket[]]>;
}

const CONNECTIONS = 16;
/** A node that does not answer is left for the next, ms. */
const CONNECT_MS = 1_500;
/** For so long a node is looked for when none answers, ms. */
const SEARCH_MS = 5_000;
const PAUSE_MS = 150;
/** How often something is tried that others were in the way of. */
const TRIES = 10;

/**
 * How every connection speaks to the database, whatever its server is set to: what does not fit a column is an error,
 * and nothing waits for long (seconds).
 */
const MANNERS = `SET SESSION sql_mode = 'STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION',
  innodb_lock_wait_timeout = 5, max_statement_time = 30`;
/** In a cluster a node first catches up with what the others have acknowledged. A server without it has no such name. */
const CATCH_UP = 'SET SESSION wsrep_sync_wait = 7';

const optionsOf = (uri: string) => ({
  uri,
  timezone: 'Z',
  charset: 'utf8mb4_unicode_ci',
  connectTimeout: CONNECT_MS,
});

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Longer with each try, and never the same for two that are in each other's way. */
const pauseBefore = (attempt: number) => pause(Math.random() * Math.min(400, 15 * 2 ** attempt));

/** A connection with the node that it is of. */
interface Taken {
  readonly connection: PoolConnection;
  readonly node: number;
}

/** Connections to one MariaDB or to the nodes of a cluster, of which one is used until it is gone. All in UTC. */
export class DatabasePool implements Database {
  readonly #addresses: readonly string[];
  readonly #pools: readonly Pool[];
  #current = 0;

  /** @param url one or more hosts: see addressesOf */
  constructor(url: string) {
    this.#addresses = addressesOf(url);
    this.#pools = this.#addresses.map((uri) => {
      const pool = createPool({ ...optionsOf(uri), connectionLimit: CONNECTIONS });
      pool.pool.on('connection', (connection) => {
        connection.query(MANNERS, () => undefined);
        connection.query(CATCH_UP, () => undefined);
      });
      return pool;
    });
  }

  /** A connection for a transaction; of the next node when this one is gone. Whoever takes it gives it back, or loses it. */
  take(): Promise<Taken> {
    return this.#search(async (node) => {
      const pool = this.#pools[node];
      if (pool === undefined) throw new Error('DatabasePool: there is no such node');
      return { connection: await pool.getConnection(), node };
    });
  }

  /** A connection failed: its node is left, once for all who find it gone. */
  lose({ connection, node }: Taken): void {
    connection.destroy();
    this.#leave(node);
  }

  /**
   * A connection beside the pool, for what takes long. Whoever takes it destroys it.
   * @param seconds how long one of its statements may take
   */
  openConnection(seconds: number): Promise<LongConnection> {
    return this.#search(async (at) => {
      const options = { ...optionsOf(this.#addresses[at] ?? ''), multipleStatements: true };
      const connection = await LongConnection.open(options);
      await connection.db.query(MANNERS);
      await connection.db.query(`SET SESSION max_statement_time = ${String(seconds)}`);
      await connection.db.query(CATCH_UP).catch(() => undefined);
      return connection;
    });
  }

  async #search<C>(connect: (at: number) => Promise<C>): Promise<C> {
    const end = Date.now() + SEARCH_MS;
    for (let failed = 1; ; failed++) {
      const at = this.#current;
      try {
        return await connect(at);
      } catch (error) {
        if (troubleOf(error) !== 'gone' || Date.now() > end) throw error;
        this.#leave(at);
        // All were asked once: one may be starting again.
        if (failed % this.#pools.length === 0) await pause(PAUSE_MS);
      }
    }
  }

  /** Whoever finds a node gone leaves it, once for all who find it. */
  #leave(at: number): void {
    if (this.#current === at) this.#current = (at + 1) % this.#pools.length;
  }

  /**
   * Runs one statement of its own. One that others were in the way of is tried again; so is one that only reads when its
   * node is gone. Of a change nobody knows then whether it was made: the error is the caller's.
   */
  async execute<T extends QueryResult>(sql: string, values?: Value[]): Promise<[T, FieldPacket[]]> {
    for (let attempt = 0; ; attempt++) {
      const taken = await this.take();
      const { connection } = taken;
      try {
        const answer = await connection.execute<T>(sql, values);
        connection.release();
        return answer;
      } catch (error) {
        const trouble = troubleOf(error);
        if (trouble === 'gone') this.lose(taken);
        else connection.release();
        const again = trouble === 'conflict' || (trouble === 'gone' && /^\s*SELECT/i.test(sql));
        if (!again || attempt >= TRIES) throw error;
      }
      await pauseBefore(attempt);
    }
  }

  /** Opens all connections of the node, so that nobody waits for one in the first seconds. */
  async fill(): Promise<void> {
    const taken = await Promise.all(Array.from({ length: CONNECTIONS }, () => this.take()));
    for (const { connection } of taken) connection.release();
  }

  async end(): Promise<void> {
    await Promise.all(this.#pools.map((pool) => pool.end()));
  }
}

export function openPool(url: string): DatabasePool {
  return new DatabasePool(url);
}

/**
 * Runs the work in one transaction: all of it is stored, or nothing. What others were in the way of, or whose node went
 * before it was to be stored, is run again from its beginning: the work keeps nothing outside of the database.
 */
export async function inTransaction<T>(
  pool: DatabasePool,
  work: (db: PoolConnection) => Promise<T>,
): Promise<T> {
  for (let attempt = 0; ; attempt++) {
    const taken = await pool.take();
    const { connection } = taken;
    let storing = false;
    try {
      await connection.beginTransaction();
      const result = await work(connection);
      storing = true;
      await connection.commit();
      connection.release();
      return result;
    } catch (error) {
      const trouble = troubleOf(error);
      if (trouble === 'gone') pool.lose(taken);
      else {
        await connection.rollback().then(
          () => connection.release(),
          () => connection.destroy(),
        );
      }
      // A commit that was sent and not answered may have been made.
      const again = trouble === 'conflict' || (trouble === 'gone' && !storing);
      if (!again || attempt >= TRIES) throw error;
    }
    await pauseBefore(attempt);
  }
}
