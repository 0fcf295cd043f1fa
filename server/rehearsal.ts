import { Agent, request } from 'node:http';
import { serve } from '@hono/node-server';
import type { FieldPacket, QueryResult } from 'mysql2/promise';
import { logOf } from '../core/records/attempt.ts';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { standardCard } from '../core/table/card.ts';
import { createApp } from './app.ts';
import type { Dependencies } from './dependencies.ts';
import { DatabasePool } from './db/pool.ts';
import { LIBRARY, type StoredDrill } from './db/queries/drills.ts';

/** So often the way of a shot is gone before the first one comes, by so many at once: Node.js compiles it meanwhile. */
const SHOTS = 320;
const AT_ONCE = 16;
const AT = '2026-01-01T00:00:00Z';

/** Nobody, nowhere: no record has this id, so that nothing is ever found or stored under it. */
const NOBODY = '00000000-0000-4000-8000-000000000000';
const idOf = (k: number) => `${NOBODY.slice(0, -4)}${k.toString(16).padStart(4, '0')}`;

/**
 * Asks the database all that is asked, so that its connections know the statements, and answers as if nobody's round were
 * open: see findViewer, findRoundHead, findTableState and insertWhileOpen.
 */
class RehearsalPool extends DatabasePool {
  readonly #real: DatabasePool;
  readonly #entry: StoredDrill;

  constructor(url: string, real: DatabasePool, entry: StoredDrill) {
    super(url);
    this.#real = real;
    this.#entry = entry;
  }

  override async execute<T extends QueryResult>(
    sql: string,
    values?: Parameters<DatabasePool['execute']>[1],
  ): Promise<[T, FieldPacket[]]> {
    await this.#real.execute<T>(sql, values);
    // The rows have the shapes of those four statements.
    return [this.#answerTo(sql) as T, []];
  }

  #answerTo(sql: string): unknown {
    const { document, revision } = this.#entry;
    if (sql.startsWith('INSERT')) return { affectedRows: 1 };
    if (sql.includes('FROM sessions')) return [viewerRow];
    if (sql.includes('FROM table_cards')) {
      return [{ revision: 1, card: JSON.stringify(standardCard(document.table)) }];
    }
    return [{ ...roundRow, drill: document.slug, revision }];
  }
}

const viewerRow = {
  id: NOBODY,
  club_id: NOBODY,
  club: '',
  role: 'coach',
  name: '',
  keeper: 0,
  epoch: 0,
  rules: null,
};

const roundRow = {
  id: NOBODY,
  player_id: NOBODY,
  player_name: '',
  hand: 'right',
  table_id: NOBODY,
  table_name: '',
  preset: 'pool-9ft',
  table_fingerprint: '',
  table_revision: 1,
  conditions_id: null,
  drill_owner: LIBRARY,
  stage: 1,
  ladder_start: 0,
  seed: 1,
  mirrored: 0,
  lesson_id: null,
  block_id: null,
  result: null,
  advice: null,
  started_at: new Date(AT),
  ended_at: null,
  ended_early: null,
};

/** Sends a made-up shot as a device does. @returns the status of the answer */
function sendShot(port: number | undefined, agent: Agent, k: number): Promise<number> {
  const landing = { x: 1 + 0.001 * k, y: 0.4 };
  const log = logOf({ shots: [{ ...BLANK_SHOT, potted: ['1'], landing }] });
  const text = JSON.stringify({ ordinal: 1 + (k % 10), log, playedAt: AT });
  const headers = {
    'content-type': 'application/json',
    'content-length': Buffer.byteLength(text),
    cookie: 'jolly_session=rehearsal',
  };
  const path = `/api/rounds/${NOBODY}/attempts/${idOf(k)}`;
  return new Promise((resolve, reject) => {
    const sent = request({ port, agent, host: '127.0.0.1', method: 'PUT', path, headers }, (answer) => {
      answer.resume();
      answer.on('end', () => resolve(answer.statusCode ?? 0));
    });
    sent.on('error', reject);
    sent.end(text);
  });
}

/**
 * Goes the whole way of a shot many times with made-up shots that are stored nowhere, so that the first real ones do not wait
 * for a program and for connections that are still cold.
 * @returns how many were answered as a real shot is
 */
export async function rehearseShots(
  deps: Dependencies,
  url: string,
  library: readonly StoredDrill[],
): Promise<number> {
  const entry = library.find(({ document }) => isPositionDrill(document) && document.table === 'pool-9ft');
  if (entry === undefined) return 0;
  const pool = new RehearsalPool(url, deps.pool, entry);
  const server = serve({ fetch: createApp({ ...deps, pool }).fetch, port: 0, hostname: '127.0.0.1' });
  const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
  try {
    await new Promise((resolve) => server.once('listening', resolve));
    const address = server.address();
    const port = typeof address === 'object' ? address?.port : undefined;
    const statuses = await Promise.all(Array.from({ length: SHOTS }, (_, k) => sendShot(port, agent, k)));
    return statuses.filter((status) => status === 201).length;
  } finally {
    agent.destroy();
    await new Promise((resolve) => server.close(resolve));
    await pool.end();
  }
}
