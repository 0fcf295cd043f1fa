import { beforeEach, expect, it, vi } from 'vitest';
import { databaseInMemory } from '../../testing/device.ts';
import { asKept, dropPicture, keepPicture, keptPictures, marksKept } from './keptPictures.ts';
import { firstMarks } from './photoMarks.ts';

const { values, ...database } = databaseInMemory();
vi.mock('idb-keyval', () => ({
  get: (key: string) => database.get(key),
  set: (key: string, value: unknown) => database.set(key, value),
}));
beforeEach(() => values.clear());

const SIZE = { width: 1600, height: 1200 };
const MARKS = {
  ...firstMarks(SIZE),
  further: { 'spot head': { across: 3, down: 4 } },
  balls: [{ id: 'cue', pixel: { across: 800, down: 600 } }],
};

function picture(id: string, at: number) {
  const opened = {
    url: '',
    image: new Blob(['x'], { type: 'image/jpeg' }),
    size: SIZE,
    pixels: { ...SIZE, data: new Uint8ClampedArray() },
  };
  return asKept(opened, MARKS, { id, at, preset: 'pool-9ft' });
}

it('a picture comes back as it was marked, for whoever kept it and nobody else', async () => {
  await keepPicture('coach', picture('a', 1));
  const [kept, ...others] = await keptPictures('coach');
  if (kept === undefined) throw new Error('nothing is kept');
  expect(others).toEqual([]);
  expect(marksKept(kept)).toEqual(MARKS);
  expect(kept.image.type).toBe('image/jpeg');
  expect(await keptPictures('another')).toEqual([]);
});

it('a picture that is kept again takes its own place; of too many the oldest goes', async () => {
  for (let i = 0; i < 31; i++) await keepPicture('coach', picture(`p${String(i)}`, i));
  await keepPicture('coach', { ...picture('p30', 30), balls: [] });
  const ids = (await keptPictures('coach')).map(({ id }) => id);
  expect(ids).toHaveLength(30);
  expect(ids[0]).toBe('p30');
  expect(ids).not.toContain('p0');
  expect((await keptPictures('coach'))[0]?.balls).toEqual([]);
  await dropPicture('coach', 'p30');
  expect((await keptPictures('coach'))[0]?.id).toBe('p29');
});

it('what cannot be read is left out, and the others are kept', async () => {
  await database.set('pictures:coach', [{ id: 'damaged' }, picture('a', 1)]);
  expect((await keptPictures('coach')).map(({ id }) => id)).toEqual(['a']);
});
