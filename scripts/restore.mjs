import { run } from './bootstrap.mjs';

await run('restore.ts');
