import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import type { RowDataPacket } from 'mysql2/promise';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logOf } from '../../core/records/attempt.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { progressSchema } from '../../core/records/progress.ts';
import { DEMO_COACHES } from '../demo/people.ts';
import {
  cookieOf,
  createTestApp,
  createTestClub,
  PASSWORD,
  post,
  send,
  type TestApp,
} from '../testing/club.ts';
import { openDemoApp } from '../testing/demo.ts';
import { BACKUP_TABLES } from '../db/backup/tables.ts';
import { readBackup } from './readBackup.ts';
import { PLAIN_CUE } from '../testing/cues.ts';

let from: TestApp;
let coach: string;

const signIn = async (app: TestApp) =>
  cookieOf(
    await post(app.app, '/api/sign-in', {
      email: DEMO_COACHES[0].email,
      password: DEMO_COACHES[0].password,
    }),
  );

beforeAll(async () => {
  from = await openDemoApp();
  coach = await signIn(from);
});
afterAll(() => from.close());

/** A backup as it stands in its file; it must be one that is taken back. */
async function backupOf({ app }: TestApp, cookie: string) {
  const text = await (await send(app, 'GET', '/api/export/backup', { cookie })).text();
  readBackup(text);
  return JSON.parse(text) as { readonly tables: object; readonly version: number; readonly digest: string };
}

/** The rows of a table as they stand in the file. */
type Rows = readonly Readonly<Record<string, unknown>>[];
const rowsOf = (backup: { readonly tables: object }, name: string): Rows =>
  Object.entries(backup.tables).find(([each]) => each === name)?.[1] as Rows;

/** A fresh installation with a first coach. */
async function fresh() {
  const to = await createTestApp();
  const entered = await post(to.app, '/api/club', {
    club: 'Elsewhere',
    name: 'Another Coach',
    email: 'another@coach.example',
    password: 'a long password',
  });
  return { to, cookie: cookieOf(entered) };
}

/** Something in the tables that the demo club leaves empty: a drill of its own, a favourite, marks, a shot told otherwise. */
async function useAll(): Promise<void> {
  await send(from.app, 'PUT', `/api/halls/${randomUUID()}`, {
    cookie: coach,
    body: { name: 'The old waiting room', archived: false },
  });
  const ask = async (method: string, path: string, body: unknown) => {
    const response = await send(from.app, method, path, { cookie: coach, body });
    expect([path, response.status]).toEqual([path, 200]);
  };
  const text: unknown = JSON.parse(readFileSync('library/harbour-turn.drill.json', 'utf8'));
  await ask('POST', '/api/drills/import', { document: { ...(text as object), slug: 'pontoon' } });
  const cue = { document: PLAIN_CUE, archived: false };
  await ask('PUT', `/api/cues/${randomUUID()}`, cue);
  await ask('PUT', '/api/drills/pontoon/favourite', { favourite: true });
  const bands = '/api/drills/harbour-turn/revisions/1/stages/2/bands';
  await ask('PUT', bands, { from: [null, 8, 14, 20, null] });
  const now = await backupOf(from, coach);
  const round = rowsOf(now, 'rounds').find(({ drill }) => drill === 'harbour-turn');
  const shot = rowsOf(now, 'attempts').find(({ round_id }) => round_id === round?.['id']);
  await ask('POST', `/api/rounds/${String(round?.['id'])}/attempts/${String(shot?.['id'])}/changes`, {
    log: logOf({ shots: [{ ...BLANK_SHOT, ball: '1' }] }),
    reason: 'it rattled out',
    changedAt: '2026-11-24T13:00:00Z',
  });
}

describe('a backup', () => {
  it('brought back on a fresh installation is the same club: its backup is the same again', async () => {
    await useAll();
    const before = await backupOf(from, coach);
    const { to, cookie } = await fresh();
    try {
      const answer = await send(to.app, 'POST', '/api/export/restore', { cookie, body: before });
      expect(await answer.json()).toEqual({});
      const again = await signIn(to);
      const after = await backupOf(to, again);
      const empty: string[] = [];
      for (const { name } of BACKUP_TABLES.filter((table) => table.name !== 'people')) {
        // When the library's texts came here is of this installation.
        const told = (backup: typeof before) =>
          rowsOf(backup, name)
            // That it was brought back is noted there, and nowhere else.
            .filter((row) => row['action'] !== 'backup restored')
            .map((row) => (row['owner'] === 'library' ? { ...row, created_at: '' } : row));
        if (told(before).length === 0) empty.push(name);
        expect(told(after)).toEqual(told(before));
      }
      expect(empty).toEqual([]);
      expect(rowsOf(after, 'audit').filter((row) => row['action'] === 'backup restored')).toHaveLength(1);
      const names = (backup: typeof before) => rowsOf(backup, 'people').map((person) => person['name']);
      expect(names(after).sort()).toEqual([...names(before), 'Another Coach'].sort());
      expect(rowsOf(after, 'attempts').length).toBeGreaterThan(3_000);

      // What is counted from it is the same, too.
      const wren = async (app: TestApp, session: string) => {
        const list: unknown = await (await send(app.app, 'GET', '/api/players', { cookie: session })).json();
        const id = (list as { id: string; name: string }[]).find(({ name }) => name === 'Wren Sallow')?.id;
        const reply = await send(app.app, 'GET', `/api/players/${id ?? ''}/progress?days=400`, {
          cookie: session,
        });
        return progressSchema.validate(await reply.json());
      };
      const [here, there] = [await wren(from, coach), await wren(to, again)];
      expect(there.kinds).toHaveLength(here.kinds.length);
      expect(there.months).toEqual(here.months);
    } finally {
      await to.close();
    }
  });

  it('fits its published schema, and a wrong one does not', async () => {
    const validate = new Ajv2020({ allowUnionTypes: true }).compile(
      JSON.parse(readFileSync('docs/schema/club.schema.json', 'utf8')) as object,
    );
    const backup = await backupOf(from, coach);
    validate(backup);
    expect(validate.errors).toBeNull();
    expect(validate({ ...backup, version: 1 })).toBe(false);
    const others = Object.fromEntries(Object.entries(backup.tables).filter(([name]) => name !== 'rounds'));
    expect(validate({ ...backup, tables: others })).toBe(false);
  });

  it('that is broken, or reaches into another club, changes nothing', async () => {
    const before = await backupOf(from, coach);
    const { to, cookie } = await fresh();
    try {
      const send1 = (body: unknown) => send(to.app, 'POST', '/api/export/restore', { cookie, body });
      // One of the first version has no digest: what is wrong with a row is told, not that something is.
      const { digest, ...first } = before;
      expect(digest).toMatch(/^[0-9a-f]{64}$/);
      const spoilt = (name: string, change: object) => ({
        ...first,
        version: 1,
        tables: {
          ...before.tables,
          [name]: rowsOf(before, name).map((row, i) => (i === 0 ? { ...row, ...change } : row)),
        },
      });
      const cases = [
        [{ ...before, format: 'something else' }, 'format'],
        [spoilt('rounds', { started_at: 'yesterday' }), 'tables.rounds[0].started_at'],
        [spoilt('rounds', { player_id: randomUUID() }), 'tables.rounds[0].player_id'],
        [spoilt('people', { club_id: randomUUID() }), 'tables.people[0].club_id'],
        [spoilt('lessons', { document: { title: 'only' } }), 'tables.lessons[0].document'],
        [spoilt('people', { shoe_size: 44 }), 'tables.people[0]'],
      ] as const;
      for (const [body, field] of cases) {
        const answer = await send1(body);
        expect(answer.status).toBe(400);
        const told = (await answer.json()) as { error: { field: string } };
        expect(told.error.field.startsWith(field)).toBe(true);
      }
      const me: unknown = await (await send(to.app, 'GET', '/api/me', { cookie })).json();
      expect(me).toMatchObject({ club: 'Elsewhere' });
    } finally {
      await to.close();
    }
  });

  it('comes back beside another club, which it does not touch, and is kept from players', async () => {
    const to = await createTestApp();
    try {
      const [mine, other] = [await createTestClub(to, 'gannet'), await createTestClub(to, 'puffin')];
      const own = await backupOf(to, mine.coach);
      const theirs = await backupOf(to, other.coach);
      await send(to.app, 'PUT', `/api/players/${mine.playerId}`, {
        cookie: mine.coach,
        body: { name: 'Wrong Name', hand: 'left', archived: false },
      });
      const answer = await send(to.app, 'POST', '/api/export/restore', { cookie: mine.coach, body: own });
      expect(answer.status).toBe(200);
      // Nobody of the club is signed in any more; the other club does not notice.
      expect((await send(to.app, 'GET', '/api/me', { cookie: mine.coach })).status).toBe(401);
      expect((await backupOf(to, other.coach)).tables).toEqual(theirs.tables);
      // Nor can a club be brought back in the place of another one that has its people.
      const stolen = await send(to.app, 'POST', '/api/export/restore', { cookie: other.coach, body: own });
      expect(stolen.status).toBe(409);
      expect((await backupOf(to, other.coach)).tables).toEqual(theirs.tables);
      const again = await post(to.app, '/api/sign-in', {
        email: 'player@gannet.example',
        password: PASSWORD,
      });
      const player = cookieOf(again);
      expect(await (await send(to.app, 'GET', '/api/me', { cookie: player })).json()).toMatchObject({
        name: 'player of gannet',
      });
      expect((await send(to.app, 'GET', '/api/export/backup', { cookie: player })).status).toBe(403);
      expect((await send(to.app, 'GET', '/api/export/csv/rounds.csv', { cookie: player })).status).toBe(403);
    } finally {
      await to.close();
    }
  });
});

describe('CSV', () => {
  const csv = async (name: string) => {
    const response = await send(from.app, 'GET', `/api/export/csv/${name}.csv`, { cookie: coach });
    const parsed = Papa.parse<Record<string, string>>(await response.text(), {
      header: true,
      skipEmptyLines: true,
    });
    expect(parsed.errors).toEqual([]);
    return parsed.data;
  };
  const count = async (sql: string) => {
    const [rows] = await from.pool.execute<RowDataPacket[]>(sql);
    return Number((rows as { n: number }[])[0]?.n);
  };

  it('has a line for each round, attempt, shot, call and player', async () => {
    expect(await csv('players')).toHaveLength(
      await count(`SELECT COUNT(*) n FROM people WHERE role = 'player'`),
    );
    expect(await csv('rounds')).toHaveLength(await count('SELECT COUNT(*) n FROM rounds'));
    expect(await csv('attempts')).toHaveLength(
      await count('SELECT COUNT(*) n FROM attempts WHERE undone_at IS NULL AND NOT contested'),
    );
    expect(await csv('calls')).toHaveLength(await count('SELECT COUNT(*) n FROM calls'));
    const shots = await csv('shots');
    expect(shots.filter(({ cause }) => cause === 'thin').length).toBeGreaterThan(10);
  });

  it('is read by a spreadsheet: UTF-8 is told, columns are explained, numbers are short, yes and no are words', async () => {
    const read = async (name: string) =>
      Buffer.from(
        await (
          await send(from.app, 'GET', `/api/export/csv/${name}.csv?zone=Europe/London`, { cookie: coach })
        ).arrayBuffer(),
      );
    const told = (file: Buffer) =>
      Papa.parse<Record<string, string>>(file.toString('utf8').slice(1), {
        header: true,
        skipEmptyLines: true,
      });
    const columns = told(await read('columns')).data;
    for (const name of ['players', 'rounds', 'attempts', 'shots', 'calls', 'programmes']) {
      const file = await read(name);
      expect([...file.subarray(0, 3)]).toEqual([0xef, 0xbb, 0xbf]);
      const { data, meta } = told(file);
      expect(data.length).toBeGreaterThan(0);
      // Each column of the file is explained, and nothing else is.
      const own = columns.filter((each) => each['file'] === `${name}.csv`);
      expect(own.map((each) => each['column'])).toEqual(meta.fields);
      for (const each of own) expect(each['meaning']).toMatch(/\S/);
      for (const row of data.slice(0, 300)) {
        for (const [column, value] of Object.entries(row)) {
          if (/_m$/.test(column)) expect(value).toMatch(/^(-?\d+(\.\d{1,3})?)?$/);
          if (/^(has|complete|censored|in_off|luck|rescue|ended_early)/.test(column))
            expect(value).toMatch(/^(yes|no|)$/);
        }
      }
    }
    const rounds = told(await read('rounds')).data;
    const titles = new Map(rounds.map((row) => [row['drill'], row['drill_title']]));
    expect(titles.get('harbour-turn')).toBe('Harbour turn');
    const summer = rounds.find((row) => /-0[678]-/.test(row['started_at'] ?? ''));
    const hour = (at = '') => Number(at.slice(11, 13));
    expect(summer?.['started_at']).toMatch(/Z$/);
    expect((hour(summer?.['started_at']) + 1) % 24).toBe(hour(summer?.['started_at_local']));
    const planned = told(await read('programmes')).data.filter((row) => row['drill'] !== '');
    expect(planned.every((row) => row['drill_title'] !== '')).toBe(true);
    const refused = await send(from.app, 'GET', '/api/export/csv/rounds.csv?zone=Nowhere', { cookie: coach });
    expect(refused.status).toBe(400);
  });

  it('gives the points that were counted', async () => {
    const attempts = await csv('attempts');
    const sum = attempts.reduce((total, { points }) => total + Number(points), 0);
    expect(sum).toBeCloseTo(await count('SELECT SUM(points) n FROM attempts'), 6);
  });

  it('is no formula for a spreadsheet, and unknown names are refused', async () => {
    const { to, cookie } = await fresh();
    try {
      await send(to.app, 'POST', '/api/players', {
        cookie,
        body: { name: '=1+1', hand: 'left', email: null, password: null },
      });
      const text = await (await send(to.app, 'GET', '/api/export/csv/players.csv', { cookie })).text();
      expect(text).toContain("'=1+1");
      expect((await send(to.app, 'GET', '/api/export/csv/sessions.csv', { cookie })).status).toBe(404);
    } finally {
      await to.close();
    }
  });
});
