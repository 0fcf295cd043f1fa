import { run } from './bootstrap.mjs';

await run('speed.ts');
