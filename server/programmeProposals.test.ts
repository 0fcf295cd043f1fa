import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { programmeWithRoundsSchema, type ProgrammeItem } from '../core/records/programme.ts';
import { programmeProposalsSchema } from '../core/records/programmeProposal.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { playRound } from './testing/rounds.ts';

let test: TestApp;
let club: TestClub;

/** The test's clock stands on Tuesday, the 24th of November 2026. */
beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'shearwater');
  await playRound(test, club, {
    drill: 'harbour-turn',
    stage: 2,
    at: '2026-11-24T09:00:00Z',
    shots: Array.from({ length: 10 }, () => ({})),
  });
});
afterAll(() => test.close());

const entry = (day: string, stage: number): ProgrammeItem => ({
  id: randomUUID(),
  day,
  drill: 'harbour-turn',
  stage,
  minutes: 20,
  kind: 'homework',
  note: '',
});

const call = (method: string, path: string, body?: unknown, cookie = club.coach) =>
  send(test.app, method, `/api/programmes/${path}`, { cookie, ...(body === undefined ? {} : { body }) });

async function stored(): Promise<string> {
  const id = randomUUID();
  const document = {
    title: 'Winter',
    playerId: club.playerId,
    startDay: '2026-11-16',
    weeks: 4,
    matchDays: [],
    items: [entry('2026-11-17', 2), entry('2026-11-26', 2), entry('2026-12-01', 1), entry('2026-12-03', 2)],
  };
  expect((await call('PUT', id, { document, basedOn: null })).status).toBe(201);
  return id;
}

const told = async (answer: Promise<Response>) =>
  programmeProposalsSchema.validate(await (await answer).json());
const asked = (id: string) => told(call('GET', `${id}/proposals`));
const programmeOf = async (id: string) =>
  (await programmeWithRoundsSchema.validate(await (await call('GET', id)).json())).programme;
const stagesOf = async (id: string) => (await programmeOf(id)).document.items.map(({ stage }) => stage);

describe('the weeks to come', () => {
  it('change by what was played, and only when the student says yes', async () => {
    const id = await stored();
    const { proposals } = await asked(id);
    expect(proposals).toMatchObject([{ kind: 'back', drill: 'harbour-turn' }]);
    expect(await stagesOf(id)).toEqual([2, 2, 1, 2]);
    const answer = { key: proposals[0]?.key, accepted: true, basedOn: 1 };
    const after = await told(call('PUT', `${id}/answer`, answer, club.player));
    expect(after.proposals).toEqual([]);
    expect(after.answers).toMatchObject([{ kind: 'back', entries: 1, accepted: true }]);
    // What is over stays as it was, and this week's entry, which the round has done.
    expect(await stagesOf(id)).toEqual([2, 2, 1, 1]);
    // A yes that is sent again changes nothing more.
    const { version } = await programmeOf(id);
    await call('PUT', `${id}/answer`, answer, club.player);
    expect((await programmeOf(id)).version).toBe(version);
  });

  it('are as before when a yes is taken back, and are asked about anew', async () => {
    const id = await stored();
    const key = (await asked(id)).proposals[0]?.key;
    await call('PUT', `${id}/answer`, { key, accepted: true, basedOn: 1 });
    const back = await told(call('PUT', `${id}/answer/back`, { key }));
    expect(await stagesOf(id)).toEqual([2, 2, 1, 2]);
    expect(back.answers).toEqual([]);
    expect(back.proposals.map((each) => each.key)).toEqual([key]);
  });

  it('are not asked about again after a no, until another round speaks for it', async () => {
    const id = await stored();
    const key = (await asked(id)).proposals[0]?.key;
    await call('PUT', `${id}/answer`, { key, accepted: false, basedOn: 1 });
    expect((await asked(id)).proposals).toEqual([]);
    expect(await stagesOf(id)).toEqual([2, 2, 1, 2]);
    await playRound(test, club, {
      drill: 'harbour-turn',
      stage: 2,
      at: '2026-11-24T10:00:00Z',
      shots: Array.from({ length: 10 }, () => ({})),
    });
    const { proposals } = await asked(id);
    expect(proposals).toMatchObject([{ kind: 'back' }]);
    expect(proposals[0]?.key).not.toBe(key);
  });

  it('cannot be changed by what nobody proposes, nor by anybody else', async () => {
    const id = await stored();
    const made = await call('PUT', `${id}/answer`, { key: 'up|harbour-turn|1', accepted: true, basedOn: 1 });
    expect(made.status).toBe(409);
    const key = (await asked(id)).proposals[0]?.key;
    const other = await call('PUT', `${id}/answer`, { key, accepted: true, basedOn: 1 }, club.other);
    expect(other.status).toBe(404);
    expect(await stagesOf(id)).toEqual([2, 2, 1, 2]);
  });

  it('that were changed since somebody looked at them are looked at again first', async () => {
    const id = await stored();
    const key = (await asked(id)).proposals[0]?.key;
    const { document, version } = await programmeOf(id);
    await call('PUT', id, { document: { ...document, title: 'Other' }, basedOn: version });
    expect((await call('PUT', `${id}/answer`, { key, accepted: true, basedOn: version })).status).toBe(409);
    expect(await stagesOf(id)).toEqual([2, 2, 1, 2]);
    expect((await asked(id)).version).toBe(version + 1);
  });

  it('two answers at once are one', async () => {
    const id = await stored();
    const key = (await asked(id)).proposals[0]?.key;
    const answers = await Promise.all(
      [1, 2, 3].map(() => call('PUT', `${id}/answer`, { key, accepted: true, basedOn: 1 })),
    );
    expect(answers.filter(({ status }) => status === 200).length).toBeGreaterThan(0);
    expect((await asked(id)).answers).toHaveLength(1);
    expect(await stagesOf(id)).toEqual([2, 2, 1, 1]);
  });
});
