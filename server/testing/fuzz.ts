import { randomUUID } from 'node:crypto';
import type { RowDataPacket } from 'mysql2/promise';
import { logOf } from '../../core/records/attempt.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { createRandom, type Random } from '../../core/random/random.ts';
import { standardCard } from '../../core/table/card.ts';
import { readBackup } from '../exports/readBackup.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './club.ts';
import { newEvening } from './newEvening.ts';
import { newLesson } from './newLesson.ts';
import { newRound } from './newRound.ts';
import { routesOf } from './routes.ts';
import { PLAIN_CALIBRATION } from './calibrations.ts';
import { PLAIN_CUE } from './cues.ts';

/** Requests made up from a seed, valid ones and ones that are wrong somewhere, at every route and as everybody. */

const AT = '2026-11-24T12:00:00Z';

interface FuzzWorld {
  readonly test: TestApp;
  readonly club: TestClub;
  readonly stranger: TestClub;
  /** Ids that requests have used, by what they are of: a later one may mean the same thing. */
  readonly ids: Map<string, string[]>;
}

type Make = (w: FuzzWorld) => unknown;

const LOG = logOf({ shots: [BLANK_SHOT] });
const lesson: Make = ({ club }) => ({
  document: newLesson({ playerIds: [club.playerId], tableId: club.poolTable }),
  basedOn: null,
});

/** What is right at each route that takes a body. */
const BODIES: Readonly<Record<string, Make>> = {
  'PUT /api/rounds/:id': ({ club }) => newRound({ playerId: club.playerId, tableId: club.poolTable }),
  'PUT /api/rounds/:id/attempts/:attempt': () => ({ ordinal: 1, log: LOG, playedAt: AT }),
  'PUT /api/rounds/:id/attempts/:attempt/notes': () => ({ log: LOG }),
  'POST /api/rounds/:id/attempts/:attempt/changes': () => ({ log: LOG, reason: 'fuzz', changedAt: AT }),
  'POST /api/rounds/:id/attempts/:attempt/settle': () => ({ keep: 'other' }),
  'POST /api/rounds/:id/end': () => ({ endedAt: AT, early: true }),
  'PUT /api/rounds/:id/under-way': () => ({ log: LOG, at: AT }),
  'PUT /api/rounds/:id/beside': () => ({ beside: [{ ball: '2', off: 0.04 }] }),
  'PUT /api/rounds/:id/advice': () => ({ proposal: 'once more', stage: 1, accepted: false, at: AT }),
  'PUT /api/rounds/:id/removed': () => ({ removed: true, reason: 'fuzz' }),
  'PUT /api/rounds/:id/player': ({ club }) => ({ playerId: club.otherId, reason: 'fuzz' }),
  'PUT /api/lessons/:id': lesson,
  'PUT /api/lessons/:id/archived': () => ({ archived: true }),
  'PUT /api/lessons/:id/screen': () => ({ shown: { view: 'task', set: 2 } }),
  'PUT /api/evenings/:id': ({ club }) => ({
    lessons: [
      {
        id: randomUUID(),
        document: {
          ...newLesson({ playerIds: [club.playerId], tableId: club.poolTable }),
          evening: newEvening(randomUUID()),
        },
        basedOn: null,
      },
    ],
  }),
  'PUT /api/programmes/:id': ({ club }) => ({
    document: {
      title: 'Fuzz',
      playerId: club.playerId,
      startDay: '2026-11-23',
      weeks: 2,
      matchDays: ['2026-11-28'],
      items: [
        {
          id: randomUUID(),
          day: '2026-11-24',
          drill: 'harbour-turn',
          stage: 1,
          minutes: 20,
          kind: 'practice',
          note: '',
        },
      ],
    },
    basedOn: null,
  }),
  'POST /api/programmes/:id/copies': ({ club }) => ({
    copies: [{ id: randomUUID(), playerId: club.otherId }],
  }),
  'PUT /api/programmes/:id/items/:item/done': () => ({ done: true }),
  'PUT /api/programmes/:id/answer': () => ({ key: 'up|harbour-turn|none', accepted: false, basedOn: 1 }),
  'PUT /api/programmes/:id/answer/back': () => ({ key: 'up|harbour-turn|none' }),
  'PUT /api/programmes/:id/archived': () => ({ archived: false }),
  'PUT /api/reports/:id': ({ club }) => ({
    document: {
      playerId: club.playerId,
      from: '2026-10-01',
      to: '2026-11-24',
      words: '<p>ok</p>',
      goals: ['calm'],
    },
    basedOn: null,
  }),
  'PUT /api/reports/:id/archived': () => ({ archived: false }),
  'PUT /api/calls/:id': ({ club }) => ({
    playerId: club.playerId,
    kind: 'draw the path',
    preset: 'pool-9ft',
    source: { kind: 'seed', seed: 5, difficulty: 'fair' },
    answer: {
      kind: 'path',
      points: [
        { x: 1, y: 1 },
        { x: 1.2, y: 0.6 },
      ],
    },
    score: 1,
    coach: null,
    calledAt: AT,
  }),
  'POST /api/players': () => ({ name: 'Fuzz', hand: 'left', email: null, password: null }),
  'PUT /api/players/:id': () => ({ name: 'Fuzz', hand: 'left', archived: false }),
  'PUT /api/players/:id/person': () => ({ name: 'Fuzz', hand: 'right', email: 'player@gannet.example' }),
  'PUT /api/players/:id/may-rewrite': () => ({ allowed: true }),
  'POST /api/players/:id/erasure': () => ({ name: 'nobody' }),
  'POST /api/tables': () => ({ name: `Table ${randomUUID().slice(0, 6)}`, preset: 'pool-9ft' }),
  'PUT /api/tables/:id/hall': () => ({ hallId: null }),
  'PUT /api/tables/:id/conditions/:note': () => ({
    conditions: { balls: 'clean', air: 'damp', warmth: 'ordinary' },
    note: '',
    notedAt: AT,
  }),
  'PUT /api/tables/:id/calibrations/:calibration': () => ({
    document: PLAIN_CALIBRATION,
    card: standardCard('pool-9ft'),
    basedOn: 1,
  }),
  'PUT /api/cues/:id': () => ({
    document: { ...PLAIN_CUE, name: `Cue ${randomUUID().slice(0, 6)}` },
    archived: false,
  }),
  'PUT /api/halls/:id': () => ({ name: `Hall ${randomUUID().slice(0, 6)}`, archived: false }),
  'POST /api/coaches': () => ({ name: 'Fuzz' }),
  'PUT /api/coaches/:id/removed': () => ({ removed: false }),
  'PUT /api/club/rules': () => ({ zone: 'Europe/Lisbon', restAfter: 60, most: 90 }),
  'PUT /api/club/name': () => ({ name: 'Fuzz' }),
  'POST /api/club/further': () => ({ club: 'Fuzz', coach: 'Fuzz' }),
  'PUT /api/drills/:slug/favourite': () => ({ favourite: true }),
  'PUT /api/drills/:slug/archived': () => ({ archived: false }),
  'PUT /api/drills/:slug/revisions/:revision/stages/:stage/bands': () => ({ from: [1, 2, 3, 4, 5] }),
  'PUT /api/password': () => ({ current: 'not it', password: 'gravel and tea' }),
  'POST /api/sign-in': () => ({ email: 'nobody@gannet.example', password: 'no' }),
  'POST /api/sign-in/code': () => ({ code: 'AAAAA-AAAAA', email: 'n@n.example', password: 'gravel and tea' }),
};

/** Left out: they end sessions that the others need. */
const NOT_ASKED: readonly string[] = ['POST /api/sign-out', 'POST /api/sign-out/everywhere'];

let nested: unknown = 'deep';
for (let i = 0; i < 60; i++) nested = i % 2 === 0 ? [nested] : { a: nested };

/** Values that some rule somewhere may have forgotten. */
const STRANGE: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1.5,
  1e308,
  2 ** 53,
  -(2 ** 31) - 1,
  '',
  ' ',
  'x',
  'x'.repeat(3_000),
  '\u0000',
  'ä😀\u2028',
  '=1+1',
  '<script>x</script>',
  "'; DROP TABLE rounds; --",
  '%00',
  '../..',
  'constructor',
  '__proto__',
  'toString',
  '2026-13-01T00:00:00Z',
  '2026-02-30',
  '0000-00-00',
  '9999-99-99T99:99:99Z',
  '1899-12-31',
  '2201-01-01',
  '2026-11-25',
  '00000000-0000-0000-0000-000000000000',
  'ffffffff-ffff-ffff-ffff-ffffffffffff',
  'FFFFFFFF-FFFF-4FFF-8FFF-FFFFFFFFFFFF',
  [],
  {},
  [[]],
  [null],
  { kind: 'constructor' },
  { length: 5 },
  Array.from({ length: 300 }, (_, i) => i),
];

const pick = <T>(random: Random, list: readonly T[]): T =>
  // The lists here are never empty.
  list[Math.floor(random.uniform() * list.length)] as T;

/** A value with something changed somewhere in it. */
function spoilt(random: Random, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || random.uniform() < 0.15) return pick(random, STRANGE);
  if (Array.isArray(value)) {
    const copy: unknown[] = [...(value as readonly unknown[])];
    const at = Math.floor(random.uniform() * (copy.length + 1));
    if (random.uniform() < 0.3) copy.splice(at, 1);
    else copy[at] = spoilt(random, copy[at]);
    return copy;
  }
  const fields = Object.entries(value);
  const at = Math.floor(random.uniform() * fields.length);
  const way = random.uniform();
  if (way < 0.1) return Object.fromEntries(fields.filter((_, i) => i !== at));
  if (way < 0.2) return { ...value, [String(pick(random, STRANGE)).slice(0, 40)]: pick(random, STRANGE) };
  if (way < 0.23) return JSON.parse(`{"__proto__":{"a":1},"constructor":2}`) as unknown;
  if (way < 0.26) return { ...value, deep: nested };
  return Object.fromEntries(fields.map(([k, v], i) => [k, i === at ? spoilt(random, v) : v]));
}

/** What stands for a parameter of an address: often one that is there, sometimes a new or a strange one. */
function parameter(random: Random, w: FuzzWorld, route: string, name: string): string {
  const way = random.uniform();
  if (way < 0.2) return encodeURIComponent(String(pick(random, STRANGE)).slice(0, 200)) || '%20';
  if (name === 'slug') return pick(random, ['harbour-turn', 'frozen-pair', 'constructor', 'no-such-drill']);
  if (name === 'revision' || name === 'stage') return pick(random, ['1', '2', '9', '999999']);
  if (name === 'name') return pick(random, ['rounds.csv', 'shots.csv', 'programmes.csv', 'x.json.gz']);
  const subject = `${route.split('/')[2] ?? ''} ${name}`;
  if (subject === 'players id') return pick(random, [w.club.playerId, w.club.otherId, w.stranger.playerId]);
  if (subject === 'tables id')
    return pick(random, [w.club.poolTable, w.club.snookerTable, w.stranger.poolTable]);
  const known = w.ids.get(subject) ?? [];
  if (known.length > 0 && way < 0.8) return pick(random, known);
  const fresh = randomUUID();
  w.ids.set(subject, [...known.slice(-20), fresh]);
  return fresh;
}

const QUERIES = [
  'days',
  'from',
  'to',
  'table',
  'drill',
  'skill',
  'player',
  'today',
  'about',
  'revision',
  'conditions',
];

/** Tables that a refusal may touch: tries are counted, and sessions looked up. */
const UNWATCHED: readonly string[] = [
  'sign_in_tries',
  'sessions',
  'known_devices',
  'leases',
  'player_overviews',
  'benchmark_parts',
];

async function sumsOf({ pool }: TestApp): Promise<string> {
  const [tables] = await pool.execute<(RowDataPacket & { name: string })[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name',
  );
  const names = tables.map(({ name }) => name).filter((name) => !UNWATCHED.includes(name));
  const [sums] = await pool.execute<RowDataPacket[]>(`CHECKSUM TABLE ${names.join(', ')}`);
  return JSON.stringify(sums);
}

/** Pages that everybody looks at: whatever was accepted, they are there. */
const pagesOf = ({ club }: FuzzWorld): readonly (readonly [string, string])[] => [
  ...['today', 'players', 'tables', 'drills', 'lessons', 'programmes', 'reports', 'halls', 'cues'].flatMap(
    (page) => [[`/api/${page}`, club.coach] as const, [`/api/${page}`, club.player] as const],
  ),
  ...['progress', 'rounds', 'results', 'next', 'calls', 'call-rounds', 'everything.zip'].map(
    (part) => [`/api/players/${club.playerId}/${part}`, club.player] as const,
  ),
  ['/api/club/overview?today=2026-11-24', club.coach],
  ['/api/club/audit', club.coach],
  ['/api/rounds/removed', club.coach],
  ['/api/coaches', club.coach],
  ['/api/export/csv/shots.csv', club.coach],
];

/** What went wrong, and with which request: nothing when all is well. */
export interface FuzzFault {
  readonly request: string;
  readonly what: string;
}

export interface FuzzReport {
  readonly requests: number;
  readonly accepted: number;
  readonly refused: number;
  readonly faults: readonly FuzzFault[];
}

/** How often, in requests, the pages and the backup are looked at. */
const LOOK_EVERY = 150;

/** Asks so many things. @param tell is told how far it is */
export async function fuzz(
  seed: number,
  requests: number,
  tell: (done: number) => void,
): Promise<FuzzReport> {
  const random = createRandom(seed);
  const test = await createTestApp();
  const faults: FuzzFault[] = [];
  let [accepted, refused] = [0, 0];
  try {
    const club = await createTestClub(test, 'gannet');
    const w: FuzzWorld = { test, club, stranger: await createTestClub(test, 'puffin'), ids: new Map() };
    const routes = routesOf(test).filter((route) => !NOT_ASKED.includes(route));
    let before = await sumsOf(test);
    for (let n = 1; n <= requests; n++) {
      const route = pick(random, routes);
      const [method = '', pattern = ''] = route.split(' ');
      const filled = pattern.replaceAll(/:([a-z]+)/g, (_, name: string) => parameter(random, w, route, name));
      const query =
        random.uniform() < 0.3
          ? `?${pick(random, QUERIES)}=${encodeURIComponent(String(pick(random, STRANGE)).slice(0, 200))}`
          : '';
      const cookie = pick(random, [
        undefined,
        club.player,
        club.other,
        club.coach,
        club.coach,
        w.stranger.coach,
      ]);
      const right = BODIES[route]?.(w);
      const body = right !== undefined && random.uniform() < 0.4 ? right : spoilt(random, right ?? {});
      const response = await send(test.app, method, filled + query, {
        cookie,
        ...(method === 'GET' ? {} : { body }),
      });
      await response.arrayBuffer();
      const request = `${method} ${filled}${query} ${JSON.stringify(body).slice(0, 400)}`;
      const { status } = response;
      if (status >= 500) faults.push({ request, what: `answered ${String(status)}` });
      if (status < 400) accepted++;
      else refused++;
      const after = await sumsOf(test);
      if (status >= 400 && after !== before)
        faults.push({ request, what: `${String(status)}, but something was changed` });
      before = after;
      if (n % LOOK_EVERY === 0 || n === requests) {
        faults.push(...(await look(w, request)));
        before = await sumsOf(test);
        tell(n);
      }
    }
  } finally {
    await test.close();
  }
  return { requests, accepted, refused, faults };
}

/** Whether the pages are there, and the backup is one that is taken back. */
async function look(w: FuzzWorld, last: string): Promise<readonly FuzzFault[]> {
  const faults: FuzzFault[] = [];
  for (const [page, cookie] of pagesOf(w)) {
    const response = await send(w.test.app, 'GET', page, { cookie });
    await response.arrayBuffer();
    // A player whom the coach has archived is not signed in any more.
    if (response.status !== 200 && response.status !== 401) {
      faults.push({ request: `${page}, after ${last}`, what: `answered ${String(response.status)}` });
    }
  }
  const backup = await send(w.test.app, 'GET', '/api/export/backup', { cookie: w.club.coach });
  try {
    readBackup(await backup.text());
  } catch (error) {
    faults.push({
      request: `the backup, after ${last}`,
      what: error instanceof Error ? error.message : 'unknown',
    });
  }
  return faults;
}
