import {
  dehydrate,
  hydrate,
  type DehydratedState,
  type QueryClient,
  type QueryKey,
} from '@tanstack/react-query';
import { del, get, set } from 'idb-keyval';
import { mixed, number, object } from 'yup';
import { viewerQuery } from '../api/account.ts';
import { drillsQuery } from '../api/drills.ts';
import { lessonsQuery } from '../api/lessons.ts';
import { playersQuery } from '../api/players.ts';
import { tablesQuery } from '../api/tables.ts';
import type { Person } from '../outbox/sending.ts';

/**
 * What is needed at the table when the server is away: lists of the club, drills, tables, lessons and programmes as they
 * were last read, kept on the device for whoever is signed in, and for nobody else.
 */
const ROOMS = ['me', 'players', 'tables', 'drills', 'lessons', 'programmes', 'today'] as const;
/** Of a player's rounds and progress only lists are needed at the table. */
const LONGEST_KEY = 2;
const WEEK_MS = 7 * 86_400_000;
/** What was read is written down this long after the last reading, ms. */
const WRITE_AFTER_MS = 1_500;
const VERSION = 1;

/** What cannot be read now is read when it is asked for. */
const noop = () => undefined;

const PERSON_KEY = 'jolly-person';
const keyOf = (person: string) => `queries:${person}`;

const keptSchema = object({
  version: number().oneOf([VERSION]).required(),
  at: number().strict().required(),
  state: mixed<object>().required(),
}).required();

/** What is needed of what the cache tells. */
interface CacheEvent {
  readonly type: string;
  readonly query: { readonly queryKey: QueryKey };
}

function isKept(key: QueryKey): boolean {
  return ROOMS.some((room) => room === key[0]) && key.length <= LONGEST_KEY;
}

/**
 * What has been read, as it was read: a later question that failed takes nothing away, or a device that is without a
 * server for some seconds would forget what it needs until the server is back.
 */
function asRead(queries: QueryClient): DehydratedState {
  const state = dehydrate(queries, {
    shouldDehydrateQuery: ({ queryKey, state: { data } }) => data !== undefined && isKept(queryKey),
    shouldDehydrateMutation: () => false,
  });
  const succeeded = {
    status: 'success',
    error: null,
    fetchFailureCount: 0,
    fetchFailureReason: null,
  } as const;
  return {
    ...state,
    queries: state.queries.map((query) => ({ ...query, state: { ...query.state, ...succeeded } })),
  };
}

/** Takes up what the person who was signed in last had read on this device; nothing when that is long ago. */
export async function restoreQueries(queries: QueryClient, now: number): Promise<void> {
  // What is taken up stays until it is asked for.
  for (const room of ROOMS) queries.setQueryDefaults([room], { gcTime: WEEK_MS });
  const person = localStorage.getItem(PERSON_KEY);
  if (person === null) return;
  const value: unknown = await get(keyOf(person));
  if (!keptSchema.isValidSync(value) || now - value.at > WEEK_MS) return;
  hydrate(queries, value.state);
  // It is shown until the server answers, and asked for anew as soon as it is shown.
  await queries.invalidateQueries({ refetchType: 'none' });
}

/** Keeps what a person reads, from now on. @returns stops it */
export function keepQueries(queries: QueryClient, person: Person): () => void {
  localStorage.setItem(PERSON_KEY, person.id);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const write = () => {
    timer = undefined;
    const state = asRead(queries);
    if (state.queries.length === 0) return;
    const at = Math.max(...state.queries.map((query) => query.state.dataUpdatedAt));
    // Without room on the device the application still runs from the server.
    set(keyOf(person.id), { version: VERSION, at, state }).catch(() => undefined);
  };
  const stop = queries.getQueryCache().subscribe(({ type, query }: CacheEvent) => {
    if (type === 'updated' && isKept(query.queryKey)) timer ??= setTimeout(write, WRITE_AFTER_MS);
  });
  // What is needed at the table is read before it is asked for, so that it is there without the server.
  const reading = setTimeout(() => {
    queries.query(playersQuery).catch(noop);
    queries.query(tablesQuery).catch(noop);
    queries.query(drillsQuery).catch(noop);
    queries.query(lessonsQuery).catch(noop);
  }, WRITE_AFTER_MS);
  return () => {
    clearTimeout(reading);
    stop();
    clearTimeout(timer);
  };
}

/** Forgets what the person who signs out has read on this device. */
export async function forgetQueries(queries: QueryClient): Promise<void> {
  const person = localStorage.getItem(PERSON_KEY);
  localStorage.removeItem(PERSON_KEY);
  if (person !== null) await del(keyOf(person));
  queries.clear();
  queries.setQueryData(viewerQuery.queryKey, null);
}
