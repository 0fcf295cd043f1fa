import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logOf, type AttemptLog } from '../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../core/records/entered.ts';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { progressSchema } from '../core/records/progress.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newRound } from './testing/newRound.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

function roundBody(change: Record<string, unknown>) {
  return { ...newRound({ playerId: club.playerId, tableId: club.poolTable }, { seed: 7 }), ...change };
}

const attempt = (change: { readonly log: AttemptLog }) => ({
  ordinal: 1,
  playedAt: '2026-11-24T12:01:00Z',
  ...change,
});

const OPENING = {
  inOff: false,
  rack: null,
  rackBy: null,
  cue: null,
  from: null,
  aim: null,
  pace: null,
  wing: null,
  first: null,
  second: null,
  cueBall: null,
  nextShot: null,
  runOut: null,
  speed: null,
};

describe('a round of each method', () => {
  it.each([
    ['moored', { done: false, target: 'red 2' }, { value: 1, unit: 'lives' }],
    ['key-and-lock', { done: true, balls: 3 }, { value: 1, unit: 'hits' }],
    ['far-shores', { done: false, balls: 2 }, { value: 2, unit: 'balls' }],
    [
      'nine-slow',
      { done: true, opening: { ...OPENING, balls: 2, control: 3, layout: 1 } },
      { unit: 'points', complete: false },
    ],
  ])('of %s is counted by the server by its own method', async (drill, entered, result) => {
    const id = randomUUID();
    const made = await send(test.app, 'PUT', `/api/rounds/${id}`, {
      cookie: club.coach,
      body: roundBody({
        drill,
        stage: 1,
        tableId: drill === 'moored' ? club.snookerTable : club.poolTable,
      }),
    });
    expect(made.status).toBe(200);
    const log = logOf({ entered: { ...NOTHING_ENTERED, ...entered }, shots: [BLANK_SHOT] });
    const reply = await send(test.app, 'PUT', `/api/rounds/${id}/attempts/${randomUUID()}`, {
      cookie: club.coach,
      body: attempt({ log }),
    });
    expect(reply.status).toBe(201);
    const told = await send(test.app, 'GET', `/api/rounds/${id}`, { cookie: club.coach });
    expect((await openRoundSchema.validate(await told.json())).round.result).toMatchObject(result);
  });

  it('of kicks is added up by what its stations ask, with the called misses', async () => {
    const id = randomUUID();
    const body = roundBody({ drill: 'one-bounce', stage: 2, tableId: club.poolTable });
    await send(test.app, 'PUT', `/api/rounds/${id}`, { cookie: club.coach, body });
    const kicked = (ordinal: number, grade: 'thin' | 'miss') =>
      send(test.app, 'PUT', `/api/rounds/${id}/attempts/${randomUUID()}`, {
        cookie: club.coach,
        body: {
          ...attempt({
            log: logOf({
              entered: { ...NOTHING_ENTERED, done: grade !== 'miss' },
              shots: [{ ...BLANK_SHOT, grade }],
            }),
          }),
          ordinal,
        },
      });
    for (const [ordinal, grade] of [
      [1, 'thin'],
      [2, 'miss'],
      [3, 'thin'],
    ] as const) {
      expect((await kicked(ordinal, grade)).status).toBe(201);
    }
    const ended = { endedAt: '2026-11-24T12:10:00Z', early: true };
    await send(test.app, 'POST', `/api/rounds/${id}/end`, { cookie: club.coach, body: ended });
    const progress = await send(test.app, 'GET', `/api/players/${club.playerId}/progress`, {
      cookie: club.coach,
    });
    const { months } = await progressSchema.validate(await progress.json());
    // From the first two of its five places the ball lies farther off than two thirds of the table.
    expect(months.flatMap(({ sums }) => sums.kicks ?? [])).toEqual([
      expect.objectContaining({ cushions: 1, distance: 'far', kicks: 2, hits: 1, called: 0 }),
      expect.objectContaining({ cushions: 1, distance: 'middle', kicks: 1, hits: 1 }),
    ]);
  });

  it('of kicks refuses more misses with a way than were called, and names the field', async () => {
    const id = randomUUID();
    const body = roundBody({ drill: 'replay', stage: 1, tableId: club.snookerTable });
    await send(test.app, 'PUT', `/api/rounds/${id}`, { cookie: club.coach, body });
    const kick = { hit: true, legal: true, repeats: 1, leave: 'nothing on' } as const;
    const told = (missed: { left: number; right: number; short: number }) =>
      send(test.app, 'PUT', `/api/rounds/${id}/attempts/${randomUUID()}`, {
        cookie: club.coach,
        body: attempt({
          log: logOf({
            entered: { ...NOTHING_ENTERED, done: true, kick: { ...kick, missed } },
            shots: [{ ...BLANK_SHOT, grade: 'thin' }],
          }),
        }),
      });
    const refused = await told({ left: 1, right: 1, short: 0 });
    expect(refused.status).toBe(400);
    expect(await refused.text()).toContain('kick.missed');
    expect((await told({ left: 1, right: 0, short: 0 })).status).toBe(201);
  });
});
