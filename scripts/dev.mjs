import { run } from './bootstrap.mjs';

await run('dev.ts');
