import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { drillsQuery } from '../api/drills.ts';
import { forgetQueries, keepQueries, restoreQueries } from './keptQueries.ts';

/** The device's database: what is written down, by its key. */
const device = vi.hoisted(() => new Map<string, unknown>());
vi.mock('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(structuredClone(device.get(key))),
  set: (key: string, value: unknown) => {
    device.set(key, structuredClone(value));
    return Promise.resolve();
  },
  del: (key: string) => {
    device.delete(key);
    return Promise.resolve();
  },
}));

const COACH = { id: 'coach', name: 'Morwenna' };
const START = Date.parse('2026-03-02T18:00:00Z');
const HOUR_MS = 3_600_000;

beforeEach(() => {
  vi.useFakeTimers({ now: START });
  device.clear();
  localStorage.clear();
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const freshClient = () => new QueryClient({ defaultOptions: { queries: { retry: false } } });

/** What the device shows when the application starts without a server. */
async function startedAnew(): Promise<QueryClient> {
  const queries = freshClient();
  await restoreQueries(queries, Date.now());
  return queries;
}

/** A device on which somebody has read the list of drills an hour before the network went. */
async function afterAnHour(): Promise<{ queries: QueryClient; stop: () => void }> {
  const queries = freshClient();
  const stop = keepQueries(queries, COACH);
  queries.setQueryData(['me'], { id: COACH.id });
  queries.setQueryData(drillsQuery.queryKey, []);
  await vi.advanceTimersByTimeAsync(HOUR_MS);
  return { queries, stop };
}

it('keeps what was read also when reading it again has failed', async () => {
  const { queries, stop } = await afterAnHour();
  await queries.query({ ...drillsQuery, staleTime: 0 }).catch(() => undefined);
  await queries
    .query({ queryKey: ['me'], queryFn: () => Promise.reject(new Error('not reached')) })
    .catch(() => undefined);
  expect(queries.getQueryState(['me'])?.status).toBe('error');
  await vi.advanceTimersByTimeAsync(10_000);
  stop();
  const later = await startedAnew();
  expect(later.getQueryData(['me'])).toEqual({ id: COACH.id });
  expect(later.getQueryData(drillsQuery.queryKey)).toEqual([]);
  // It is as old as its reading, and no failure is shown that this start has not had.
  expect(later.getQueryState(['me'])).toMatchObject({ status: 'success', error: null, dataUpdatedAt: START });
});

it('does not become younger by being written down again', async () => {
  const { queries, stop } = await afterAnHour();
  vi.setSystemTime(START + 6 * 24 * HOUR_MS);
  await queries.query({ ...drillsQuery, staleTime: 0 }).catch(() => undefined);
  await vi.advanceTimersByTimeAsync(10_000);
  stop();
  vi.setSystemTime(START + 8 * 24 * HOUR_MS);
  expect((await startedAnew()).getQueryData(['me'])).toBeUndefined();
});

it('is forgotten with the sign-out', async () => {
  const { queries, stop } = await afterAnHour();
  stop();
  await forgetQueries(queries);
  expect(device.size).toBe(0);
  expect((await startedAnew()).getQueryData(['me'])).toBeUndefined();
});
