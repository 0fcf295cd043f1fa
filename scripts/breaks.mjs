import { run } from './bootstrap.mjs';

await run('breaks.ts');
