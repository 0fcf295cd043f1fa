import { defineConfig } from 'vitest/config';

/** Tests of the interface that need a page: they share its globals, so each has one of its own. */
const PAGES = ['web/**/*.page.test.ts', 'web/**/*.page.test.tsx'];

/**
 * The parts run one after the other, on both cores: those without a database or a browser first. Modules keep no state
 * of their own, so what one file has loaded serves the next; only those of the interface share a page's globals. Time
 * limits end what hangs; they are wide, for a machine may have little time for us, and no test asks how fast it is.
 */
export default defineConfig({
  test: {
    environment: 'node',
    isolate: false,
    maxWorkers: 2,
    testTimeout: 300_000,
    hookTimeout: 300_000,
    projects: [
      {
        extends: true,
        test: { name: 'core', include: ['core/**/*.test.ts'], sequence: { groupOrder: 1 } },
      },
      {
        extends: true,
        test: { name: 'truth', include: ['truth/**/*.test.ts'], sequence: { groupOrder: 1 } },
      },
      {
        extends: true,
        test: {
          name: 'web',
          include: ['web/**/*.test.ts', 'web/**/*.test.tsx'],
          exclude: PAGES,
          sequence: { groupOrder: 1 },
        },
      },
      {
        extends: true,
        test: {
          name: 'web-pages',
          include: PAGES,
          environment: 'jsdom',
          isolate: true,
          sequence: { groupOrder: 1 },
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          globalSetup: 'server/testing/setup.ts',
          setupFiles: 'server/testing/lendFromRunner.ts',
          include: ['server/**/*.test.ts', 'scripts/**/*.test.ts'],
          expect: { poll: { timeout: 30_000 } },
          sequence: { groupOrder: 2 },
        },
      },
      {
        extends: true,
        test: {
          name: 'e2e',
          globalSetup: 'e2e/lib/setup.ts',
          include: ['e2e/**/*.test.ts'],
          // As long as the browser waits for anything else.
          expect: { poll: { timeout: 150_000 } },
          sequence: { groupOrder: 3 },
        },
      },
    ],
  },
});
