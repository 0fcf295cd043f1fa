import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { object, number } from 'yup';
import { step } from './lib/report.ts';

/**
 * Runs the tests: all of them, or the parts that are named (core, server, web, e2e), or the files whose path holds
 * one of the given words. What a part needs (database, browser, build) it sets up itself and takes down again.
 */
const PARTS = ['core', 'server', 'web', 'e2e'];
const words = process.argv.slice(2);
const parts = words.filter((word) => PARTS.includes(word));
const filters = words.filter((word) => !PARTS.includes(word));

const reportSchema = object({
  numPassedTests: number().required(),
  numFailedTests: number().required(),
  numFailedTestSuites: number().required(),
}).required();

const folder = mkdtempSync(path.join(tmpdir(), 'jolly-report-'));
const report = path.join(folder, 'report.json');

const code = await step(
  `Testing ${words.length === 0 ? 'everything' : words.join(', ')}`,
  () =>
    new Promise<number>((resolve) => {
      const vitest = spawn(
        process.execPath,
        [
          path.join('node_modules', 'vitest', 'vitest.mjs'),
          'run',
          ...parts.flatMap((part) => ['--project', part]),
          ...filters,
          '--reporter=dot',
          '--reporter=json',
          `--outputFile.json=${report}`,
        ],
        { stdio: 'inherit' },
      );
      vitest.on('error', () => resolve(1));
      vitest.on('exit', (status) => resolve(status ?? 1));
    }),
);

let passed = 0;
let failed = 0;
try {
  const counts = await reportSchema.validate(JSON.parse(readFileSync(report, 'utf8')));
  passed = counts.numPassedTests;
  // A file that cannot even be loaded has no tests to count.
  failed =
    counts.numFailedTests === 0 && code !== 0
      ? Math.max(1, counts.numFailedTestSuites)
      : counts.numFailedTests;
} catch {
  failed = 1;
}
rmSync(folder, { recursive: true, force: true });
console.log(`\n${String(passed)} passed, ${String(failed)} failed`);
process.exit(code === 0 && failed === 0 ? 0 : 1);
