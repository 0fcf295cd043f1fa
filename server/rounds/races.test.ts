import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logOf } from '../../core/records/attempt.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { NOTHING_ENTERED } from '../../core/records/entered.ts';
import { openRoundSchema } from '../../core/records/openRound.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from '../testing/club.ts';
import { newRound } from '../testing/newRound.ts';
import { verifyRounds, type Finding } from './verify.ts';

let test: TestApp;
let club: TestClub;
beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

const RACES = 20;
const AT = '2026-11-24T12:00:00Z';
/** Key and lock, done with its three balls: a hit. */
const HIT = logOf({ entered: { ...NOTHING_ENTERED, done: true, balls: 3 }, shots: [BLANK_SHOT] });

const round = (id: string, method: string, path: string, body?: unknown) =>
  send(test.app, method, `/api/rounds/${id}${path}`, {
    cookie: club.coach,
    ...(body === undefined ? {} : { body }),
  });

/** A round with some attempts in it. */
async function begun(attempts: number) {
  const id = randomUUID();
  await round(
    id,
    'PUT',
    '',
    newRound({ playerId: club.playerId, tableId: club.poolTable }, { drill: 'key-and-lock' }),
  );
  const ids = Array.from({ length: attempts }, () => randomUUID());
  for (const [i, attempt] of ids.entries()) await enter(id, attempt, i + 1);
  return { id, ids };
}

const enter = (id: string, attempt: string, ordinal: number) =>
  round(id, 'PUT', `/attempts/${attempt}`, { ordinal, log: HIT, playedAt: AT });
const end = (id: string) => round(id, 'POST', '/end', { endedAt: AT, early: true });

const stateOf = async (id: string) => openRoundSchema.validate(await (await round(id, 'GET', '')).json());

async function findings(fix = false): Promise<Finding[]> {
  const all: Finding[] = [];
  for await (const finding of verifyRounds(test.pool, club.id, fix)) all.push(finding);
  return all;
}

describe('at the same moment', () => {
  it('an attempt and the end: what is kept is what the attempts give, whoever is first', async () => {
    for (let k = 0; k < RACES; k++) {
      const { id } = await begun(2);
      const late = randomUUID();
      const both = [enter(id, late, 3), end(id)];
      const [entered, ended] = await Promise.all(k % 2 === 0 ? both : both.reverse());
      expect([entered?.status, ended?.status].every((status) => status === 200 || status === 201)).toBe(true);
      const { round: kept, conflicts } = await stateOf(id);
      // It counts, or it waits for the coach to say so; it is never lost.
      const counts = kept.attempts.some((attempt) => attempt.id === late);
      expect(counts || conflicts.some(({ attempt }) => attempt.id === late)).toBe(true);
    }
    expect(await findings()).toEqual([]);
  });

  it('an attempt that is taken back and the end: both are done, and the sums fit', async () => {
    for (let k = 0; k < RACES; k++) {
      const { id, ids } = await begun(3);
      const back = round(id, 'DELETE', `/attempts/${ids[2] ?? ''}`);
      const answers = await Promise.all(k % 2 === 0 ? [back, end(id)] : [end(id), back]);
      expect(answers.map(({ status }) => status)).toEqual([200, 200]);
      expect((await stateOf(id)).round.attempts.some((attempt) => attempt.id === ids[2])).toBe(false);
    }
    expect(await findings()).toEqual([]);
  });

  it('eight devices at one round: every shot is there once, and what is kept fits', async () => {
    const { id } = await begun(0);
    const shots = Array.from({ length: 10 }, (_, i) => ({ attempt: randomUUID(), ordinal: i + 1 }));
    const told = shots.flatMap((shot) => [shot, shot, shot, shot]);
    const answers = await Promise.all(told.map(({ attempt, ordinal }) => enter(id, attempt, ordinal)));
    expect(answers.every(({ status }) => status === 200 || status === 201)).toBe(true);
    await Promise.all([end(id), end(id), round(id, 'POST', '/reopen', {}), end(id)]);
    const { round: kept } = await stateOf(id);
    expect(kept.attempts.map(({ id: each }) => each)).toEqual(shots.map(({ attempt }) => attempt));
    expect(await findings()).toEqual([]);
  });
});

describe('verifying', () => {
  it('finds what was changed behind the program, and puts it right when it is told to', async () => {
    const { id } = await begun(3);
    await end(id);
    await test.pool.execute(`UPDATE rounds SET result = JSON_SET(result, '$.value', 9) WHERE id = ?`, [id]);
    const [found, ...others] = await findings();
    expect(others).toEqual([]);
    expect(found).toMatchObject({ table: 'rounds', id, mended: false });
    expect(await findings(true)).toMatchObject([{ id, mended: true }]);
    expect(await findings()).toEqual([]);
    expect((await stateOf(id)).round.result.value).toBe(3);
  });
});
