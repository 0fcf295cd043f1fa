import { run } from './bootstrap.mjs';

await run('truth.ts');
