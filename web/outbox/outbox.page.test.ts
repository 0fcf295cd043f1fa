import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { databaseInMemory, refusal, stubLocks, stubServer } from '../testing/device.ts';
import type { Request } from './sending.ts';

const database = databaseInMemory();
vi.mock('idb-keyval', () => ({
  get: (...args: Parameters<typeof database.get>) => database.get(...args),
  set: (...args: Parameters<typeof database.set>) => database.set(...args),
  update: (...args: Parameters<typeof database.update>) => database.update(...args),
  del: (...args: Parameters<typeof database.del>) => database.del(...args),
}));

const COACH = { id: 'coach', name: 'Morwenna' };
const STUDENT = { id: 'student', name: 'Perran' };
const shot = (n: number): Request => ({
  topic: 'round:1',
  method: 'PUT',
  path: `/rounds/1/attempts/${String(n)}`,
  body: { ordinal: n },
  label: `Shot ${String(n)}`,
});

let server: ReturnType<typeof stubServer>;
let stops: (() => void)[] = [];

const STEP_MS = 250;
/** More turns than the browser's database needs for what one step begins. */
const TURNS = 60;

/** Lets time pass, and what it begins in the browser's database come to its end. */
async function pass(ms: number): Promise<void> {
  for (let left = ms; left > 0; left -= STEP_MS) {
    await vi.advanceTimersByTimeAsync(Math.min(left, STEP_MS));
    for (let k = 0; k < TURNS; k++) await new Promise((resolve) => setImmediate(resolve));
  }
}

/** The page as it is loaded: its modules begin anew, what the browser keeps stays. */
async function openPage() {
  vi.resetModules();
  const outbox = await import('./outbox.ts');
  const { startSending } = await import('./sender.ts');
  return {
    ...outbox,
    signIn: async (person: typeof COACH) => {
      stops.forEach((stop) => stop());
      stops = [startSending(person)];
      await pass(50);
    },
  };
}

beforeEach(() => {
  // The browser's database takes turns of its own, which are not the clock's.
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] });
  vi.stubGlobal('indexedDB', new IDBFactory());
  stubLocks();
  server = stubServer();
  database.values.clear();
  localStorage.clear();
});
afterEach(() => {
  stops.forEach((stop) => stop());
  stops = [];
  vi.useRealTimers();
});

it('what the coach entered waits while a student is signed in, and goes out as the coach’s', async () => {
  const page = await openPage();
  server.answer(() => 'unreached');
  await page.signIn(COACH);
  await page.keep(COACH, [shot(1), shot(2)]).stored;
  // Whoever is signed in by now is asked as, not whoever entered it.
  server.answer((_, as) =>
    as === STUDENT.id ? new Response('{}') : refusal(401, 'somebody else entered this'),
  );
  await page.signIn(STUDENT);
  await page.keep(STUDENT, [{ ...shot(9), topic: 'calls:student', path: '/calls/9' }]).stored;
  await pass(60_000);
  const taken = () => server.asked.filter(({ status }) => status === 200).map(({ path, as }) => [path, as]);
  expect(taken()).toEqual([['/calls/9', 'student']]);
  expect(page.outboxStatus()).toMatchObject({
    waiting: 0,
    others: [{ name: 'Morwenna', waiting: 2 }],
    kept: [],
  });
  server.answer(() => new Response('{}'));
  await page.signIn(COACH);
  await pass(1_000);
  expect(taken().slice(1)).toEqual([
    ['/rounds/1/attempts/1', 'coach'],
    ['/rounds/1/attempts/2', 'coach'],
  ]);
  expect(page.outboxStatus()).toMatchObject({ waiting: 0, others: [] });
});

it('what the server refuses is kept with the reason, the rest goes on, and it can be sent again', async () => {
  const page = await openPage();
  server.answer((path) => (path.endsWith('/1') ? refusal(409, 'this attempt is gone') : new Response('{}')));
  await page.signIn(COACH);
  await page.keep(COACH, [shot(1), shot(2)]).stored;
  await pass(1_000);
  expect(server.asked.map(({ path }) => path)).toEqual(['/rounds/1/attempts/1', '/rounds/1/attempts/2']);
  const { kept } = page.outboxStatus();
  expect(kept).toMatchObject([
    { label: 'Shot 1', reason: 'this attempt is gone', entry: { body: { ordinal: 1 } } },
  ]);

  // Another page finds it, and somebody else does not.
  const later = await openPage();
  await later.signIn(STUDENT);
  expect(later.outboxStatus().kept).toEqual([]);
  await later.signIn(COACH);
  expect(later.outboxStatus().kept).toMatchObject([{ label: 'Shot 1' }]);

  server.answer(() => new Response('{}'));
  await later.sendAgain(kept[0]?.id ?? '', COACH);
  await pass(1_000);
  expect(server.asked.at(-1)).toMatchObject({
    path: '/rounds/1/attempts/1',
    as: 'coach',
    body: { ordinal: 1 },
  });
  expect(later.outboxStatus()).toMatchObject({ waiting: 0, kept: [] });
});

it('what cannot be read is set aside whole, and does not stop what stands behind it', async () => {
  const sending = { ...shot(2), id: 'b', person: COACH, at: '2026-11-24T12:00:00Z' };
  database.values.set('outbox of persons', {
    waiting: [{ label: 'Shot 1', of: 'a later version' }, sending],
    kept: 7,
  });
  const page = await openPage();
  await page.signIn(COACH);
  await pass(1_000);
  expect(server.asked.map(({ path }) => path)).toEqual(['/rounds/1/attempts/2']);
  expect(page.outboxStatus().kept).toMatchObject([
    { label: 'Shot 1', person: null, entry: { label: 'Shot 1', of: 'a later version' } },
  ]);
});

it('one request at which the server fails again and again is set aside for those behind it', async () => {
  const page = await openPage();
  server.answer((path) =>
    path.endsWith('/1') ? refusal(500, 'something went wrong here') : new Response('{}'),
  );
  await page.signIn(COACH);
  await page.keep(COACH, [shot(1), shot(2)]).stored;
  await pass(60_000);
  expect(server.asked.at(-1)?.path).toBe('/rounds/1/attempts/2');
  expect(page.outboxStatus().kept).toMatchObject([{ label: 'Shot 1', reason: 'something went wrong here' }]);
});

it('while the session has run out nothing is lost; it is told that a sign-in is needed', async () => {
  const page = await openPage();
  server.answer(() => refusal(401, 'sign in first'));
  await page.signIn(COACH);
  await page.keep(COACH, [shot(1)]).stored;
  await pass(5_000);
  expect(page.outboxStatus()).toMatchObject({ waiting: 1, signedOut: true, kept: [] });
});

it('what was entered stands in journal or box at every moment, also in the next page', async () => {
  const page = await openPage();
  const { ids, stored } = page.keep(COACH, [shot(1)]);
  expect((await page.waitingOn('round:1')).map(({ id }) => id)).toEqual(ids);
  // The page is closed before the database has it.
  const next = await openPage();
  expect((await next.waitingOn('round:1')).map(({ id }) => id)).toEqual(ids);
  await stored;
  await next.signIn(COACH);
  await pass(1_000);
  expect(server.asked.map(({ path }) => path)).toEqual(['/rounds/1/attempts/1']);
  expect(await next.waitingOn('round:1')).toEqual([]);
});

it('what an earlier version kept without a name is nobody’s until somebody says that it is theirs', async () => {
  const early = {
    roundId: '1',
    method: 'PUT',
    path: '/rounds/1/attempts/7',
    body: { ordinal: 7 },
    label: 'Shot 7',
  };
  database.values.set('outbox', [early]);
  localStorage.setItem('jolly-lesson:12', JSON.stringify({ document: { title: 'Tuesday' }, basedOn: 3 }));
  const page = await openPage();
  await page.signIn(STUDENT);
  await pass(30_000);
  expect(server.asked).toEqual([]);
  const { kept } = page.outboxStatus();
  expect(kept).toMatchObject([
    { label: 'Shot 7', person: null },
    { label: 'A lesson', person: null },
  ]);
  await page.signIn(COACH);
  for (const { id } of kept) await page.sendAgain(id, COACH);
  await pass(1_000);
  expect(server.asked).toMatchObject([
    { path: '/rounds/1/attempts/7', as: 'coach', body: { ordinal: 7 } },
    { path: '/lessons/12', as: 'coach', body: { basedOn: 3 } },
  ]);
});
