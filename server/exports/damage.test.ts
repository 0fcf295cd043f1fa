import { gunzipSync } from 'node:zlib';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { RowDataPacket } from 'mysql2/promise';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import { createRandom } from '../../core/random/random.ts';
import { benchmarkReplySchema } from '../../core/records/benchmarkReply.ts';
import { Refusal } from '../http/errors.ts';
import {
  createTestApp,
  createTestClub,
  cookieOf,
  PASSWORD,
  post,
  send,
  type TestApp,
  type TestClub,
} from '../testing/club.ts';
import { playRound } from '../testing/rounds.ts';
import { isDue, keepBackup, listKept } from './nightly.ts';
import { BackupDigest } from './backup.ts';
import { readBackup } from './readBackup.ts';
import { restoreBackup } from './restore.ts';

const SEED = 2_611;
const FLIPS = 100;

let test: TestApp;
let club: TestClub;
let file: string;

const backup = async () => (await send(test.app, 'GET', '/api/export/backup', { cookie: club.coach })).text();
const signInAgain = async () =>
  cookieOf(await post(test.app, '/api/sign-in', { email: 'coach@gannet.example', password: PASSWORD }));

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
  for (const at of ['2026-11-20T12:00:00Z', '2026-11-21T12:00:00Z']) {
    await playRound(test, club, {
      drill: 'harbour-turn',
      at,
      shots: [{}, { ball: '1', potted: ['1'], landing: { x: 1.4, y: 0.5 } }],
    });
  }
  file = await backup();
});
afterAll(() => test.close());

/** The field that a refusal names; fails for a file that is taken. */
function refusedAt(text: string): string {
  try {
    readBackup(text);
  } catch (error) {
    if (error instanceof Refusal) return `${String(error.status)} ${error.field ?? ''}`;
    throw error;
  }
  return 'taken';
}

describe('a damaged backup', () => {
  it(`with one of ${String(FLIPS)} bits flipped is refused, or says what it said before (seed ${String(SEED)})`, () => {
    const random = createRandom(SEED);
    const bytes = Buffer.from(file);
    const whole = JSON.stringify(JSON.parse(file));
    for (let k = 0; k < FLIPS; k++) {
      const at = Math.floor(random.uniform() * bytes.length);
      const bit = 1 << Math.floor(random.uniform() * 8);
      const damaged = Buffer.from(bytes);
      damaged[at] = (damaged[at] ?? 0) ^ bit;
      const text = new TextDecoder().decode(damaged);
      const answer = refusedAt(text);
      // A blank between two values says nothing: then, and only then, nothing is lost.
      if (answer === 'taken') expect(JSON.stringify(JSON.parse(text))).toBe(whole);
      else expect(answer).toMatch(/^400 ./);
    }
  });

  it('with any column changed is refused, though each value is right by itself', () => {
    const { tables } = JSON.parse(file) as { tables: Record<string, Record<string, unknown>[]> };
    let changed = 0;
    for (const [name, rows] of Object.entries(tables)) {
      const [row] = rows;
      for (const [column, value] of Object.entries(row ?? {})) {
        const other = typeof value === 'number' ? value + 1 : value === null ? 1 : null;
        const spoilt = {
          ...JSON.parse(file),
          tables: { ...tables, [name]: [{ ...row, [column]: other }, ...rows.slice(1)] },
        } as object;
        expect(refusedAt(JSON.stringify(spoilt))).toBe('400 digest');
        changed++;
      }
    }
    expect(changed).toBeGreaterThan(60);
  });

  it('from before there were cues is read: its digest was counted without them, and a cue that is taken out is missed', () => {
    const whole = JSON.parse(file) as {
      format: string;
      version: number;
      madeAt: string;
      club: { id: string; name: string };
      digest: string;
      tables: Record<string, Record<string, unknown>[]>;
    };
    const tables = Object.fromEntries(Object.entries(whole.tables).filter(([name]) => name !== 'cues'));
    const digest = new BackupDigest();
    digest.head(whole);
    for (const [name, rows] of Object.entries(tables)) {
      digest.table(name);
      for (const row of rows) digest.row(JSON.stringify(row));
    }
    expect(refusedAt(JSON.stringify({ ...whole, tables, digest: digest.value() }))).toBe('taken');
    expect(refusedAt(JSON.stringify({ ...whole, tables }))).toBe('400 digest');
  });

  it('of the first version names the parent that is missing, and the row that is there twice', () => {
    const { digest, ...rest } = JSON.parse(file) as {
      digest: string;
      tables: Record<string, Record<string, unknown>[]>;
    };
    expect(digest).not.toBe('');
    const first = (change: (tables: Record<string, Record<string, unknown>[]>) => void) => {
      const copy = structuredClone({ ...rest, version: 1 });
      change(copy.tables);
      return refusedAt(JSON.stringify(copy));
    };
    expect(first(() => undefined)).toBe('taken');
    expect(first((tables) => (tables['table_cards'] = []))).toBe('400 tables.rounds[0].table_revision');
    expect(first((tables) => (tables['rounds'] = []))).toBe('400 tables.attempts[0].round_id');
    expect(first((tables) => (tables['drill_revisions'] = []))).toMatch(
      /^400 tables\.(benchmarks|rounds)\[0\]\.revision$/,
    );
    const twice = (name: string) => first((tables) => tables[name]?.push({ ...tables[name][0] }));
    expect(twice('attempts')).toMatch(/^400 tables\.attempts\[\d+\]\.id$/);
    expect(twice('table_cards')).toMatch(/^400 tables\.table_cards\[\d+\]\.revision$/);
    expect(first((tables) => tables['people']?.forEach((row) => (row['email'] = 'same@x.example')))).toBe(
      '400 tables.people[1].email',
    );
  });
});

describe('a backup that is brought back', () => {
  it('is what every server shows from then on: nothing is remembered from before', async () => {
    const text = JSON.parse(readFileSync('library/harbour-turn.drill.json', 'utf8')) as object;
    const save = (title: string, basedOn: number | null) =>
      send(test.app, 'PUT', '/api/drills/pontoon', {
        cookie: club.coach,
        body: { document: { ...text, slug: 'pontoon', title }, basedOn },
      });
    const title = async () => {
      const answer = await send(test.app, 'GET', '/api/drills/pontoon/revisions/1', { cookie: club.coach });
      return answer.status === 200
        ? ((await answer.json()) as { document: { title: string } }).document.title
        : null;
    };
    const without = await backup();
    expect((await save('As it was', null)).status).toBe(200);
    const then = await backup();
    expect(await title()).toBe('As it was');
    // Back to before there was one, and there is another of the same name and number.
    await restoreBackup(test.pool, { clubId: club.id, coachId: null }, without);
    club = { ...club, coach: await signInAgain() };
    expect(await title()).toBeNull();
    expect((await save('Another one', null)).status).toBe(200);
    expect(await title()).toBe('Another one');
    await restoreBackup(test.pool, { clubId: club.id, coachId: null }, then);
    club = { ...club, coach: await signInAgain() };
    expect(await title()).toBe('As it was');
  });

  it('has what virtual players score, so that ratings are there at once', async () => {
    const path = `/api/drills/harbour-turn/revisions/1/stages/1/benchmark?table=${club.poolTable}&revision=1`;
    const known = async (cookie: string, { app }: TestApp) =>
      (await benchmarkReplySchema.validate(await (await send(app, 'GET', path, { cookie })).json()))
        .benchmark;
    const [[job]] = await test.pool.execute<(RowDataPacket & { id: string })[]>(
      'SELECT id FROM benchmark_jobs',
    );
    const document = {
      executions: 10,
      wholeRounds: false,
      unit: 'points',
      better: 'high',
      levels: LEVEL_NAMES.map((level) => ({
        level,
        potted: 0.5,
        round: [0.5, 0.5],
      })),
      v: 2,
    };
    await test.pool.execute(
      `INSERT INTO benchmarks (owner, drill, revision, stage, table_fingerprint, model_version, level_version, document)
       SELECT owner, drill, revision, stage, table_fingerprint, model_version, level_version, ? FROM benchmark_jobs WHERE id = ?`,
      [JSON.stringify(document), job?.id ?? ''],
    );
    expect(await known(club.coach, test)).toMatchObject({ executions: 10 });
    const taken = await backup();
    const elsewhere = await createTestApp();
    try {
      const { id } = await createTestClub(elsewhere, 'tern');
      await restoreBackup(elsewhere.pool, { clubId: id, coachId: null }, taken);
      const there = cookieOf(
        await post(elsewhere.app, '/api/sign-in', { email: 'coach@gannet.example', password: PASSWORD }),
      );
      expect(await known(there, elsewhere)).toMatchObject({ executions: 10 });
    } finally {
      await elsewhere.close();
    }
  });
});

describe('a backup beside other clubs', () => {
  const restore = (app: TestApp, own: TestClub, text: string) =>
    restoreBackup(app.pool, { clubId: own.id, coachId: own.id }, text);

  it('makes nobody a keeper of the installation who was none, and leaves it with one', async () => {
    const shared = await createTestApp();
    try {
      const [first, second] = [await createTestClub(shared, 'loon'), await createTestClub(shared, 'smew')];
      const keepers = async () => {
        const [rows] = await shared.pool.execute<(RowDataPacket & { club_id: string })[]>(
          'SELECT club_id FROM people WHERE keeper',
        );
        return rows.map((row) => row.club_id);
      };
      await shared.pool.execute(`UPDATE people SET keeper = TRUE WHERE club_id = ? AND role = 'coach'`, [
        first.id,
      ]);
      const fileOf = async ({ coach }: TestClub) =>
        (await send(shared.app, 'GET', '/api/export/backup', { cookie: coach })).text();
      const [ofFirst, ofSecond] = [await fileOf(first), await fileOf(second)];
      const { id } = (await (await send(shared.app, 'GET', '/api/me', { cookie: second.coach })).json()) as {
        id: string;
      };
      await restoreBackup(shared.pool, { clubId: second.id, coachId: id }, ofSecond);
      expect(await keepers()).toEqual([first.id]);
      // Brought back on the server itself, by nobody: who looked after it still does.
      await restoreBackup(shared.pool, { clubId: first.id, coachId: null }, ofFirst);
      expect(await keepers()).toEqual([first.id]);
    } finally {
      await shared.close();
    }
  });

  it('adds no text to the library that they play by', async () => {
    const shared = await createTestApp();
    try {
      const own = await createTestClub(shared, 'merlin');
      await createTestClub(shared, 'smew');
      await playRound(shared, own, { drill: 'harbour-turn', at: '2026-11-20T12:00:00Z', shots: [{}] });
      const text = await (await send(shared.app, 'GET', '/api/export/backup', { cookie: own.coach })).text();
      // One of the first version has no digest: its library may be anybody's.
      const { digest, ...rest } = JSON.parse(text) as {
        digest: string;
        tables: Record<string, Record<string, unknown>[]>;
      };
      expect(digest).not.toBe('');
      const revisions = rest.tables['drill_revisions'] ?? [];
      const forged = {
        ...rest,
        version: 1,
        tables: {
          ...rest.tables,
          drill_revisions: revisions.map((row) => ({ ...row, digest: 'f'.repeat(64) })),
        },
      };
      const count = async () => {
        const [rows] = await shared.pool.execute<RowDataPacket[]>(
          `SELECT slug, revision, digest FROM drill_revisions WHERE owner = 'library' ORDER BY slug, revision`,
        );
        return rows;
      };
      const before = await count();
      await expect(restore(shared, own, JSON.stringify(forged))).rejects.toMatchObject({ status: 409 });
      expect(await count()).toEqual(before);
      await restore(shared, own, text);
      expect(await count()).toEqual(before);
    } finally {
      await shared.close();
    }
  });
});

describe('a nightly backup', () => {
  it('is made when it is time: at night, or when there was no night for two days', () => {
    const night = new Date(2026, 10, 24, 3, 30);
    const noon = new Date(2026, 10, 24, 12);
    const hours = (from: Date, n: number) => from.getTime() - n * 3_600_000;
    expect(isDue(undefined, noon)).toBe(true);
    expect(isDue(hours(night, 24), night)).toBe(true);
    expect(isDue(hours(night, 1), night)).toBe(false);
    expect(isDue(hours(noon, 24), noon)).toBe(false);
    expect(isDue(hours(noon, 49), noon)).toBe(true);
  });

  it('is kept so many times, listed and fetched by the coaches of its club alone, and can be brought back', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'jolly-nightly-'));
    const keeping = await createTestApp({ backupFolder: folder });
    try {
      const own = await createTestClub(keeping, 'heron');
      const other = await createTestClub(keeping, 'egret');
      for (let night = 1; night <= 5; night++) {
        const at = new Date(Date.UTC(2026, 10, night, 3));
        await keepBackup(keeping.pool, folder, { id: own.id, name: 'heron' }, { at, most: 3 });
      }
      const kept = await listKept(folder, own.id);
      expect(kept.map(({ madeAt }) => madeAt.slice(0, 10))).toEqual([
        '2026-11-05',
        '2026-11-04',
        '2026-11-03',
      ]);
      const list = await send(keeping.app, 'GET', '/api/export/backups', { cookie: own.coach });
      expect(await list.json()).toMatchObject({ nightly: true, kept });
      const get = (cookie: string, name: string) =>
        send(keeping.app, 'GET', `/api/export/backups/${name}`, { cookie });
      const name = kept[0]?.name ?? '';
      const fetched = await get(own.coach, name);
      const text = gunzipSync(Buffer.from(await fetched.arrayBuffer())).toString();
      expect(readBackup(text).club.name).toBe('heron');
      expect((await get(other.coach, name)).status).toBe(404);
      expect((await get(own.player, name)).status).toBe(403);
      expect((await get(own.coach, '..%2F..%2Fetc%2Fpasswd')).status).toBe(404);
      await restoreBackup(keeping.pool, { clubId: own.id, coachId: null }, text);
      expect((await send(keeping.app, 'GET', '/api/me', { cookie: other.coach })).status).toBe(200);
    } finally {
      await keeping.close();
      rmSync(folder, { recursive: true });
    }
  });
});
