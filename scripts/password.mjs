import { run } from './bootstrap.mjs';

await run('password.ts');
