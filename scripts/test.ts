import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { array, number, object, string } from 'yup';
import { step } from './lib/report.ts';

/**
 * Runs the tests: all of them, or the parts that are named (core, truth, server, web, e2e), or the files whose path holds
 * one of the given words. What a part needs (database, browser, build) it sets up itself and takes down again.
 */
const PARTS = ['core', 'truth', 'server', 'web', 'e2e'];
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

async function test(): Promise<Outcome> {
  const report = path.join(folder, 'report.json');
  const code = await new Promise<number>((resolve) => {
    const vitest = spawn(
      process.execPath,
      [
        path.join('node_modules', 'vitest', 'vitest.mjs'),
        'run',
        ...parts.flatMap((part) => ['--project', `${part}*`]),
        ...filters,
        '--reporter=dot',
        '--reporter=./scripts/lib/failureReporter.ts',
        '--reporter=json',
        `--outputFile.json=${report}`,
      ],
      { stdio: 'inherit' },
    );
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

const { passed, failed, files } = await step(
  `Testing ${words.length === 0 ? 'everything' : words.join(', ')}`,
  test,
);
rmSync(folder, { recursive: true, force: true });

if (words.length === 0) {
  const slowest = [...files].sort((a, b) => b.seconds - a.seconds).slice(0, SLOWEST);
  console.log('\nThe files that took longest:');
  for (const { name, seconds } of slowest) console.log(`  ${seconds.toFixed(0).padStart(4)} s  ${name}`);
}
console.log(`\n${String(passed)} passed, ${String(failed)} failed`);
process.exit(failed === 0 ? 0 : 1);
