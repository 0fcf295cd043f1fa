import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createTestApp, type TestApp } from '../testing/club.ts';
import { releaseLease, takeLease } from './queries/leases.ts';

let test: TestApp;
beforeAll(async () => {
  test = await createTestApp();
});
afterAll(() => test.close());

const take = (name: string, holder: string, seconds = 60) => takeLease(test.pool, name, holder, seconds);

it('a lease is one holder’s: of many who ask at once one gets it, and can hold it for longer', async () => {
  const holders = Array.from({ length: 12 }, () => randomUUID());
  const got = await Promise.all(holders.map((holder) => take('one', holder)));
  expect(got.filter(Boolean)).toHaveLength(1);
  const holder = holders[got.indexOf(true)] ?? '';
  expect(await take('one', holder)).toBe(true);
  expect(await take('one', randomUUID())).toBe(false);
  expect(await take('another', randomUUID())).toBe(true);
});

it('it is free when it was given back or has run out, and only its holder gives it back', async () => {
  const [one, two] = [randomUUID(), randomUUID()];
  expect(await take('two', one)).toBe(true);
  await releaseLease(test.pool, 'two', two);
  expect(await take('two', two)).toBe(false);
  await releaseLease(test.pool, 'two', one);
  expect(await take('two', two)).toBe(true);
  await test.pool.execute(
    `UPDATE leases SET until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE name = 'two'`,
  );
  expect(await take('two', one)).toBe(true);
});
