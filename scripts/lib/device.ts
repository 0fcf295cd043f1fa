import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { logOf } from '../../core/records/attempt.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { clubTablesSchema } from '../../core/records/clubTable.ts';
import { playersSchema } from '../../core/records/player.ts';
import type { Beat } from './beat.ts';
import { newRound } from '../../server/testing/newRound.ts';

/** What devices have seen, all together. */
export interface Seen {
  /** Of each attempt that was acknowledged: its id, and the milliseconds it took. */
  readonly acknowledged: { readonly id: string; readonly took: number; readonly at: number }[];
  /** Answers from 500 on, and requests without one. */
  readonly failed: string[];
}

const AGAIN_MS = 150;
/** A device that gets no answer takes the server for away, as the application does. */
const ANSWER_MS = 6_000;

/** A device of a coach: it sends again what was not acknowledged, with the same id, as the application does. */
export class Device {
  readonly #url: string;
  readonly #cookie: string;
  readonly #seen: Seen;
  #place: { readonly playerId: string; readonly tableId: string } | undefined;

  constructor(url: string, cookie: string, seen: Seen) {
    this.#url = url;
    this.#cookie = cookie;
    this.#seen = seen;
  }

  /** Asks until there is an answer that is none of trouble. */
  async #ask(method: string, path: string, body?: unknown): Promise<Response> {
    for (;;) {
      try {
        const response = await fetch(`${this.#url}/api${path}`, {
          method,
          headers: { 'content-type': 'application/json', origin: this.#url, cookie: this.#cookie },
          signal: AbortSignal.timeout(ANSWER_MS),
          ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        });
        if (response.status < 500) return response;
        await response.arrayBuffer();
        this.#seen.failed.push(`${method} ${path}: ${String(response.status)}`);
      } catch (error) {
        this.#seen.failed.push(`${method} ${path}: ${error instanceof Error ? error.name : 'no answer'}`);
      }
      await setTimeout(AGAIN_MS);
    }
  }

  async page(path: string): Promise<void> {
    const response = await this.#ask('GET', path);
    await response.arrayBuffer();
    if (!response.ok) throw new Error(`${path} answered ${String(response.status)}`);
  }

  /** Where it scores: the n-th player on a pool table. */
  async begin(n: number): Promise<string> {
    const players = await playersSchema.validate(await (await this.#ask('GET', '/players')).json());
    const tables = await clubTablesSchema.validate(await (await this.#ask('GET', '/tables')).json());
    const playerId = players[n % players.length]?.id ?? '';
    const tableId = tables.find(({ preset }) => preset === 'pool-9ft')?.id ?? '';
    this.#place = { playerId, tableId };
    return playerId;
  }

  /** Scores a round of so many shots. @param beat its rhythm; without one it does not pause */
  async round(shots: number, beat?: Beat): Promise<void> {
    if (this.#place === undefined) throw new Error('Device: it has not begun');
    const at = new Date().toISOString();
    const round = randomUUID();
    const opened = await this.#ask('PUT', `/rounds/${round}`, newRound(this.#place, { startedAt: at }));
    if (!opened.ok) throw new Error(`a round was refused: ${await opened.text()}`);
    await opened.arrayBuffer();
    for (let ordinal = 1; ordinal <= shots; ordinal++) {
      await beat?.next();
      const id = randomUUID();
      const start = performance.now();
      const log = logOf({
        shots: [{ ...BLANK_SHOT, potted: ['1'], landing: { x: 1 + 0.03 * ordinal, y: 0.3 } }],
      });
      const reply = await this.#ask('PUT', `/rounds/${round}/attempts/${id}`, { ordinal, log, playedAt: at });
      if (!reply.ok) throw new Error(`an attempt was refused: ${await reply.text()}`);
      await reply.arrayBuffer();
      this.#seen.acknowledged.push({ id, took: performance.now() - start, at: Date.now() });
    }
    await (await this.#ask('POST', `/rounds/${round}/end`, { endedAt: at, early: false })).arrayBuffer();
  }
}
