import type { TestApp } from './club.ts';

/** All routes of the router, "GET /api/me". */
export function routesOf({ app }: TestApp): readonly string[] {
  const all = app.routes
    .filter((route) => route.method !== 'ALL')
    .map((route) => `${route.method} ${route.path}`);
  return [...new Set(all)].sort();
}
