import { readFileSync } from 'node:fs';
import { afterEach, expect, it, vi } from 'vitest';
import { DrillFileError, writeDrillFile } from '../../core/formats/drillFile.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { importDrills } from './drillFiles.ts';

const fetching = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetching);
afterEach(() => fetching.mockReset());

const drillOf = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
const taken = (outcome: string, slug: string) =>
  fetching.mockResolvedValueOnce(new Response(JSON.stringify({ outcome, slug, revision: 1 })));
const refused = (message: string) =>
  fetching.mockResolvedValueOnce(
    new Response(JSON.stringify({ error: { message, field: null } }), { status: 400 }),
  );

it('a set is taken in drill by drill; one that the server refuses leaves the others alone', async () => {
  taken('added', 'harbour-turn');
  refused('a ball lies off the table');
  taken('already here', 'frozen-pair');
  const text = writeDrillFile(['harbour-turn', 'far-shores', 'frozen-pair'].map(drillOf));
  expect(await importDrills(text)).toEqual([
    { title: 'Harbour turn', slug: 'harbour-turn', ok: true, words: 'added' },
    { title: 'Far shores', ok: false, words: 'a ball lies off the table' },
    { title: 'Pair in line', slug: 'frozen-pair', ok: true, words: 'is here already, word for word' },
  ]);
});

it('without the server nothing is called taken in', async () => {
  fetching.mockRejectedValue(new TypeError('failed to fetch'));
  expect(await importDrills(writeDrillFile([drillOf('frozen-pair')]))).toEqual([
    { title: 'Pair in line', ok: false, words: 'the server cannot be reached' },
  ]);
});

it('a bad drill of a set is told with its line, and is not sent', async () => {
  taken('added', 'frozen-pair');
  const good = drillOf('frozen-pair');
  const text = writeDrillFile([{ ...drillOf('far-shores'), minutes: -3 }, good]);
  const [bad, other] = await importDrills(text);
  expect(bad).toMatchObject({ title: 'Far shores', ok: false });
  const line = Number(/^line (\d+): /.exec(bad?.words ?? '')?.[1]);
  expect(text.split('\n')[line - 1]).toContain('-3');
  expect(other).toMatchObject({ ok: true });
  expect(fetching).toHaveBeenCalledTimes(1);
});

it('a file without drills is no drill file', async () => {
  await expect(importDrills('{"format":"jolly-rail/club"}')).rejects.toBeInstanceOf(DrillFileError);
});
