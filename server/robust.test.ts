import { randomUUID } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import type { RowDataPacket } from 'mysql2/promise';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  createTestApp,
  createTestClub,
  PASSWORD,
  post,
  send,
  type TestApp,
  type TestClub,
} from './testing/club.ts';
import { newLesson } from './testing/newLesson.ts';
import { playRound } from './testing/rounds.ts';
import { ask, listen, pour, type Listening } from './testing/socket.ts';

let test: TestApp;
let club: TestClub;
let server: Listening;
beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
  for (let k = 0; k < 4; k++) {
    const at = `2026-11-2${String(k)}T12:00:00Z`;
    await playRound(test, club, { drill: 'harbour-turn', at, shots: Array.from({ length: 10 }, () => ({})) });
  }
  server = await listen(test);
});
afterAll(async () => {
  await server.close();
  await test.close();
});

const statusOf = ({ statusCode }: IncomingMessage) => statusCode;
const whole = async (answer: IncomingMessage) => {
  let text = '';
  for await (const piece of answer) text += String(piece);
  return text;
};

describe('a backup that is fetched', () => {
  it('and left half read, twelve times at once, keeps nobody from anything', async () => {
    // More than the sockets' buffers hold: what nobody reads cannot be finished.
    await test.pool.execute(
      `INSERT INTO audit (id, club_id, at, person_id, action, subject, subject_id, reason)
       SELECT UUID(), ?, NOW(3), ?, 'player corrected', 'person', '', REPEAT('🎱', 200) FROM seq_1_to_40000`,
      [club.id, club.playerId],
    );
    const stalled = await Promise.all(
      Array.from({ length: 12 }, () => ask(server, '/api/export/backup', { cookie: club.coach })),
    );
    // One at a time for a club; a few wait a while, the others are told so at once.
    expect(stalled.map(statusOf).sort()).toEqual([200, ...Array.from({ length: 11 }, () => 429)]);
    for (let k = 0; k < 20; k++) {
      const page = await ask(server, '/api/today', { cookie: club.coach });
      expect(page.statusCode).toBe(200);
      page.resume();
    }
    for (const answer of stalled) answer.destroy();
    // Whoever went away has given it back.
    await expect
      .poll(async () => {
        const again = await ask(server, '/api/export/backup', { cookie: club.coach });
        const ok = again.statusCode === 200 && (await whole(again)).includes('"digest"');
        again.resume();
        return ok;
      })
      .toBe(true);
    await test.pool.execute("DELETE FROM audit WHERE club_id = ? AND subject_id = ''", [club.id]);
  });

  it('waits for the file before it, that the same coach is still fetching', async () => {
    await test.pool.execute(
      `INSERT INTO audit (id, club_id, at, person_id, action, subject, subject_id, reason)
       SELECT UUID(), ?, NOW(3), ?, 'player corrected', 'person', '', REPEAT('🎱', 200) FROM seq_1_to_40000`,
      [club.id, club.playerId],
    );
    const first = await ask(server, '/api/export/backup', { cookie: club.coach });
    const second = ask(server, '/api/export/csv/rounds.csv', { cookie: club.coach });
    // What nobody reads is not given back: the second has no answer yet.
    expect(await Promise.race([second.then(statusOf), ask(server, '/api/today').then(() => 'waits')])).toBe(
      'waits',
    );
    expect(await whole(first)).toContain('"digest"');
    const csv = await second;
    expect(csv.statusCode).toBe(200);
    expect(await whole(csv)).toContain('harbour-turn');
    await test.pool.execute("DELETE FROM audit WHERE club_id = ? AND subject_id = ''", [club.id]);
  });

  it('is not made for a HEAD, nor is anything else', async () => {
    for (const path of ['/api/export/backup', '/api/today', '/api/export/csv/rounds.csv']) {
      const answer = await ask(server, path, { method: 'HEAD', cookie: club.coach });
      expect(answer.statusCode).toBe(405);
      expect(answer.headers['allow']).toBe('GET');
      answer.resume();
    }
  });

  it('that cannot be made to its end is cut off, and not taken for a whole one', async () => {
    await test.pool.execute('RENAME TABLE reports TO reports_away');
    try {
      const answer = await ask(server, '/api/export/backup', { cookie: club.coach });
      await expect(whole(answer)).rejects.toThrow(/aborted|hang up|ECONNRESET/);
    } finally {
      await test.pool.execute('RENAME TABLE reports_away TO reports');
    }
    const again = await ask(server, '/api/export/backup', { cookie: club.coach });
    expect(again.statusCode).toBe(200);
    expect(await whole(again)).toContain('"digest"');
  });
});

describe('a body', () => {
  const PIECE = Buffer.alloc(64 * 1024, 'a');
  /** Three hundred megabytes, if anybody took them. */
  const PIECES = 4_800;

  it('is not listened to before it is known whose it is', async () => {
    const nobody = await pour(server, '/api/export/restore', { pieces: PIECES, piece: PIECE });
    expect(nobody.status).toBe(401);
    const player = await pour(server, '/api/export/restore', {
      cookie: club.player,
      pieces: PIECES,
      piece: PIECE,
    });
    expect(player.status).toBe(403);
    // What is on its way in buffers, but no more of the three hundred megabytes.
    expect(Math.max(nobody.sent, player.sent)).toBeLessThan((PIECES * PIECE.length) / 20);
  });

  it('is counted as it comes: one that does not say its length is refused when it is too long', async () => {
    const { status, sent } = await pour(server, '/api/sign-in', { pieces: PIECES, piece: PIECE });
    expect(status).toBe(413);
    expect(sent).toBeLessThan((PIECES * PIECE.length) / 20);
  });
});

describe('two hundred guesses at once', () => {
  it('are counted as two hundred, cost the work of a few, and lock nobody out', async () => {
    const email = 'coach@gannet.example';
    const signIn = async (headers: Readonly<Record<string, string>>, password: string) =>
      test.app.request('/api/sign-in', {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: 'http://localhost', ...headers },
        body: JSON.stringify({ email, password }),
      });
    const first = await post(test.app, '/api/sign-in', { email, password: PASSWORD });
    const device = /jolly_device=[^;]+/.exec(first.headers.getSetCookie().join('\n'))?.[0] ?? '';
    const guesses = await Promise.all(
      Array.from({ length: 200 }, (_, k) => signIn({}, `guess ${String(k)}`)),
    );
    const statuses = guesses.map(({ status }) => status);
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(6);
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(194);
    const [rows] = await test.pool.execute<(RowDataPacket & { tries: number })[]>(
      `SELECT tries FROM sign_in_tries WHERE subject LIKE 'pair:%' ORDER BY tries DESC LIMIT 1`,
    );
    expect(rows[0]?.tries).toBe(200);
    // The coach's own device does not wait for what a stranger does.
    expect((await signIn({ cookie: device }, PASSWORD)).status).toBe(200);
    // Nor does somebody of the club elsewhere, or after the time that was told.
    const wait = Number(guesses.find(({ status }) => status === 429)?.headers.get('retry-after'));
    expect(wait).toBeLessThanOrEqual(300);
    test.clock.now += 300_000;
    expect((await signIn({}, PASSWORD)).status).toBe(200);
  });

  it('from one address slow down that address alone, behind a proxy of ours as well', async () => {
    const proxied = await createTestApp({ behindProxy: true });
    try {
      await createTestClub(proxied, 'heron');
      const from = async (address: string, password: string) =>
        proxied.app.request('/api/sign-in', {
          method: 'POST',
          headers: {
            'content-type': 'application/json',
            origin: 'http://localhost',
            // What stands before the proxy's own entry anybody may have written.
            'x-forwarded-for': `10.9.9.${String(Math.floor(password.length % 9))}, ${address}`,
          },
          body: JSON.stringify({ email: 'coach@heron.example', password }),
        });
      const guesses = await Promise.all(
        Array.from({ length: 30 }, (_, k) => from('10.0.0.1', 'x'.repeat(k + 1))),
      );
      expect(guesses.filter(({ status }) => status === 429).length).toBeGreaterThan(20);
      expect((await from('10.0.0.2', PASSWORD)).status).toBe(200);
    } finally {
      await proxied.close();
    }
  });
});

describe('what is told to nobody else', () => {
  it('is kept by no browser, and the page allows nothing from elsewhere', async () => {
    const answer = await send(test.app, 'GET', '/api/me', { cookie: club.coach });
    expect(answer.headers.get('cache-control')).toBe('no-store');
    const refused = await send(test.app, 'GET', '/api/me');
    expect(refused.headers.get('cache-control')).toBe('no-store');
    const policy = answer.headers.get('content-security-policy') ?? '';
    for (const part of [
      "base-uri 'self'",
      "form-action 'self'",
      "frame-ancestors 'none'",
      "object-src 'none'",
    ]) {
      expect(policy).toContain(part);
    }
    // Without HTTPS a browser must not be told to insist on it.
    expect(answer.headers.get('strict-transport-security')).toBeNull();
    const secure = await createTestApp({ secureCookies: true });
    const strict = await send(secure.app, 'GET', '/api/welcome');
    expect(strict.headers.get('strict-transport-security')).toContain('max-age=');
    await secure.close();
  });
});

describe('a row that cannot be read', () => {
  const get = async (path: string) => {
    const answer = await send(test.app, 'GET', path, { cookie: club.coach });
    return { status: answer.status, text: await answer.text() };
  };

  it('is left out of its list and told at its own address; everything else is there', async () => {
    const [good, bad] = [randomUUID(), randomUUID()];
    const lesson = (id: string) =>
      send(test.app, 'PUT', `/api/lessons/${id}`, {
        cookie: club.coach,
        body: {
          document: newLesson({ playerIds: [club.playerId], tableId: club.poolTable }),
          basedOn: null,
        },
      });
    await lesson(good);
    await lesson(bad);
    await test.pool.execute(`UPDATE lessons SET document = '{"title":5}' WHERE id = ?`, [bad]);
    const list = await get('/api/lessons');
    expect(list.status).toBe(200);
    expect(list.text).toContain(good);
    expect(list.text).not.toContain(bad);
    const own = await get(`/api/lessons/${bad}`);
    expect(own.status).toBe(409);
    expect(own.text).toContain('damaged');
  });

  it('of a result is counted again, and of an attempt or a call takes no page with it', async () => {
    const round = await playRound(test, club, {
      drill: 'harbour-turn',
      at: '2026-11-24T10:00:00Z',
      shots: [{}, {}],
    });
    await test.pool.execute(`UPDATE rounds SET result = '{"value":"many"}' WHERE id = ?`, [round]);
    await test.pool.execute(`UPDATE attempts SET log = '{"shots":7}' WHERE round_id = ? AND ordinal = 2`, [
      round,
    ]);
    await test.pool.execute(
      `INSERT INTO calls (id, player_id, kind, preset, source, answer, score, called_at)
       VALUES (?, ?, 'who wins', 'pool-9ft', '{}', '{}', 0.5, NOW(3))`,
      [randomUUID(), club.playerId],
    );
    for (const path of [
      '/api/today',
      `/api/rounds/${round}`,
      `/api/players/${club.playerId}/rounds`,
      `/api/players/${club.playerId}/progress`,
      `/api/players/${club.playerId}/calls`,
      `/api/players/${club.playerId}/everything.zip`,
      '/api/export/csv/shots.csv',
      '/api/club/overview?today=2026-11-24',
    ]) {
      const { status } = await get(path);
      expect([path, status]).toEqual([path, 200]);
    }
  });
});
