import { loadDemo } from '../demo/load.ts';
import { readDemoRounds } from '../demo/otherRounds.ts';
import { DEMO_SIGN_INS } from '../demo/people.ts';
import { CHARACTERS, onServer, openApp, urlOf, type TestApp } from './club.ts';

const DATABASE = 'jolly_demo';

/** The application with the demo club, for tests that only read: whoever comes first loads it, and it stays. */
export async function openDemoApp(): Promise<TestApp> {
  await onServer(`CREATE DATABASE IF NOT EXISTS ${DATABASE} ${CHARACTERS}`);
  const opened = await openApp(urlOf(DATABASE), { demoSignIns: DEMO_SIGN_INS });
  await loadDemo(opened.pool, opened.clock.now, await readDemoRounds('levels'));
  return { ...opened, close: () => opened.pool.end() };
}
