import type { Reporter, TestCase, TestModule } from 'vitest/node';

/** Names a failed test at the moment it fails, so that a run which is broken off has said what it knew. */
export default class FailureReporter implements Reporter {
  onTestCaseResult(test: TestCase): void {
    if (test.result().state !== 'failed') return;
    console.log(`\nfailed: ${test.module.relativeModuleId} > ${test.fullName}`);
  }

  onTestModuleEnd(module: TestModule): void {
    for (const error of module.errors())
      console.log(`\nfailed: ${module.relativeModuleId}: ${error.message}`);
  }
}
