import { command } from './lib/command.ts';
import { leaveWith, step } from './lib/report.ts';

/** Types, lint with the boundaries between the folders, formatting, unused code: all must be clean. */
const CHECKS = [
  ['Types of core, without DOM and Node.js', 'tsc', ['-p', 'core']],
  ['Types of the tests of core', 'tsc', ['-p', 'core/tsconfig.test.json']],
  ['Types of the server', 'tsc', ['-p', 'server']],
  ['Types of the interface', 'tsc', ['-p', 'web']],
  ['Types of scripts, benchmarks and browser tests', 'tsc', ['-p', 'scripts']],
  ['Lint and boundaries', 'eslint', ['--max-warnings', '0', '.']],
  ['Format', 'prettier', ['--check', '--log-level', 'warn', '.']],
  ['Unused code', 'knip', []],
] as const;

try {
  for (const [what, tool, args] of CHECKS) {
    await step(what, () =>
      command('npx', ['--no-install', tool, ...args], { show: true, failure: `${what}: not clean.` }),
    );
  }
} catch (error) {
  leaveWith(error);
}
