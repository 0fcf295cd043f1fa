import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { randomUUID } from 'node:crypto';
import { FIRST_RULES } from '../core/records/clubRules.ts';
import { coachesSchema, invitedSchema, viewerSchema } from '../core/records/account.ts';
import { auditEntriesSchema } from '../core/records/audit.ts';
import { hallsSchema } from '../core/records/hall.ts';
import {
  cookieOf,
  createTestApp,
  createTestClub,
  PASSWORD,
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

const ask = (method: string, path: string, body?: unknown, cookie = club.coach) =>
  send(test.app, method, `/api${path}`, { cookie, ...(body === undefined ? {} : { body }) });
const me = async (cookie: string) =>
  viewerSchema.validate(await (await ask('GET', '/me', undefined, cookie)).json());
const status = async (answer: Promise<Response>) => (await answer).status;

async function invited(name: string) {
  const { id, code } = await invitedSchema.validate(await (await ask('POST', '/coaches', { name })).json());
  const email = `${randomUUID()}@tern.example`;
  const come = await post(test.app, '/api/sign-in/code', { code, email, password: 'gravel and tea' });
  expect(come.status).toBe(201);
  return { id, email, cookie: cookieOf(come) };
}

describe('a coach', () => {
  it('is invited by another one, comes in with a code, and is a coach of the same club', async () => {
    const second = await invited('Second Coach');
    expect(await me(second.cookie)).toMatchObject({
      role: 'coach',
      name: 'Second Coach',
      keeper: false,
      clubId: club.id,
    });
    const coaches = await coachesSchema.validate(await (await ask('GET', '/coaches')).json());
    expect(coaches.find(({ id }) => id === second.id)).toMatchObject({ hasSignIn: true, removed: false });
  });

  it('who leaves keeps nothing: no session, no password, no code, no device; what they wrote stays', async () => {
    const leaving = await invited('Leaving Coach');
    await ask('POST', `/coaches/${leaving.id}/sign-in-code`);
    expect(await status(ask('PUT', `/coaches/${leaving.id}/removed`, { removed: true }))).toBe(200);
    expect(await status(ask('GET', '/me', undefined, leaving.cookie))).toBe(401);
    const again = await post(test.app, '/api/sign-in', { email: leaving.email, password: 'gravel and tea' });
    expect(again.status).toBe(401);
    const [rows] = await test.pool.execute(
      `SELECT person_id FROM sign_in_codes WHERE person_id = ? UNION SELECT person_id FROM known_devices WHERE person_id = ?`,
      [leaving.id, leaving.id],
    );
    expect(rows).toEqual([]);
    // Brought back, they come in with a new code only.
    expect(await status(ask('PUT', `/coaches/${leaving.id}/removed`, { removed: false }))).toBe(200);
    expect(await status(ask('POST', `/coaches/${leaving.id}/sign-in-code`))).toBe(201);
  });

  it('cannot let themselves go, nor make a code for themselves; of two who let each other go one stays', async () => {
    const { id } = await me(club.coach);
    expect(await status(ask('PUT', `/coaches/${id}/removed`, { removed: true }))).toBe(409);
    expect(await status(ask('POST', `/coaches/${id}/sign-in-code`))).toBe(409);
    const [one, two] = [await invited('One'), await invited('Two')];
    await Promise.all([
      ask('PUT', `/coaches/${two.id}/removed`, { removed: true }, one.cookie),
      ask('PUT', `/coaches/${one.id}/removed`, { removed: true }, two.cookie),
    ]);
    const statuses = await Promise.all(
      [one, two].map(({ cookie }) => status(ask('GET', '/me', undefined, cookie))),
    );
    expect(statuses.sort()).toEqual([200, 401]);
  });

  it('who forgot the password gets a code from another one', async () => {
    const forgetful = await invited('Forgetful');
    const given = await (await ask('POST', `/coaches/${forgetful.id}/sign-in-code`)).json();
    const { code } = given as { code: string };
    const come = (password: string) =>
      post(test.app, '/api/sign-in/code', { code, email: forgetful.email, password });
    expect((await come('forgetful1')).status).toBe(400);
    expect((await come('wind off the pier')).status).toBe(201);
    // Whoever had the old one is out.
    expect(await status(ask('GET', '/me', undefined, forgetful.cookie))).toBe(401);
  });
});

describe('one’s own password', () => {
  it('is changed with the old one, and signs all other devices out', async () => {
    const own = await createTestClub(test, 'skua');
    const other = cookieOf(
      await post(test.app, '/api/sign-in', { email: 'player@skua.example', password: PASSWORD }),
    );
    const change = (current: string, password: string) =>
      ask('PUT', '/password', { current, password }, own.player);
    const wrong = await change('not it', 'wind off the pier');
    expect(wrong.status).toBe(403);
    expect(await wrong.json()).toMatchObject({ error: { field: 'current' } });
    const done = await change(PASSWORD, 'wind off the pier');
    expect(done.status).toBe(200);
    expect(await status(ask('GET', '/me', undefined, cookieOf(done)))).toBe(200);
    expect(await status(ask('GET', '/me', undefined, other))).toBe(401);
    expect(
      (await post(test.app, '/api/sign-in', { email: 'player@skua.example', password: PASSWORD })).status,
    ).toBe(401);
  });

  it.each([
    ['one of the common ones', 'password123'],
    ['a row of keys', 'qwertyuiop'],
    ['ten times the same', 'aaaaaaaaaa'],
    ['the own name', 'Player of Auk'],
    ['the own name with a number', 'playerofauk99'],
  ])('cannot be %s', async (_, password) => {
    const own = await createTestClub(test, `auk-${randomUUID().slice(0, 6)}`);
    await test.pool.execute(
      `UPDATE people SET name = 'Player of Auk', email = CONCAT(id, '@auk.example') WHERE id = ?`,
      [own.playerId],
    );
    const refused = await ask('PUT', '/password', { current: PASSWORD, password }, own.player);
    expect(refused.status).toBe(400);
    expect(await refused.json()).toMatchObject({ error: { field: 'password' } });
  });

  it('is not asked for any more on any device after signing out everywhere', async () => {
    const own = await createTestClub(test, 'tern');
    const other = cookieOf(
      await post(test.app, '/api/sign-in', { email: 'other@tern.example', password: PASSWORD }),
    );
    expect(await status(ask('POST', '/sign-out/everywhere', {}, own.other))).toBe(200);
    for (const cookie of [own.other, other])
      expect(await status(ask('GET', '/me', undefined, cookie))).toBe(401);
  });
});

describe('further clubs', () => {
  it('are founded by the keeper of the installation, and see nothing of each other', async () => {
    const installation = await createTestApp();
    try {
      const first = cookieOf(
        await post(installation.app, '/api/club', {
          club: 'Quay Street',
          name: 'First Keeper',
          email: 'first@quay.example',
          password: 'gravel and tea',
        }),
      );
      const call = (method: string, path: string, cookie: string, body?: unknown) =>
        send(installation.app, method, `/api${path}`, { cookie, ...(body === undefined ? {} : { body }) });
      const { code } = await invitedSchema.validate(
        await (
          await call('POST', '/club/further', first, { club: 'Harbour Side', coach: 'Second Founder' })
        ).json(),
      );
      const second = cookieOf(
        await post(installation.app, '/api/sign-in/code', {
          code,
          email: 'second@side.example',
          password: 'low tide at six',
        }),
      );
      const told = await viewerSchema.validate(await (await call('GET', '/me', second)).json());
      expect(told).toMatchObject({ club: 'Harbour Side', role: 'coach', keeper: false });
      expect((await call('POST', '/club/further', second, { club: 'x', coach: 'x' })).status).toBe(403);
      await call('POST', '/players', first, { name: 'Only Here', hand: 'left', email: null, password: null });
      expect(await (await call('GET', '/players', second)).text()).not.toContain('Only Here');
      expect(await (await call('GET', '/tables', second)).text()).toContain('Snooker table');
      expect(await (await call('GET', '/club/all', first)).json()).toMatchObject([
        { name: 'Quay Street', coaches: ['First Keeper'] },
        { name: 'Harbour Side', coaches: ['Second Founder'] },
      ]);
    } finally {
      await installation.close();
    }
  });
});

describe('what a club settles', () => {
  const rules = {
    zone: 'Pacific/Auckland',
    restAfter: 45,
    most: 90,
    pictures: false,
    cameras: false,
    screens: true,
  };

  it('is told to everybody of it; a zone that nobody knows is refused by its name', async () => {
    expect((await me(club.coach)).rules).toEqual(FIRST_RULES);
    expect(await status(ask('PUT', '/club/rules', rules))).toBe(200);
    expect((await me(club.player)).rules).toEqual(rules);
    // What devices from before there were cameras send is whole as well.
    const { zone, restAfter, most } = rules;
    expect(await status(ask('PUT', '/club/rules', { zone, restAfter, most }))).toBe(200);
    expect((await me(club.player)).rules).toMatchObject({ zone, pictures: true, cameras: true });
    const refused = await ask('PUT', '/club/rules', { ...rules, zone: 'Moon/Copernicus' });
    expect(refused.status).toBe(400);
    expect(await refused.json()).toMatchObject({ error: { field: 'zone' } });
    const other = await createTestClub(test, 'fulmar');
    expect((await me(other.coach)).rules.zone).toBe(null);
  });
});

describe('halls', () => {
  it('hold the club’s tables; each name is there once, and another club’s cannot be used', async () => {
    const [upstairs, shed] = [randomUUID(), randomUUID()];
    const put = (id: string, name: string, archived = false, cookie = club.coach) =>
      ask('PUT', `/halls/${id}`, { name, archived }, cookie);
    expect(await status(put(upstairs, 'Upstairs'))).toBe(200);
    expect(await status(put(upstairs, 'Upstairs'))).toBe(200);
    expect(await status(put(shed, 'Upstairs'))).toBe(409);
    expect(await status(put(shed, 'The shed'))).toBe(200);
    expect(await status(put(shed, 'The shed', true))).toBe(200);
    const halls = await hallsSchema.validate(await (await ask('GET', '/halls')).json());
    expect(halls.map(({ name, archived }) => [name, archived])).toEqual([
      ['The shed', true],
      ['Upstairs', false],
    ]);
    const place = (hallId: string | null, table = club.poolTable) =>
      ask('PUT', `/tables/${table}/hall`, { hallId });
    expect(await (await place(upstairs)).json()).toMatchObject({ hallId: upstairs });
    const stranger = await createTestClub(test, 'puffin');
    expect(await status(put(upstairs, 'Ours', false, stranger.coach))).toBe(404);
    expect(
      await status(ask('PUT', `/tables/${stranger.poolTable}/hall`, { hallId: upstairs }, stranger.coach)),
    ).toBe(404);
    expect(await (await place(null)).json()).toMatchObject({ hallId: null });
  });
});

describe('the list of changes', () => {
  it('says who changed what and when, to the coaches of the club', async () => {
    const own = await createTestClub(test, 'petrel');
    await ask('PUT', '/club/name', { name: 'Petrel Rooms' }, own.coach);
    await ask('PUT', '/club/rules', { zone: 'Europe/Athens', restAfter: 45, most: 90 }, own.coach);
    const hall = randomUUID();
    await ask('PUT', `/halls/${hall}`, { name: 'Loft', archived: false }, own.coach);
    await ask('PUT', `/tables/${own.poolTable}/hall`, { hallId: hall }, own.coach);
    await ask(
      'PUT',
      `/players/${own.playerId}`,
      { name: 'New Name', hand: 'left', archived: true },
      own.coach,
    );
    const entries = await auditEntriesSchema.validate(
      await (await ask('GET', '/club/audit', undefined, own.coach)).json(),
    );
    expect(entries.map(({ action, by, name }) => [action, by, name])).toEqual(
      expect.arrayContaining([
        ['club renamed', 'coach of petrel', 'Petrel Rooms'],
        ['club rules changed', 'coach of petrel', 'Petrel Rooms'],
        ['hall changed', 'coach of petrel', 'Loft'],
        ['table changed', 'coach of petrel', 'one'],
        ['player archived', 'coach of petrel', 'New Name'],
      ]),
    );
    const about = await ask('GET', `/club/audit?about=${own.playerId}`, undefined, own.coach);
    expect((await auditEntriesSchema.validate(await about.json())).map(({ action }) => action)).toEqual([
      'player archived',
    ]);
    expect(await status(ask('GET', '/club/audit', undefined, own.other))).toBe(403);
  });
});
