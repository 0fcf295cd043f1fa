import { createConnection, type ConnectionOptions } from 'mysql2';
import type { Connection, RowDataPacket } from 'mysql2/promise';

/** A connection beside the pool, for what takes long: it hands rows over as they come. */
export class LongConnection {
  readonly #raw: ReturnType<typeof createConnection>;
  readonly db: Connection;

  private constructor(raw: ReturnType<typeof createConnection>) {
    this.#raw = raw;
    this.db = raw.promise();
  }

  /** @throws the driver's error when the node does not answer */
  static async open(options: ConnectionOptions): Promise<LongConnection> {
    const raw = createConnection(options);
    // A connection that is lost between two statements is told with the next one.
    raw.on('error', () => undefined);
    await raw.promise().connect();
    return new LongConnection(raw);
  }

  /** The rows of a query, one by one; the database waits for whoever reads them. */
  async *rows(sql: string, values: readonly string[]): AsyncGenerator<RowDataPacket> {
    for await (const row of this.#raw.query(sql, [...values]).stream()) yield row as RowDataPacket;
  }

  /** Ends it at once; a transaction that is open is rolled back. */
  destroy(): void {
    this.#raw.destroy();
  }
}
