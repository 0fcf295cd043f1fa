import { run } from './bootstrap.mjs';

await run('benchmarks.ts');
