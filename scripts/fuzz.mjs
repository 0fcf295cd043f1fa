import { run } from './bootstrap.mjs';

await run('fuzz.ts');
