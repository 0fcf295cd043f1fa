import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { drillSchema } from '../records/drill.ts';
import { DrillFileError, readDrillFile, writeDrillFile } from './drillFile.ts';

const FOLDER = path.resolve('library');
const texts = readdirSync(FOLDER).map((name) => readFileSync(path.join(FOLDER, name), 'utf8'));
const drills = texts.map((text) => drillSchema.validateSync(JSON.parse(text)));
const [first, second, third] = drills;
if (first === undefined || second === undefined || third === undefined) throw new Error('no library');

/** A set as somebody would write it by hand, with a wrong drill between two right ones. */
function setWith(wrong: object): string {
  return JSON.stringify(
    { format: 'jolly-rail/drills', version: 1, drills: [first, { ...second, ...wrong }, third] },
    null,
    1,
  );
}

function lineOf(text: string, words: string): number {
  return text.split('\n').findIndex((line) => line.includes(words)) + 1;
}

describe('a file of drills', () => {
  it.each(drills.map((drill) => [drill.slug, drill] as const))('gives %s back as it was', (_, drill) => {
    expect(readDrillFile(writeDrillFile([drill]))).toEqual([{ kind: 'read', drill }]);
  });

  it('gives a whole set back, in its order, and reads the files that ship', () => {
    expect(readDrillFile(writeDrillFile(drills))).toEqual(drills.map((drill) => ({ kind: 'read', drill })));
    expect(texts.flatMap(readDrillFile)).toEqual(drills.map((drill) => ({ kind: 'read', drill })));
  });

  it.each([
    ['a wrong word', { family: 'dancing' }, '"family": "dancing"', 'family must be one of'],
    ['a title left blank', { title: ' ' }, '"title": " "', 'title is missing'],
    ['a field that nobody knows', { colour: 'red' }, undefined, 'unknown field colour'],
  ])('with %s in one drill reads the others and names line and reason', (_, wrong, words, reason) => {
    const text = setWith(wrong);
    const [one, refused, three] = readDrillFile(text);
    expect([one?.kind, three?.kind]).toEqual(['read', 'read']);
    if (refused?.kind !== 'refused') throw new Error('was read');
    expect(refused.reason).toContain(reason);
    if (words !== undefined) expect(refused.line).toBe(lineOf(text, words));
    expect(refused.title).toBe(words?.includes('title') ? 'drill 2' : second.title);
  });

  it('names the line deep inside of a drill, and of the part where something is missing', () => {
    const stages = [{ ...first.stages[0], title: 'Stage x', bands: [{ chance: 7, points: 1 }] }];
    const text = writeDrillFile([{ ...first, stages }] as unknown as (typeof drills)[number][]);
    const [refused] = readDrillFile(text);
    expect(refused).toMatchObject({ kind: 'refused', line: lineOf(text, '"chance": 7') });
    const incomplete = JSON.stringify({ ...first, purpose: undefined }, null, 1);
    expect(readDrillFile(incomplete)[0]).toMatchObject({ kind: 'refused', line: 1 });
  });

  it.each([
    ['', 'line 1'],
    ['{\n"format": "jolly-rail/drill",\n', 'line 3'],
    ['{\n"format": "jolly-rail/drill"\n"version": 2}', 'line 3'],
    ['{\n\n"format": "else"}', 'line 3: format must be'],
    ['[]', 'line 1: format must be'],
    ['{"format": "jolly-rail/drills",\n"version": 9, "drills": []}', 'line 2: version must be 1'],
    ['{"format": "jolly-rail/drills", "version": 1,\n"drills": 7}', 'line 2: drills must be a list'],
  ])('that is none is refused: %j', (text, said) => {
    expect(() => readDrillFile(text)).toThrow(DrillFileError);
    expect(() => readDrillFile(text)).toThrow(said);
  });
});
