import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { drillRevisionsSchema } from '../core/records/drillRevision.ts';
import { importReplySchema, listedDrillSchema, listedDrillsSchema } from '../core/records/listedDrill.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import type { Drill } from '../core/records/drill.ts';
import { findDrill, LIBRARY, storeRevision } from './db/queries/drills.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newRound } from './testing/newRound.ts';

let test: TestApp;
let club: TestClub;
let other: TestClub;
let turn: Drill;
beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'heron');
  other = await createTestClub(test, 'egret');
  const entry = await findDrill(test.pool, LIBRARY, 'harbour-turn', 1);
  if (entry === undefined) throw new Error('no drill');
  turn = entry.document;
});
afterAll(() => test.close());

const named = (slug: string, change: Partial<Drill> = {}): Drill => ({ ...turn, slug, ...change });

function save(document: unknown, basedOn: number | null, slug: string, cookie = club.coach) {
  return send(test.app, 'PUT', `/api/drills/${slug}`, { cookie, body: { document, basedOn } });
}

async function take(document: Drill, cookie = club.coach) {
  const response = await send(test.app, 'POST', '/api/drills/import', { cookie, body: { document } });
  return importReplySchema.validate(await response.json());
}

async function listed(cookie: string) {
  const response = await send(test.app, 'GET', '/api/drills', { cookie });
  return listedDrillsSchema.validate(await response.json());
}

async function error(response: Response) {
  const { error: said } = (await response.json()) as { error: { field: string; message: string } };
  return said;
}

describe('a drill of the club’s own', () => {
  it('is there for its club and for nobody else', async () => {
    expect((await save(named('mole-turn'), null, 'mole-turn')).status).toBe(200);
    const own = (await listed(club.player)).find(({ document }) => document.slug === 'mole-turn');
    expect(own).toMatchObject({ own: true, archived: false, favourite: false, revision: 1 });
    expect((await listed(other.coach)).some(({ document }) => document.slug === 'mole-turn')).toBe(false);
    expect((await send(test.app, 'GET', '/api/drills/mole-turn', { cookie: other.coach })).status).toBe(404);
  });

  it('sent twice is stored once, and another of its name is refused with nothing changed', async () => {
    const drill = named('twice');
    const replies = await Promise.all([1, 2, 3].map(() => save(drill, null, 'twice')));
    expect(replies.some((reply) => reply.status === 200)).toBe(true);
    expect((await save(drill, null, 'twice')).status).toBe(200);
    const taken = await save(named('twice', { title: 'Another' }), null, 'twice');
    expect(taken.status).toBe(409);
    expect((await error(taken)).field).toBe('document.slug');
    const library = await save(named('harbour-turn', { title: 'Another' }), null, 'harbour-turn');
    expect((await error(library)).message).toContain('library');
    const response = await send(test.app, 'GET', '/api/drills/twice', { cookie: club.coach });
    expect(await listedDrillSchema.validate(await response.json())).toMatchObject({ revision: 1 });
  });

  it('gets a new revision when it is changed; its rounds keep the text that they were played by', async () => {
    await save(named('kept', { title: 'First' }), null, 'kept');
    const id = randomUUID();
    const round = newRound({ playerId: club.playerId, tableId: club.poolTable }, { drill: 'kept' });
    const opened = await send(test.app, 'PUT', `/api/rounds/${id}`, { cookie: club.player, body: round });
    expect(opened.status).toBe(200);
    const shorter = { ...turn.scoring, shots: 5 } as Drill['scoring'];
    expect((await save(named('kept', { title: 'Second', scoring: shorter }), 1, 'kept')).status).toBe(200);
    const again = await send(test.app, 'GET', `/api/rounds/${id}`, { cookie: club.player });
    const { document, round: stored } = await openRoundSchema.validate(await again.json());
    expect(document.title).toBe('First');
    expect(stored).toMatchObject({ revision: 1, ownDrill: true });
    const response = await send(test.app, 'GET', '/api/drills/kept/revisions', { cookie: club.coach });
    const revisions = await drillRevisionsSchema.validate(await response.json());
    expect(revisions.map(({ revision, title, rounds }) => [revision, title, rounds])).toEqual([
      [2, 'Second', 0],
      [1, 'First', 1],
    ]);
    expect(revisions[0]?.writtenBy).toBe('coach of heron');
    const old = await send(test.app, 'GET', '/api/drills/kept/revisions/1', { cookie: club.coach });
    expect(await old.json()).toMatchObject({ revision: 1, document: { title: 'First' } });
  });

  it('that somebody else has changed meanwhile is not overwritten; an older text may come back', async () => {
    await save(named('shared'), null, 'shared');
    expect((await save(named('shared', { title: 'Theirs' }), 1, 'shared')).status).toBe(200);
    const late = await save(named('shared', { title: 'Ours' }), 1, 'shared');
    expect(late.status).toBe(409);
    expect((await error(late)).message).toContain('meanwhile');
    expect((await save(named('shared'), 2, 'shared')).status).toBe(200);
    const response = await send(test.app, 'GET', '/api/drills/shared', { cookie: club.coach });
    expect(await response.json()).toMatchObject({ revision: 3, document: { title: turn.title } });
  });

  it('stays the club’s, and can be changed, when the library gets one of its name', async () => {
    await save(named('jetty'), null, 'jetty');
    await storeRevision(test.pool, LIBRARY, named('jetty', { title: 'Shipped' }), 'digest', null);
    expect((await save(named('jetty', { title: 'Ours' }), 1, 'jetty')).status).toBe(200);
    const shown = async (cookie: string) =>
      (await send(test.app, 'GET', '/api/drills/jetty', { cookie })).json();
    expect(await shown(club.coach)).toMatchObject({ own: true, revision: 2, document: { title: 'Ours' } });
    expect(await shown(other.coach)).toMatchObject({ own: false, document: { title: 'Shipped' } });
  });

  it('put away and brought back is the same, with its favourite mark', async () => {
    await save(named('pontoon'), null, 'pontoon');
    const put = (what: string, body: object) =>
      send(test.app, 'PUT', `/api/drills/pontoon/${what}`, { cookie: club.coach, body });
    await put('favourite', { favourite: true });
    expect(await (await put('archived', { archived: true })).json()).toMatchObject({ archived: true });
    expect(await (await put('archived', { archived: false })).json()).toMatchObject({
      archived: false,
      favourite: true,
      revision: 1,
    });
    expect((await listed(club.player)).find((each) => each.document.slug === 'pontoon')?.favourite).toBe(
      false,
    );
  });

  it.each([
    ['a title that is missing', { title: '' }, 'document.title'],
    ['no stages', { stages: [] }, 'document.stages'],
    ['a ball on no spot', { balls: [{ id: 'cue', at: { spot: 'moon' } }] }, 'document.balls[0].at.spot'],
  ])('with %s is refused and the field is named', async (_, change, field) => {
    const response = await save({ ...named('wrong'), ...change }, null, 'wrong');
    expect(response.status).toBe(400);
    expect((await error(response)).field).toBe(field);
  });
});

it('a drill that cannot be set, or that names a ball that it does not set, is refused', async () => {
  const [cue, ...others] = turn.balls;
  if (cue === undefined) throw new Error('no balls');
  const crowded = named('crowded', { balls: [cue, ...others, { id: '9', at: cue.at }] });
  const response = await save(crowded, null, 'crowded');
  expect(response.status).toBe(400);
  expect(await error(response)).toMatchObject({ field: 'document.balls' });
  const strange = named('strange', { balls: turn.balls.slice(0, 2) });
  const refused = await error(await save(strange, null, 'strange'));
  expect(refused.message).toMatch(/there is no ball/);
});

describe('a drill from a file', () => {
  it('is added, recognised when it comes again, and a changed one is a new revision', async () => {
    const drill = named('sluice');
    expect(await take(drill, other.coach)).toEqual({ outcome: 'added', slug: 'sluice', revision: 1 });
    expect(await take(drill, other.coach)).toEqual({ outcome: 'already here', slug: 'sluice', revision: 1 });
    const changed = await take({ ...drill, title: 'Sluice, again' }, other.coach);
    expect(changed).toEqual({ outcome: 'new revision', slug: 'sluice', revision: 2 });
    expect((await take(drill, other.coach)).outcome).toBe('already here');
  });

  it('comes back when it was put away', async () => {
    const drill = named('lock-gate');
    await take(drill);
    await send(test.app, 'PUT', '/api/drills/lock-gate/archived', {
      cookie: club.coach,
      body: { archived: true },
    });
    expect((await take(drill)).outcome).toBe('already here');
    expect((await listed(club.coach)).find(({ document }) => document.slug === 'lock-gate')?.archived).toBe(
      false,
    );
  });

  it('of the library is recognised; one that is only called the same gets a name of its own, once', async () => {
    expect((await take(turn)).outcome).toBe('already here');
    const alike = { ...turn, title: 'Harbour turn, ours' };
    expect(await take(alike)).toEqual({ outcome: 'added', slug: 'harbour-turn-2', revision: 1 });
    expect((await take(alike)).outcome).toBe('already here');
    const third = await take({ ...turn, title: 'Harbour turn, theirs' });
    expect(third).toEqual({ outcome: 'added', slug: 'harbour-turn-3', revision: 1 });
  });
});
