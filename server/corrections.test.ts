import { randomUUID } from 'node:crypto';
import { unzipSync, strFromU8 } from 'fflate';
import type { RowDataPacket } from 'mysql2/promise';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { logOf } from '../core/records/attempt.ts';
import { auditEntriesSchema } from '../core/records/audit.ts';
import { removedRoundsSchema } from '../core/records/corrections.ts';
import { lessonsSchema } from '../core/records/lesson.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { roundHeadsSchema } from '../core/records/round.ts';
import { readBackup } from './exports/readBackup.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newLesson } from './testing/newLesson.ts';
import { playRound } from './testing/rounds.ts';

let test: TestApp;
let club: TestClub;
let round: string;
beforeAll(async () => {
  test = await createTestApp();
});
afterAll(() => test.close());
beforeEach(async () => {
  club = await createTestClub(test, `gannet-${randomUUID().slice(0, 8)}`);
  round = await playRound(test, club, {
    drill: 'harbour-turn',
    at: '2026-11-23T18:00:00Z',
    shots: [{ ball: '1', potted: ['1'], landing: { x: 1.4, y: 0.52 } }, {}],
  });
});

const ask = (method: string, path: string, body?: unknown, cookie = club.coach) =>
  send(test.app, method, `/api${path}`, { cookie, ...(body === undefined ? {} : { body }) });
const resultsOf = async (playerId: string) =>
  roundHeadsSchema.validate(await (await ask('GET', `/players/${playerId}/results`)).json());
const audit = async () => auditEntriesSchema.validate(await (await ask('GET', '/club/audit')).json());

describe('a round', () => {
  it('that should not count is put away with a reason, and brought back', async () => {
    const remove = (removed: boolean, reason: string) =>
      ask('PUT', `/rounds/${round}/removed`, { removed, reason });
    expect((await remove(true, ' ')).status).toBe(400);
    expect((await remove(true, 'the table was being ironed')).status).toBe(200);
    expect((await remove(true, 'told twice')).status).toBe(200);
    expect(await resultsOf(club.playerId)).toEqual([]);
    expect((await ask('GET', `/rounds/${round}`)).status).toBe(404);
    const removed = await removedRoundsSchema.validate(await (await ask('GET', '/rounds/removed')).json());
    expect(removed.map(({ id }) => id)).toEqual([round]);
    test.clock.now += 1_000;
    expect((await remove(false, 'it was not')).status).toBe(200);
    expect((await resultsOf(club.playerId)).map(({ id }) => id)).toEqual([round]);
    expect((await audit()).map(({ action, reason }) => [action, reason])).toEqual([
      ['round brought back', 'it was not'],
      ['round removed', 'the table was being ironed'],
    ]);
  });

  it('of somebody else is given to whom it belongs, with its reason, and back again', async () => {
    const move = (playerId: string) =>
      ask('PUT', `/rounds/${round}/player`, { playerId, reason: 'wrong name tapped' });
    expect((await move(club.otherId)).status).toBe(200);
    expect(await resultsOf(club.playerId)).toEqual([]);
    expect((await resultsOf(club.otherId)).map(({ id }) => id)).toEqual([round]);
    // Its shots came with it, and its former player cannot see it any more.
    const moved = await openRoundSchema.validate(await (await ask('GET', `/rounds/${round}`)).json());
    expect(moved.round.attempts).toHaveLength(2);
    expect((await ask('GET', `/rounds/${round}`, undefined, club.player)).status).toBe(404);
    expect((await audit())[0]).toMatchObject({ action: 'round moved', reason: 'wrong name tapped' });
    expect((await move(club.playerId)).status).toBe(200);
    expect((await resultsOf(club.playerId)).map(({ id }) => id)).toEqual([round]);
    const stranger = await createTestClub(test, `puffin-${randomUUID().slice(0, 8)}`);
    expect((await move(stranger.playerId)).status).toBe(404);
  });
});

describe('what a coach entered', () => {
  const attempts = async () =>
    (await openRoundSchema.validate(await (await ask('GET', `/rounds/${round}`)).json())).round.attempts;
  const change = (id: string) => ({
    log: logOf({ shots: [BLANK_SHOT] }),
    reason: `better for me ${id}`,
    changedAt: '2026-11-24T12:00:00Z',
  });

  it('is not rewritten by the player, unless a coach lets them', async () => {
    const [first] = await attempts();
    const id = first?.id ?? '';
    const tries = () =>
      Promise.all([
        ask('POST', `/rounds/${round}/attempts/${id}/changes`, change(id), club.player),
        ask('DELETE', `/rounds/${round}/attempts/${id}`, undefined, club.player),
        ask('POST', `/rounds/${round}/reopen`, {}, club.player),
      ]);
    expect((await tries()).map(({ status }) => status)).toEqual([403, 403, 403]);
    expect((await attempts())[0]).toEqual(first);
    expect((await ask('PUT', `/players/${club.playerId}/may-rewrite`, { allowed: true })).status).toBe(200);
    const changed = await ask('POST', `/rounds/${round}/attempts/${id}/changes`, change(id), club.player);
    expect(changed.status).toBe(200);
    await ask('PUT', `/players/${club.playerId}/may-rewrite`, { allowed: false });
    expect((await tries()).map(({ status }) => status)).toEqual([403, 403, 403]);
  });

  it('is not read by a player who held the lesson before others came', async () => {
    const id = randomUUID();
    const document = newLesson({ playerIds: [club.playerId], tableId: club.poolTable });
    expect((await ask('PUT', `/lessons/${id}`, { document, basedOn: null }, club.player)).status).toBe(201);
    const joined = {
      ...document,
      playerIds: [club.playerId, club.otherId],
      summary: 'the other one drops the elbow',
    };
    expect((await ask('PUT', `/lessons/${id}`, { document: joined, basedOn: 1 })).status).toBe(200);
    const seen = await ask('GET', `/lessons/${id}`, undefined, club.player);
    expect(seen.status).toBe(200);
    expect(await seen.text()).not.toMatch(new RegExp(`elbow|${club.otherId}`));
    expect((await ask('PUT', `/lessons/${id}`, { document, basedOn: 2 }, club.player)).status).toBe(403);
    // Without them it is not theirs to see at all.
    const without = { ...joined, playerIds: [club.otherId] };
    expect((await ask('PUT', `/lessons/${id}`, { document: without, basedOn: 2 })).status).toBe(200);
    expect((await ask('GET', `/lessons/${id}`, undefined, club.player)).status).toBe(404);
    const list = await lessonsSchema.validate(
      await (await ask('GET', '/lessons', undefined, club.player)).json(),
    );
    expect(list).toEqual([]);
  });
});

describe('a player', () => {
  it('has name, hand and address put right', async () => {
    const correct = (body: object) => ask('PUT', `/players/${club.playerId}/person`, body);
    const email = `${randomUUID()}@right.example`;
    expect((await correct({ name: 'Right Name', hand: 'left', email })).status).toBe(200);
    expect(await (await ask('GET', `/players/${club.playerId}/person`)).json()).toEqual({
      name: 'Right Name',
      hand: 'left',
      email,
    });
    expect((await correct({ name: 'Right Name', hand: 'left', email: null })).status).toBe(400);
    const [rows] = await test.pool.execute<(RowDataPacket & { email: string })[]>(
      'SELECT email FROM people WHERE id = ?',
      [club.otherId],
    );
    const taken = await correct({ name: 'Right Name', hand: 'left', email: rows[0]?.email ?? '' });
    expect(taken.status).toBe(409);
    expect(await taken.json()).toMatchObject({ error: { field: 'email' } });
  });

  it('takes everything of theirs away as files in one archive', async () => {
    const answer = await ask('GET', `/players/${club.playerId}/everything.zip`, undefined, club.player);
    const files = unzipSync(new Uint8Array(await answer.arrayBuffer()));
    const text = (name: string) => strFromU8(files[name] ?? new Uint8Array());
    expect(Object.keys(files).sort()).toEqual([
      'attempts.csv',
      'calls.json',
      'lessons.json',
      'person.json',
      'programmes.json',
      'read-me.txt',
      'reports.json',
      'rounds.csv',
      'rounds.json',
    ]);
    expect(text('rounds.csv').trim().split('\r\n')).toHaveLength(2);
    expect(text('attempts.csv').trim().split('\r\n')).toHaveLength(3);
    expect(JSON.parse(text('rounds.json'))).toMatchObject([{ id: round, drill: 'harbour-turn' }]);
    expect(text('person.json')).not.toMatch(/argon2|password/);
    expect((await ask('GET', `/players/${club.playerId}/everything.zip`, undefined, club.other)).status).toBe(
      404,
    );
  });

  it('is erased for good: nothing names them, the sums of the club stay', async () => {
    const kindOf = `/drills/harbour-turn/revisions/1/stages/1/benchmark?table=${club.poolTable}&revision=1`;
    const clubSums = async () => ((await (await ask('GET', kindOf)).json()) as { club: unknown }).club;
    await test.pool.execute(`UPDATE rounds SET result = JSON_SET(result, '$.complete', true) WHERE id = ?`, [
      round,
    ]);
    const before = await clubSums();
    expect(before).not.toBeNull();
    const lesson = randomUUID();
    const shared = newLesson(
      { playerIds: [club.playerId, club.otherId], tableId: club.poolTable },
      { summary: 'about both' },
    );
    await ask('PUT', `/lessons/${lesson}`, { document: shared, basedOn: null });
    const { name } = (await (await ask('GET', `/players/${club.playerId}`)).json()) as { name: string };
    const erase = (told: string) => ask('POST', `/players/${club.playerId}/erasure`, { name: told });
    expect((await erase('somebody')).status).toBe(400);
    expect((await ask('GET', `/players/${club.playerId}`)).status).toBe(200);
    expect((await erase(name)).status).toBe(200);

    expect((await ask('GET', `/players/${club.playerId}`)).status).toBe(404);
    expect((await ask('GET', '/me', undefined, club.player)).status).toBe(401);
    expect(await clubSums()).toEqual(before);
    const backup = await (await ask('GET', '/export/backup')).text();
    expect(backup).not.toContain(name);
    expect(readBackup(backup).rowsOf('attempts')).toEqual([]);
    expect(await (await ask('GET', '/club/audit')).text()).not.toContain(name);
    const lessons = await lessonsSchema.validate(await (await ask('GET', '/lessons')).json());
    expect(lessons.find(({ id }) => id === lesson)?.document).toMatchObject({
      playerIds: [club.otherId],
      summary: '',
    });
    // Told again there is nobody of that name.
    expect((await erase(name)).status).toBe(404);
  });
});

describe('a file for a spreadsheet', () => {
  it('keeps what begins like a formula a text, also after blanks and new lines', async () => {
    const names = [
      '=1+1',
      '+cmd',
      '-2+3',
      '@sum',
      '\n=1+1',
      '  =1+1',
      '\t=2',
      '|x',
      '-2',
      'Plain, "quoted"\nname',
    ];
    for (const name of names) {
      await ask('POST', '/players', { name, hand: 'left', email: null, password: null });
    }
    const { data } = (await import('papaparse')).default.parse<Record<string, string>>(
      await (await ask('GET', '/export/csv/players.csv')).text(),
      { header: true },
    );
    const told = data.map(({ player = '' }) => player);
    // Names are stored without blanks around them.
    for (const name of names.map((each) => each.trim())) {
      // A number is one, with its sign.
      expect(told).toContain(/^[=+\-@|]/.test(name) && name !== '-2' ? `'${name}` : name);
    }
    expect(told.filter((cell) => /^[\s]*[=+\-@|]/.test(cell))).toEqual(['-2']);
  });
});
