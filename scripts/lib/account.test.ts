import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { othersCanReach } from './account.ts';

let root: string;
beforeEach(() => {
  root = mkdtempSync(path.join(tmpdir(), 'jolly-reach-'));
  chmodSync(root, 0o755);
});
afterEach(() => rmSync(root, { recursive: true, force: true }));

it('a folder can be reached when every folder above it lets others pass, whatever its own rights', () => {
  const data = path.join(root, 'a', 'data');
  mkdirSync(data, { recursive: true, mode: 0o755 });
  chmodSync(data, 0o700);
  expect(othersCanReach(data)).toBe(true);
});

it('one closed folder on the way is enough', () => {
  mkdirSync(path.join(root, 'home', 'data'), { recursive: true, mode: 0o755 });
  chmodSync(path.join(root, 'home'), 0o700);
  expect(othersCanReach(path.join(root, 'home', 'data'))).toBe(false);
  // Reading a folder's list is not passing it.
  chmodSync(path.join(root, 'home'), 0o744);
  expect(othersCanReach(path.join(root, 'home', 'data'))).toBe(false);
});

it('folders that are not made yet are made to be passed', () => {
  expect(othersCanReach(path.join(root, 'not', 'there', 'yet'))).toBe(true);
});
