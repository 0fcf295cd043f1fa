import { run } from './bootstrap.mjs';

await run('recording.ts');
