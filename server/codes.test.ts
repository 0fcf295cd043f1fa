import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signInCodeSchema, viewerSchema } from '../core/records/account.ts';
import {
  cookieOf,
  createTestApp,
  createTestClub,
  post,
  send,
  type TestApp,
  type TestClub,
} from './testing/club.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

async function newPlayer(): Promise<string> {
  const response = await send(test.app, 'POST', '/api/players', {
    cookie: club.coach,
    body: { name: `Tern ${randomUUID().slice(0, 4)}`, hand: 'left', email: null, password: null },
  });
  const body: unknown = await response.json();
  return typeof body === 'object' && body !== null && 'id' in body ? String(body.id) : '';
}

const codeFor = async (playerId: string) =>
  signInCodeSchema.validate(
    await (
      await send(test.app, 'POST', `/api/players/${playerId}/sign-in-code`, { cookie: club.coach })
    ).json(),
  );

const come = (code: string, email = `${randomUUID()}@tern.example`) =>
  post(test.app, '/api/sign-in/code', { code, email, password: 'a long password' });

describe('a sign-in code', () => {
  it('lets its player in once, with a sign-in of their own', async () => {
    const playerId = await newPlayer();
    const { code } = await codeFor(playerId);
    expect(code).toMatch(/^[A-Z2-9]{5}-[A-Z2-9]{5}$/);
    const first = await come(code.toLowerCase().replace('-', ' '), 'tern@tern.example');
    expect(first.status).toBe(201);
    const viewer = await viewerSchema.validate(
      await (await send(test.app, 'GET', '/api/me', { cookie: cookieOf(first) })).json(),
    );
    expect(viewer).toMatchObject({ id: playerId, role: 'player' });
    const again = await post(test.app, '/api/sign-in', {
      email: 'tern@tern.example',
      password: 'a long password',
    });
    expect(again.status).toBe(200);
    const second = await come(code);
    expect(second.status).toBe(401);
    expect(await second.json()).toMatchObject({ error: { field: 'code' } });
  });

  it('is replaced by a newer one, and good for a week only', async () => {
    const playerId = await newPlayer();
    const { code: old } = await codeFor(playerId);
    const { code } = await codeFor(playerId);
    expect((await come(old)).status).toBe(401);
    const before = test.clock.now;
    test.clock.now += 8 * 86_400_000;
    expect((await come(code)).status).toBe(401);
    test.clock.now = before;
    expect((await come(code)).status).toBe(201);
  });

  it('stays good when the e-mail address is taken', async () => {
    const { code } = await codeFor(await newPlayer());
    expect((await come(code, 'coach@gannet.example')).status).toBe(409);
    expect((await come(code)).status).toBe(201);
  });

  it('cannot be guessed for long', async () => {
    const email = 'guess@tern.example';
    for (let k = 0; k < 5; k++) expect((await come('AAAAA-AAAAA', email)).status).toBe(401);
    expect((await come('AAAAA-AAAAA', email)).status).toBe(429);
  });

  it('takes an old sign-in’s place and signs its sessions out', async () => {
    const me = await createTestClub(test, 'heron');
    const { code } = await signInCodeSchema.validate(
      await (
        await send(test.app, 'POST', `/api/players/${me.playerId}/sign-in-code`, { cookie: me.coach })
      ).json(),
    );
    expect((await come(code)).status).toBe(201);
    expect((await send(test.app, 'GET', '/api/me', { cookie: me.player })).status).toBe(401);
  });
});
