import { loadDemo } from '../demo/load.ts';
import { readDemoRounds } from '../demo/otherRounds.ts';
import { DEMO_SIGN_INS } from '../demo/people.ts';
import { CHARACTERS, onServer, openApp, urlOf, type TestApp } from './club.ts';

/** One for each worker of the tests: two that load at once would load it twice. */
const DATABASE = `jolly_demo_${process.env['VITEST_POOL_ID'] ?? '1'}`;

/** The application with the demo club, for tests that only read: whoever comes first loads it, and it stays. */
export async function openDemoApp(): Promise<TestApp> {
  await onServer(`CREATE DATABASE IF NOT EXISTS ${DATABASE} ${CHARACTERS}`);
  const opened = await openApp(urlOf(DATABASE), { demoSignIns: DEMO_SIGN_INS });
  await loadDemo(opened.pool, opened.clock.now, await readDemoRounds('levels'));
  return { ...opened, close: () => opened.pool.end() };
}
