import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { helpFor } from './pageHelp.ts';

it('every page under the rail has its help, and its own', () => {
  const router = readFileSync('web/router.tsx', 'utf8');
  const shell = router.slice(router.indexOf('element: <Shell />'));
  const paths = [...shell.matchAll(/path: '(\/[^']*)'/g)].flatMap(([, path]) => path ?? []);
  expect(paths.length).toBeGreaterThan(20);
  const titles = paths.map((path) => helpFor(path.replaceAll(/:\w+/g, '123'))?.title);
  expect(titles).not.toContain(undefined);
  // Only the two ways into the designer share theirs; the kick's crib card is a part of the kick bench.
  expect(helpFor('/drills/harbour-turn')?.title).not.toBe(helpFor('/drills/new')?.title);
  expect(helpFor('/lesson/round')?.title).toBe('Start a round');
  expect(helpFor('/nowhere')).toBeUndefined();
});
