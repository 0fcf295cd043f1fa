import { expect, it } from 'vitest';
import { inLanes } from './lanes.ts';

it('does each thing once and in its place, and never more at a time than there are lanes', async () => {
  let [now, most] = [0, 0];
  const things = Array.from({ length: 20 }, (_, i) => i);
  const done = await inLanes(things, 3, async (thing) => {
    most = Math.max(most, ++now);
    // The later ones are quicker: they overtake, and stand in their place all the same.
    for (let k = 0; k < 20 - thing; k++) await Promise.resolve();
    now--;
    return thing * thing;
  });
  expect(done).toEqual(things.map((thing) => thing * thing));
  expect(most).toBe(3);
});

it('is done with nothing at once, and fails with whoever fails', async () => {
  expect(await inLanes([], 3, () => Promise.reject(new Error('never')))).toEqual([]);
  await expect(inLanes([1, 2], 2, () => Promise.reject(new Error('one')))).rejects.toThrow('one');
});
