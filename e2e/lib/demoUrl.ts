import { inject } from 'vitest';

/** Where the demo club of this worker is served: what runs beside it plays in another one. */
export function demoUrl(): string {
  const worker = Number(process.env['VITEST_POOL_ID']);
  const url = inject('demoUrls')[worker - 1];
  if (url === undefined) throw new Error(`no demo club is served for worker ${worker}`);
  return url;
}
