import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import { ELSEWHERE } from '../planning/order/movedBalls.ts';
import { potLines, potOptions } from '../planning/potOptions.ts';
import { executionErrorOf } from '../player/levels.ts';
import { BLANK_SHOT } from '../records/loggedShot.ts';
import { createRandom } from '../random/random.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { createAimer } from '../shot/aim.ts';
import { isOnTable } from '../shot/outcome.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { thrownTable } from '../testing/thrownTable.ts';
import { liesAfter } from './liesAfter.ts';
import { movedByShot, type WrittenPot } from './movedByShot.ts';

/** The easiest pot of a thrown table with some stroke, as it is written down, and the balls that it really moved. */
function playedOn(seed: number): { readonly pot: WrittenPot; readonly moved: readonly string[] } | undefined {
  const { cue, balls } = thrownTable(6, seed);
  const random = createRandom(seed);
  const ids = balls.map(({ id }) => id);
  const lines = potLines(POOL, balls, ids, acceptanceNear);
  const [best] = potOptions(POOL, cue, lines, balls, executionErrorOf('team', 'pool'));
  if (best === undefined) return undefined;
  const { object, pocket, acceptance } = best.line;
  const between = (low: number, high: number) => low + (high - low) * random.uniform();
  const stroke = {
    ball: cue.id,
    speed: between(1, 4),
    tip: { side: between(-0.3, 0.3), height: between(-0.35, 0.35) },
    elevation: 0,
  };
  const shot = createAimer(POOL, cue, object).shot([cue, ...balls], stroke, acceptance.middle);
  if (shot === undefined) return undefined;
  const { rest } = simulate(shot);
  const landing = rest.find(({ id }) => id === cue.id);
  const fell = rest.some((each) => each.id === object.id && each.pocket === pocket);
  if (!fell || landing === undefined || !isOnTable(landing)) return undefined;
  const moved = balls.flatMap((each) => {
    const at = rest.find(({ id }) => id === each.id);
    const stays = at !== undefined && isOnTable(at) && distance(at, each) <= ELSEWHERE;
    return each.id === object.id || stays ? [] : [each.id];
  });
  const { x, y } = landing;
  return { pot: { cue, balls, ball: object.id, pocket, landing: { x, y } }, moved };
}

describe('the balls that a pot has moved', () => {
  it('are told where no stroke comes there otherwise, and not where one does', () => {
    const cue = cueBall(0.9, 0.635);
    const near = ball('2', 0.7, 0.635);
    const pot = { cue, balls: [ball('1', 1.27, 0.9), near], ball: '1', pocket: null };
    // Somewhere on the table that no ball is near to, and off the table.
    expect(movedByShot(POOL, { ...pot, landing: { x: 1.6, y: 0.3 } })).not.toContain('2');
    expect(movedByShot(POOL, { ...pot, landing: { x: 50, y: 50 } })).toEqual([]);
  });

  it('of played pots are found every third time at least, and most that are named really moved', () => {
    let [named, right, really, told] = [0, 0, 0, 0];
    for (let seed = 1; seed <= 45; seed++) {
      const played = playedOn(seed);
      if (played === undefined) continue;
      told++;
      const ids = movedByShot(POOL, played.pot);
      named += ids.length;
      right += ids.filter((id) => played.moved.includes(id)).length;
      really += played.moved.length;
    }
    expect(told).toBeGreaterThan(30);
    expect(right / really).toBeGreaterThan(0.2);
    expect(right / named).toBeGreaterThan(0.5);
  });
});

it('balls lie where they were tapped last', () => {
  const balls = [ball('1', 1, 0.5), ball('2', 2, 0.5)];
  const to = (id: string, x: number) => ({ ...BLANK_SHOT, moved: [{ id, x, y: 0.3 }] });
  expect(liesAfter(balls, [BLANK_SHOT])).toEqual(balls);
  expect(liesAfter(balls, [to('2', 1.8), to('2', 1.6), to('1', 0.9)])).toMatchObject([
    { id: '1', x: 0.9, y: 0.3 },
    { id: '2', x: 1.6, y: 0.3 },
  ]);
});
