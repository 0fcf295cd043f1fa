import { run } from './bootstrap.mjs';

await run('verify.ts');
