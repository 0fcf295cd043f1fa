import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { logOf } from '../core/records/attempt.ts';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { storedSchema } from '../core/records/storedAttempt.ts';
import { TABLE_PRESETS } from '../core/table/presets.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newRound } from './testing/newRound.ts';

let test: TestApp;
let club: TestClub;
beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'turnstone');
});
afterAll(() => test.close());

const { width } = TABLE_PRESETS['pool-9ft'];
const turned = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x, y: width - y });

async function begin(mirrored: boolean) {
  const id = randomUUID();
  const body = newRound({ playerId: club.playerId, tableId: club.poolTable }, { stage: 2, mirrored });
  const made = await send(test.app, 'PUT', `/api/rounds/${id}`, { cookie: club.coach, body });
  expect(made.status).toBe(200);
  return openRoundSchema.validate(await made.json());
}

async function score(round: string, landing: { readonly x: number; readonly y: number }) {
  const log = logOf({ shots: [{ ...BLANK_SHOT, ball: '1', potted: ['1'], landing }] });
  const reply = await send(test.app, 'PUT', `/api/rounds/${round}/attempts/${randomUUID()}`, {
    cookie: club.coach,
    body: { ordinal: 1, log, playedAt: '2026-11-24T12:01:00Z' },
  });
  return (await storedSchema.validate(await reply.json())).attempt;
}

it('a landing scores in a mirror what its image scores as the drill is written; left and right change places', async () => {
  const [written, mirrored] = [await begin(false), await begin(true)];
  expect([written.round.mirrored, mirrored.round.mirrored]).toEqual([false, true]);
  for (const landing of [
    { x: 1.4, y: 0.52 },
    { x: 1.1, y: 0.9 },
    { x: 0.5, y: 0.3 },
  ]) {
    const [a, b] = [await begin(false), await begin(true)];
    const one = await score(a.round.id, landing);
    const other = await score(b.round.id, turned(landing));
    // The window is worked out on a grid, whose cells do not lie alike in the mirror: at its edge a point is moved.
    expect(Math.abs(other.points - one.points)).toBeLessThanOrEqual(1);
    expect(other.along).toBeCloseTo(one.along ?? NaN, 2);
    expect(other.across).toBeCloseTo(-(one.across ?? NaN), 2);
    // The same place is another one in the mirror: that the test could tell them apart at all.
    const wrong = await score((await begin(true)).round.id, landing);
    expect(Math.abs((wrong.across ?? 0) - (one.across ?? 0))).toBeGreaterThan(0.1);
  }
});

it('the round comes with its text turned round, every time, and both count as one kind', async () => {
  const { round, document } = await begin(true);
  const plain = (await begin(false)).document;
  if (document.task.kind !== 'position' || plain.task.kind !== 'position') throw new Error('another task');
  expect(document.task.pocket).toBe(
    plain.task.pocket.replace(/right|left/, (side) => (side === 'right' ? 'left' : 'right')),
  );
  const again = await send(test.app, 'GET', `/api/rounds/${round.id}`, { cookie: club.coach });
  expect((await openRoundSchema.validate(await again.json())).document).toEqual(document);
});

it('a device that knows of no mirror opens a round as the drill is written', async () => {
  const { mirrored, ...old } = newRound({ playerId: club.playerId, tableId: club.poolTable });
  expect(mirrored).toBe(false);
  const made = await send(test.app, 'PUT', `/api/rounds/${randomUUID()}`, { cookie: club.coach, body: old });
  expect((await openRoundSchema.validate(await made.json())).round.mirrored).toBe(false);
});
