import { run } from './bootstrap.mjs';

await run('kicks.ts');
