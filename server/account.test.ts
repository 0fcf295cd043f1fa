import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { countClubs } from './db/queries/clubs.ts';
import {
  cookieOf,
  createTestApp,
  createTestClub,
  PASSWORD,
  post,
  send,
  type TestApp,
} from './testing/club.ts';

let test: TestApp;
beforeAll(async () => {
  test = await createTestApp();
});
afterAll(() => test.close());

const FIRST = {
  club: 'Tern Wharf',
  name: 'Ada Kelp',
  email: 'ada@tern.example',
  password: 'low tide at six',
};

describe('a new installation', () => {
  it('that several first visitors open at once gets one club, and the others are told', async () => {
    const fresh = await createTestApp();
    const replies = await Promise.all(
      Array.from({ length: 6 }, (_, i) =>
        post(fresh.app, '/api/club', { ...FIRST, club: `Wharf ${i}`, email: `v${i}@tern.example` }),
      ),
    );
    expect(replies.map((reply) => reply.status).sort()).toEqual([201, 409, 409, 409, 409, 409]);
    expect(await countClubs(fresh.pool)).toBe(1);
    await fresh.close();
  });

  it('is empty, and its first visitor makes the club and is signed in as its coach', async () => {
    expect(await (await test.app.request('/api/welcome')).json()).toEqual({ empty: true, demo: [] });
    const short = await post(test.app, '/api/club', { ...FIRST, password: 'short' });
    expect(short.status).toBe(400);
    expect(await short.json()).toEqual({
      error: { field: 'password', message: 'password must have at least 10 characters' },
    });

    const made = await post(test.app, '/api/club', FIRST);
    expect(made.status).toBe(201);
    const me: unknown = await (await send(test.app, 'GET', '/api/me', { cookie: cookieOf(made) })).json();
    expect(me).toMatchObject({ name: 'Ada Kelp', role: 'coach', club: 'Tern Wharf' });
    const tables: unknown = await (
      await send(test.app, 'GET', '/api/tables', { cookie: cookieOf(made) })
    ).json();
    expect(tables).toMatchObject([{ preset: 'pool-9ft' }, { preset: 'snooker-12ft' }]);
  });

  it('cannot be opened twice', async () => {
    expect((await post(test.app, '/api/club', { ...FIRST, email: 'b@tern.example' })).status).toBe(409);
    expect(await (await test.app.request('/api/welcome')).json()).toMatchObject({ empty: false });
  });
});

describe('a session', () => {
  it('is a cookie that scripts cannot read and other sites cannot send; it ends with the sign-out', async () => {
    const response = await post(test.app, '/api/sign-in', {
      email: 'ADA@tern.example',
      password: FIRST.password,
    });
    expect(response.status).toBe(200);
    const header = response.headers.get('set-cookie') ?? '';
    expect(header).toContain('HttpOnly');
    expect(header).toContain('SameSite=Strict');
    const cookie = cookieOf(response);
    const [rows] = await test.pool.execute('SELECT token_digest FROM sessions');
    expect(JSON.stringify(rows)).not.toContain(cookie.split('=')[1]);
    await send(test.app, 'POST', '/api/sign-out', { cookie, body: {} });
    expect((await send(test.app, 'GET', '/api/me', { cookie })).status).toBe(401);
  });

  it('runs out after thirty days', async () => {
    const cookie = cookieOf(
      await post(test.app, '/api/sign-in', { email: FIRST.email, password: FIRST.password }),
    );
    test.clock.now += 29 * 86_400_000;
    expect((await send(test.app, 'GET', '/api/me', { cookie })).status).toBe(200);
    test.clock.now += 2 * 86_400_000;
    expect((await send(test.app, 'GET', '/api/me', { cookie })).status).toBe(401);
  });

  it('is refused to a request from another site', async () => {
    const response = await test.app.request('http://jolly.example/api/sign-in', {
      method: 'POST',
      headers: { 'content-type': 'text/plain', origin: 'http://elsewhere.example' },
      body: JSON.stringify({ email: FIRST.email, password: FIRST.password }),
    });
    expect(response.status).toBe(403);
  });
});

describe('a password', () => {
  it('is kept as an argon2id hash only', async () => {
    const [rows] = await test.pool.execute('SELECT password_hash FROM people');
    expect(JSON.stringify(rows)).toMatch(/\$argon2id\$/);
    expect(JSON.stringify(rows)).not.toContain(FIRST.password);
  });

  it('is asked for again after a growing time, and never refused for good', async () => {
    const wrong = { email: FIRST.email, password: 'wrong' };
    for (let i = 0; i < 5; i++) expect((await post(test.app, '/api/sign-in', wrong)).status).toBe(401);
    const waits: number[] = [];
    for (let i = 0; i < 12; i++) {
      const early = await post(test.app, '/api/sign-in', wrong);
      expect(early.status).toBe(429);
      const seconds = Number(early.headers.get('retry-after'));
      waits.push(seconds);
      test.clock.now += seconds * 1_000;
      expect((await post(test.app, '/api/sign-in', wrong)).status).toBe(401);
    }
    expect(waits).toEqual([...waits].sort((a, b) => a - b));
    expect(waits[0]).toBe(1);
    expect(waits.at(-1)).toBe(300);
    test.clock.now += 300_000;
    const right = { email: FIRST.email, password: FIRST.password };
    expect((await post(test.app, '/api/sign-in', right)).status).toBe(200);
  });

  it('says the same for an unknown address as for a wrong password', async () => {
    const unknown = await post(test.app, '/api/sign-in', { email: 'nobody@tern.example', password: 'x' });
    const wrong = await post(test.app, '/api/sign-in', { email: FIRST.email, password: 'x' });
    expect(unknown.status).toBe(401);
    expect(wrong.status).toBe(401);
    expect(await unknown.json()).toEqual(await wrong.json());
  });
});

describe('a player', () => {
  it('is archived, cannot sign in, and is brought back', async () => {
    const club = await createTestClub(test, 'skua');
    const change = (archived: boolean) =>
      send(test.app, 'PUT', `/api/players/${club.playerId}`, {
        cookie: club.coach,
        body: { name: 'Player', hand: 'left', archived },
      });
    const signIn = () => post(test.app, '/api/sign-in', { email: 'player@skua.example', password: PASSWORD });
    expect(await (await change(true)).json()).toMatchObject({ archived: true, hand: 'left' });
    expect((await signIn()).status).toBe(401);
    expect((await send(test.app, 'GET', '/api/me', { cookie: club.player })).status).toBe(401);
    expect(await (await change(false)).json()).toMatchObject({ archived: false });
    expect((await signIn()).status).toBe(200);
  });

  it('with an e-mail address that is in use is refused at that field', async () => {
    const club = await createTestClub(test, 'fulmar');
    const response = await send(test.app, 'POST', '/api/players', {
      cookie: club.coach,
      body: { name: 'Twin', hand: 'right', email: 'player@fulmar.example', password: 'gravel and tea' },
    });
    expect(response.status).toBe(409);
    expect(await response.json()).toMatchObject({ error: { field: 'email' } });
  });
});
