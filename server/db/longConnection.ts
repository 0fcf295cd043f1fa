import { connect, type Socket } from 'node:net';
import { createConnection, type ConnectionOptions } from 'mysql2';
import type { Connection, RowDataPacket } from 'mysql2/promise';

/** What the driver tells of where it connects to. */
interface Dialled {
  readonly config: { readonly host: string; readonly port: number };
}

/** A connection beside the pool, for what takes long: it hands rows over as they come. */
export class LongConnection {
  readonly #raw: ReturnType<typeof createConnection>;
  readonly #socket: Socket;
  readonly db: Connection;

  private constructor(raw: ReturnType<typeof createConnection>, socket: Socket) {
    this.#raw = raw;
    this.#socket = socket;
    this.db = raw.promise();
  }

  /** @throws the driver's error when the node does not answer */
  static async open(options: ConnectionOptions): Promise<LongConnection> {
    let socket: Socket | undefined;
    // Where to is in the address; the driver has read it when it asks for its socket.
    const stream = ({ config: { host, port } }: Dialled) =>
      (socket = connect({ host, port, noDelay: true, keepAlive: true }));
    const raw = createConnection({ ...options, stream });
    if (socket === undefined) throw new Error('LongConnection: the driver opened no socket');
    // A connection that is lost between two statements is told with the next one.
    raw.on('error', () => undefined);
    await raw.promise().connect();
    return new LongConnection(raw, socket);
  }

  /** The rows of a query, one by one; the database waits for whoever reads them. */
  async *rows(sql: string, values: readonly string[]): AsyncGenerator<RowDataPacket> {
    for await (const row of this.#raw.query(sql, [...values]).stream()) yield row as RowDataPacket;
  }

  /**
   * Ends it at once; a transaction that is open is rolled back. The driver would only say that nothing more is sent: with
   * rows on their way that nobody reads, the database would wait for a minute, and what it has locked with it.
   */
  destroy(): void {
    this.#raw.destroy();
    this.#socket.destroy();
  }
}
