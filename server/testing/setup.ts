import type { TestProject } from 'vitest/node';
import { startThrowawayDatabase } from '../../scripts/lib/throwawayDatabase.ts';

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/** Before the tests: a MariaDB of their own in a temporary folder; after them it is gone. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const database = await startThrowawayDatabase('jolly-test');
  project.provide('databaseUrl', database.url);
  return database.end;
}
