import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { setPriority, tmpdir } from 'node:os';
import path from 'node:path';
import { array, number, object, string } from 'yup';
import { CHROMIUM, ensureInstalled, MARIADB } from './lib/debian.ts';
import { step } from './lib/report.ts';

/**
 * Runs the tests: all of them, or the parts that are named (core, server, web, e2e), or the files whose path holds
 * one of the given words. What a part needs (database, browser, build) it sets up itself and takes down again.
 * When all is run, the browser's tests, which mostly wait, go beside the others, which take what is left of the cores.
 */
const PARTS = ['core', 'server', 'web', 'e2e'];
const words = process.argv.slice(2);
const parts = words.filter((word) => PARTS.includes(word));
const filters = words.filter((word) => !PARTS.includes(word));

const reportSchema = object({
  numPassedTests: number().required(),
  numFailedTests: number().required(),
  numFailedTestSuites: number().required(),
  testResults: array(
    object({
      name: string().required(),
      startTime: number().required(),
      endTime: number().required(),
    }).required(),
  ).required(),
}).required();

/** So many of the slowest files are named when everything was run. */
const SLOWEST = 12;

const folder = mkdtempSync(path.join(tmpdir(), 'jolly-report-'));

/** What the run of Vitest comes to. */
interface Outcome {
  readonly passed: number;
  readonly failed: number;
  readonly files: readonly { readonly name: string; readonly seconds: number }[];
}

/** What steps back for others, by the system's measure. */
const STEPS_BACK = 10;

/**
 * Runs Vitest once.
 * @param named the parts to run; none for all
 * @param priority how far it steps back for others (0 to 19)
 */
async function test(named: readonly string[], priority: number): Promise<Outcome> {
  const report = path.join(folder, `${named.join('-') || 'all'}.json`);
  const code = await new Promise<number>((resolve) => {
    const vitest = spawn(
      process.execPath,
      [
        path.join('node_modules', 'vitest', 'vitest.mjs'),
        'run',
        ...named.flatMap((part) => ['--project', part]),
        ...filters,
        '--reporter=dot',
        '--reporter=./scripts/lib/failureReporter.ts',
        '--reporter=json',
        `--outputFile.json=${report}`,
      ],
      { stdio: 'inherit' },
    );
    if (vitest.pid !== undefined) setPriority(vitest.pid, priority);
    vitest.on('error', () => resolve(1));
    vitest.on('exit', (status) => resolve(status ?? 1));
  });
  try {
    const counts = await reportSchema.validate(JSON.parse(readFileSync(report, 'utf8')));
    return {
      passed: counts.numPassedTests,
      // A file that cannot even be loaded has no tests to count.
      failed:
        counts.numFailedTests === 0 && code !== 0
          ? Math.max(1, counts.numFailedTestSuites)
          : counts.numFailedTests,
      files: counts.testResults.map(({ name, startTime, endTime }) => ({
        name: path.relative('.', name),
        seconds: (endTime - startTime) / 1000,
      })),
    };
  } catch {
    return { passed: 0, failed: 1, files: [] };
  }
}

/** The browser's tests and all others at once, once what both need is there. */
async function testEverything(): Promise<Outcome[]> {
  await ensureInstalled(MARIADB);
  await ensureInstalled(CHROMIUM);
  const browser = test(['e2e'], 0);
  const others = test(
    PARTS.filter((part) => part !== 'e2e'),
    STEPS_BACK,
  );
  return [await browser, await others];
}

const outcomes = await step(
  `Testing ${words.length === 0 ? 'everything' : words.join(', ')}`,
  words.length === 0 ? testEverything : async () => [await test(parts, 0)],
);
rmSync(folder, { recursive: true, force: true });

const passed = outcomes.reduce((sum, outcome) => sum + outcome.passed, 0);
const failed = outcomes.reduce((sum, outcome) => sum + outcome.failed, 0);
if (words.length === 0) {
  const slowest = outcomes
    .flatMap(({ files }) => files)
    .sort((a, b) => b.seconds - a.seconds)
    .slice(0, SLOWEST);
  console.log('\nThe files that took longest:');
  for (const { name, seconds } of slowest) console.log(`  ${seconds.toFixed(0).padStart(4)} s  ${name}`);
}
console.log(`\n${String(passed)} passed, ${String(failed)} failed`);
process.exit(failed === 0 ? 0 : 1);
