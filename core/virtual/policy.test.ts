import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import type { ShotEvent, ShotResult } from '../motion/shot.ts';
import { potLines } from '../planning/potOptions.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { clothLinesOf } from '../table/markings.ts';
import type { PocketName } from '../table/pockets.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { brokenConditions, choosePot, type PotSituation } from './choosePot.ts';
import { placeInHand } from './cueBallPlace.ts';
import { bestLeft } from '../planning/safety/leave.ts';
import { leaveGrade } from '../counting/leaveGrade.ts';
import type { VirtualPlayer } from './player.ts';

const playerAt = (table = POOL): VirtualPlayer => ({
  table,
  error: executionErrorOf('match', table.preset.game),
  random: createRandom(2),
});

describe('the conditions of a drill', () => {
  const hit: ShotEvent = { t: 0.2, kind: 'ball-ball', ids: ['cue', '1'] };
  const rail: ShotEvent = { t: 0.5, kind: 'ball-cushion', id: 'cue', cushion: 'foot' };
  const second: ShotEvent = { t: 0.6, kind: 'ball-ball', ids: ['5', 'cue'] };
  const result = (events: readonly ShotEvent[], pocket: PocketName | null = 'foot-left'): ShotResult => ({
    rest: [
      { id: 'cue', x: 1, y: 1, pocket: null, offTable: false },
      { id: '1', x: 0, y: 0, pocket, offTable: false },
    ],
    events,
    duration: 1,
    complete: true,
  });
  const meant = { cue: 'cue', object: '1', pocket: 'foot-left', lastPocket: 'head-left' } as const;

  it.each([
    ['no cushion', [hit], [hit, rail]],
    ['at least one cushion', [hit, rail], [hit]],
    ['no second ball', [hit, rail], [hit, second]],
    ['no plants or doubles', [hit], [hit, second]],
  ] as const)('"%s" is kept or broken by what the cue ball meets', (condition, kept, broken) => {
    expect(brokenConditions([condition], result(kept), meant)).toEqual([]);
    expect(brokenConditions([condition], result(broken), meant)).toEqual([condition]);
  });

  it('ask for the pocket that was named, and for another than the last', () => {
    const both = ['nominated pocket', 'alternating pockets'] as const;
    expect(brokenConditions(both, result([hit]), meant)).toEqual([]);
    expect(brokenConditions(both, result([hit], 'foot-right'), meant)).toEqual(['nominated pocket']);
    const back = { ...meant, pocket: 'head-left' } as const;
    expect(brokenConditions(both, result([hit], 'head-left'), back)).toEqual(['alternating pockets']);
    // A ball that stays up has broken neither.
    expect(brokenConditions(both, result([hit], null), meant)).toEqual([]);
  });

  it('that only the player can know are not held against the shot', () => {
    expect(
      brokenConditions(['no side', 'no rest', 'direct hit'], result([hit, rail, second]), meant),
    ).toEqual([]);
  });
});

describe('the choice of the next ball', () => {
  const situation = (over: Partial<PotSituation> = {}): PotSituation => {
    const cue = cueBall(1.5, 0.6);
    return {
      balls: [cue, ball('1', 2.1, 0.95), ball('2', 0.4, 0.3), ball('3', 1.2, 1.1)],
      cue,
      legal: ['1', '2', '3'],
      legalAfter: (potted) => ['1', '2', '3'].filter((id) => id !== potted),
      conditions: [],
      lastPocket: undefined,
      ...over,
    };
  };

  it('falls on a legal ball, by a stroke that pots it as planned', () => {
    for (const legal of [['1'], ['2'], ['1', '2', '3']]) {
      const chosen = choosePot(playerAt(), situation({ legal }))!;
      expect(legal).toContain(chosen.ball);
      const { rest } = simulate(chosen.shot);
      expect(rest.find(({ id }) => id === chosen.ball)!.pocket).toBe(chosen.pocket);
      expect(rest[0]!.pocket).toBeNull();
    }
  });

  it('keeps to the conditions: no cushion touched, another pocket than the last', () => {
    const without = choosePot(playerAt(), situation({ legal: ['1'], conditions: ['no cushion'] }))!;
    const { events } = simulate(without.shot);
    expect(events.some((event) => event.kind === 'ball-cushion' && event.id === 'cue')).toBe(false);
    const first = choosePot(playerAt(), situation({ legal: ['1'] }))!;
    const other = choosePot(
      playerAt(),
      situation({ legal: ['1'], conditions: ['alternating pockets'], lastPocket: first.pocket }),
    );
    expect(other?.pocket).not.toBe(first.pocket);
  });

  it('is none where every ball is hidden', () => {
    const cue = cueBall(0.1, 0.1);
    const ring = [0, 0.55, 1.1, 1.57].map((angle, i) =>
      ball(String(5 + i), cue.x + 0.075 * Math.cos(angle), cue.y + 0.075 * Math.sin(angle)),
    );
    const hidden = situation({ cue, balls: [cue, ball('1', 2.1, 0.95), ...ring], legal: ['1'] });
    expect(choosePot(playerAt(), hidden)).toBeUndefined();
  });
});

describe('a cue ball in hand', () => {
  const objects = [ball('1', 2.1, 0.95), ball('2', 0.5, 0.4)];

  it('is put where a ball is well on, free of the others', () => {
    const lines = potLines(POOL, objects, ['1'], acceptanceNear);
    const place = placeInHand(playerAt(), { start: 'in hand', area: null }, objects, lines);
    for (const each of objects) expect(distance(place, each)).toBeGreaterThan(2 * POOL.preset.ballRadius);
    expect(bestLeft(playerAt().table, playerAt().error, place, objects, '1')).toBeGreaterThan(0.8);
  });

  it('stays behind the line, in the D, or in the area of the drill', () => {
    const behind = { start: 'in hand behind the line', area: null } as const;
    const red = [ball('red', 2.5, 0.9, SNOOKER)];
    const { acrossAt, dRadius } = clothLinesOf(SNOOKER.preset);
    const inD = placeInHand(playerAt(SNOOKER), behind, red, potLines(SNOOKER, red, ['red'], acceptanceNear));
    expect(distance(inD, { x: acrossAt, y: SNOOKER.width / 2 })).toBeLessThanOrEqual(dRadius!);
    expect(inD.x).toBeLessThanOrEqual(acrossAt);
    expect(placeInHand(playerAt(), behind, objects, []).x).toBeLessThanOrEqual(
      clothLinesOf(POOL.preset).acrossAt,
    );
    const area = { from: { along: 0.5, across: 0.5 }, to: { along: 0.6, across: 0.7 } };
    const inArea = placeInHand(playerAt(), { start: 'in the area', area }, objects, []);
    expect(inArea.x / POOL.length).toBeGreaterThanOrEqual(0.5);
    expect(inArea.x / POOL.length).toBeLessThanOrEqual(0.6);
    expect(inArea.y / POOL.width).toBeLessThanOrEqual(0.7);
  });
});

describe('a leave', () => {
  it('is graded by the opponent’s best chance', () => {
    expect([0, 0.24, 0.25, 0.59, 0.6, 1].map(leaveGrade)).toEqual([
      'nothing on',
      'nothing on',
      'half a chance',
      'half a chance',
      'wide open',
      'wide open',
    ]);
  });

  it('counts the ball that is on, or any red where a red is', () => {
    const player = playerAt(SNOOKER);
    const cue = cueBall(2.6, 0.9, SNOOKER);
    const hanging = ball('red 2', 3.42, 1.65, SNOOKER);
    const far = ball('red', 0.3, 0.9, SNOOKER);
    const black = ball('black', 3.2, 1.3, SNOOKER);
    const objects = [hanging, far, black];
    expect(bestLeft(player.table, player.error, cue, objects, 'red')).toBe(
      bestLeft(player.table, player.error, cue, objects, 'red 2'),
    );
    expect(bestLeft(player.table, player.error, cue, objects, 'red')).toBeGreaterThan(0.9);
    expect(bestLeft(player.table, player.error, cue, objects, 'blue')).toBe(0);
  });
});
