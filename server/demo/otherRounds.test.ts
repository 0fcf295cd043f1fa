import { beforeAll, describe, expect, it } from 'vitest';
import type { DemoRound } from '../../core/records/demoRound.ts';
import type { Drill } from '../../core/records/drill.ts';
import { readLibrary } from '../drills/library.ts';
import { demoPlayer, readDemoRounds, roundHead, roundIn, roundsOf, type DemoCourse } from './otherRounds.ts';
import { DEMO_OTHER_ROUNDS, otherSeed } from './people.ts';
import { homeOf } from './tables.ts';

let shipped: readonly DemoRound[];
let library: readonly Drill[];

beforeAll(async () => {
  shipped = await readDemoRounds('levels');
  library = await readLibrary('library');
});

function courseOf(place: number): DemoCourse {
  const { drill, level } = DEMO_OTHER_ROUNDS[place] ?? { drill: '', level: 'team' };
  const document = library.find(({ slug }) => slug === drill);
  if (document === undefined) throw new Error(`there is no drill ${drill}`);
  return { document, card: homeOf({ document }).card, level };
}

describe('the demo’s rounds that ship', () => {
  it('are all there, of today’s drills, tables and physics', () => {
    const wanted = DEMO_OTHER_ROUNDS.flatMap(({ rounds }, place) =>
      Array.from({ length: rounds }, (_, k) =>
        roundIn(shipped, roundHead(courseOf(place), otherSeed(place, k))),
      ),
    );
    expect(wanted).not.toContain(undefined);
    expect(new Set(wanted).size).toBe(shipped.length);
  });

  it('are what virtual players play', () => {
    const place = DEMO_OTHER_ROUNDS.findIndex(({ drill }) => drill === 'frozen-pair');
    const seed = otherSeed(place, 1);
    const there = shipped.find((round) => round.drill === 'frozen-pair' && round.seed === seed);
    expect(demoPlayer(courseOf(place))(seed)).toEqual(there);
  });

  it('are played anew where the text is another one', () => {
    const place = DEMO_OTHER_ROUNDS.findIndex(({ drill }) => drill === 'frozen-pair');
    const course = courseOf(place);
    const other = { ...course, document: { ...course.document, purpose: 'Another text.' } };
    const seed = otherSeed(place, 0);
    const logs = roundsOf(other, shipped)(seed);
    expect(logs).toEqual(roundsOf(course, shipped)(seed));
    expect(shipped.some((round) => round.logs === logs)).toBe(false);
    expect(shipped.some((round) => round.logs === roundsOf(course, shipped)(seed))).toBe(true);
  });
});
