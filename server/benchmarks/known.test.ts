import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Benchmark } from '../../core/records/benchmark.ts';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import type { BenchmarkKey } from '../db/queries/benchmarks.ts';
import type { Database } from '../db/pool.ts';
import { createTestApp, createTestClub, send, type TestApp } from '../testing/club.ts';
import { keepBenchmark, knownBenchmarks, textOf } from './known.ts';

let test: TestApp;
beforeAll(async () => {
  test = await createTestApp();
});
afterAll(() => test.close());

/** The database, counting what it is asked. */
function counted(): { readonly db: Database; readonly asked: () => number } {
  let statements = 0;
  const db: Database = {
    execute: new Proxy(test.pool.execute.bind(test.pool), {
      apply: (target, _, args: Parameters<typeof test.pool.execute>) => {
        statements++;
        return target(...args);
      },
    }),
  };
  return { db, asked: () => statements };
}

const keyOf = (drill: string, stage: number): BenchmarkKey => ({
  owner: 'library',
  drill,
  revision: 1,
  stage,
  ladderStart: 0,
  tableFingerprint: 'pool-9ft',
  modelVersion: 'test',
  levelVersion: 1,
});
const benchmark: Benchmark = {
  executions: 10,
  wholeRounds: true,
  unit: 'points',
  better: 'high',
  levels: LEVEL_NAMES.map((level) => ({ level, potted: null, round: [0.5, 0.5] })),
};

it('many are asked for in one statement, each once; what is missing is remembered until it comes', async () => {
  const drill = randomUUID().slice(0, 8);
  const keys = [1, 2, 3].map((stage) => keyOf(drill, stage));
  const [one, two, three] = keys;
  if (one === undefined || two === undefined || three === undefined) throw new Error('three keys');
  await keepBenchmark(test.pool, one, benchmark);
  const { db, asked } = counted();
  const first = await knownBenchmarks(db, [...keys, one]);
  expect([...first.keys()]).toEqual([textOf(one)]);
  expect(first.get(textOf(one))).toEqual(benchmark);
  expect(asked()).toBe(1);
  await knownBenchmarks(db, keys);
  expect(asked()).toBe(1);

  await keepBenchmark(db, two, benchmark);
  expect([...(await knownBenchmarks(db, keys)).keys()].sort()).toEqual([textOf(one), textOf(two)].sort());
  // One statement kept it, one asked for it; the third stays remembered as missing.
  expect(asked()).toBe(3);
});

it('the next drills of a player take a few statements, however many drills and stages there are', async () => {
  const club = await createTestClub(test, 'shearwater');
  const { pool } = test;
  const execute = pool.execute.bind(pool);
  let statements = 0;
  Object.assign(pool, {
    execute: (...args: Parameters<typeof execute>) => {
      statements++;
      return execute(...args);
    },
  });
  try {
    const reply = await send(test.app, 'GET', `/api/players/${club.playerId}/next`, { cookie: club.coach });
    expect(reply.status).toBe(200);
    expect(await reply.json()).not.toEqual([]);
  } finally {
    Object.assign(pool, { execute });
  }
  expect(statements).toBeLessThan(15);
});
