import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countBallsMade } from '../counting/ballsMade.ts';
import { breakMaximum } from '../counting/breakPoints.ts';
import { drillSchema, type Drill, type Order } from '../records/drill.ts';
import { outcomeOf, roundProgress, type AttemptOutcome } from './round.ts';
import {
  asksNomination,
  beginAttempt,
  clearanceRules,
  playShot,
  type Attempt,
  type PlayedShot,
} from './rules.ts';
import { atStage } from './stage.ts';

function clearance(order: Order, balls: readonly string[], change: Record<string, unknown> = {}): Drill {
  return drillSchema.validateSync({
    format: 'jolly-rail/drill',
    version: 2,
    slug: 'test',
    title: 'Test',
    family: 'order',
    skills: ['run-out'],
    table: 'pool-9ft',
    purpose: 'Clear the table.',
    balls: [
      { id: 'cue', at: { share: { along: 0.2, across: 0.5 } } },
      ...balls.map((id, i) => ({ id, at: { share: { along: 0.3 + 0.025 * i, across: 0.4 } } })),
    ],
    task: { kind: 'clear', order },
    scoring: { method: 'balls-made', trials: 3 },
    stages: [{ title: 'All' }],
    ...change,
  });
}

/** "3" pots the 3, "3+5" both, "-" misses, "!" is an in-off, "3!" pots the 3 and goes in-off, "x" breaks a condition. */
function shot(text: string): PlayedShot {
  const inOff = text.includes('!');
  const potted = text.replace('!', '').replace('x', '').replace('-', '');
  return {
    potted: potted === '' ? [] : potted.split('+'),
    inOff,
    broken: text.includes('x') ? ['no cushion'] : [],
  };
}

function play(drill: Drill, balls: readonly string[], shots: string): Attempt {
  const rules = clearanceRules(drill);
  return shots
    .split(' ')
    .filter((each) => each !== '')
    .reduce((attempt, each) => playShot(rules, attempt, shot(each)), beginAttempt(rules, balls));
}

const NUMBERS = ['1', '2', '3', '4', '5'];

describe('what may be potted next', () => {
  it('in rotation is the lowest, and what falls beside it stays down', () => {
    const drill = clearance({ kind: 'rotation' }, NUMBERS);
    expect(play(drill, NUMBERS, '').legal).toEqual(['1']);
    expect(play(drill, NUMBERS, '1+3').legal).toEqual(['2']);
    expect(play(drill, NUMBERS, '1+3 2').legal).toEqual(['4']);
    expect(play(drill, NUMBERS, '1+3 2 4 5')).toMatchObject({ over: 'cleared', made: 5, shots: 4 });
    expect(play(drill, NUMBERS, '2')).toMatchObject({ over: 'wrong ball', made: 0 });
  });

  it('in a list is the next one of it, in groups any of the first group that is left', () => {
    const listed = clearance({ kind: 'listed', balls: ['5', '1', '3', '2', '4'] }, NUMBERS);
    expect(play(listed, NUMBERS, '5 1').legal).toEqual(['3']);
    expect(play(listed, NUMBERS, '5+2').over).toBe('wrong ball');
    const groups = clearance(
      {
        kind: 'groups',
        groups: [
          ['4', '5'],
          ['1', '2', '3'],
        ],
      },
      NUMBERS,
    );
    expect(play(groups, NUMBERS, '').legal).toEqual(['4', '5']);
    expect(play(groups, NUMBERS, '5').legal).toEqual(['4']);
    expect(play(groups, NUMBERS, '5 4').legal).toEqual(['1', '2', '3']);
  });

  it('of two suits is the one that was taken, then the last ball', () => {
    const balls = ['1', '2', '9', '10', '8'];
    const suits = [
      ['1', '2'],
      ['9', '10'],
    ];
    const one = clearance({ kind: 'suits', suits, last: '8', both: false }, balls);
    expect(play(one, balls, '').legal).toEqual(['1', '2', '9', '10']);
    expect(play(one, balls, '9').legal).toEqual(['10']);
    expect(play(one, balls, '9 10').legal).toEqual(['8']);
    expect(play(one, balls, '9 8').over).toBe('wrong ball');
    // The other suit lies there still, and nothing of it is on.
    expect(play(one, balls, '9 10 8')).toMatchObject({ over: 'cleared', onTable: ['1', '2'], legal: [] });
    const both = clearance({ kind: 'suits', suits, last: '8', both: true }, balls);
    expect(play(both, balls, '9 10').legal).toEqual(['1', '2']);
    expect(play(both, balls, '9 10 2 1').legal).toEqual(['8']);
    expect(play(both, balls, '9 10 2 1 8').over).toBe('cleared');
  });

  it('is the money ball after every other, respotted until nothing else is left', () => {
    const balls = ['1', '2', '9'];
    const drill = clearance({ kind: 'money ball', ball: '9' }, balls);
    expect(play(drill, balls, '').legal).toEqual(['1', '2']);
    expect(play(drill, balls, '2')).toMatchObject({ legal: ['9'] });
    expect(play(drill, balls, '2 9')).toMatchObject({ legal: ['1'], respot: ['9'], onTable: ['1', '9'] });
    expect(play(drill, balls, '2 9 1 9')).toMatchObject({ over: 'cleared', made: 4, respot: [] });
    expect(play(drill, balls, '9').over).toBe('wrong ball');
  });

  it('alternates red and colour, the colours back on their spots, then the colours by value', () => {
    const balls = ['red 1', 'red 2', 'yellow', 'green', 'brown', 'blue', 'pink', 'black'];
    const drill = clearance({ kind: 'red and colour' }, balls, {
      table: 'snooker-12ft',
      scoring: { method: 'break-points', visits: 3 },
    });
    expect(play(drill, balls, '').legal).toEqual(['red 1', 'red 2']);
    // No spaces inside names here: reds are written without theirs.
    const rules = clearanceRules(drill);
    const after = (...ids: string[][]) =>
      ids.reduce(
        (attempt, potted) => playShot(rules, attempt, { potted, inOff: false, broken: [] }),
        beginAttempt(rules, balls),
      );
    const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'];
    expect(after(['red 1']).legal).toEqual(colours);
    expect(after(['red 1'], ['black'])).toMatchObject({ respot: ['black'], legal: ['red 2'], points: 8 });
    expect(after(['red 1'], ['black'], ['red 2'], ['blue'])).toMatchObject({
      respot: ['blue'],
      legal: ['yellow'],
      points: 14,
    });
    const total = after(['red 1'], ['black'], ['red 2'], ['black'], ...colours.map((id) => [id]));
    expect(total).toMatchObject({ over: 'cleared', points: breakMaximum(2) });
    expect(after(['red 1', 'red 2']).points).toBe(2);
    // A colour where a red was to be potted: seven away, the black comes back and does not count.
    expect(after(['black'])).toMatchObject({ over: 'wrong ball', points: 0, penalty: 7, respot: ['black'] });
    expect(after(['red 1'], ['pink', 'blue'])).toMatchObject({ over: 'wrong ball', points: 1, penalty: 6 });
  });

  it('an in-off while every colour is on costs by the one that was nominated, at least four', () => {
    // Listed with the black first: it is not on because it is listed.
    const reversed = ['black', 'pink', 'blue', 'brown', 'green', 'yellow'];
    const rules = clearanceRules(clearance({ kind: 'red and colour' }, ['red 1', 'red 2', ...reversed]));
    const begun = beginAttempt(rules, ['red 1', 'red 2', ...reversed]);
    const foul = (ball: string | null, potted: readonly string[] = []) =>
      playShot(rules, playShot(rules, begun, { potted: ['red 1'], inOff: false, broken: [] }), {
        ball,
        potted,
        inOff: true,
        broken: [],
      }).penalty;
    expect(foul(null)).toBe(4);
    expect(foul('yellow')).toBe(4);
    expect(foul('blue')).toBe(5);
    expect(foul('black')).toBe(7);
    // A ball that fell is involved, too; a ball that is not on was not nominated.
    expect(foul('green', ['pink'])).toBe(6);
    expect(foul('red 2')).toBe(4);
    // Where one ball alone is on there is nothing to name.
    expect(asksNomination(rules, begun)).toBe(false);
    expect(
      asksNomination(rules, playShot(rules, begun, { potted: ['red 1'], inOff: false, broken: [] })),
    ).toBe(true);
  });
});

describe('a fault', () => {
  it('ends the attempt and what it potted does not count', () => {
    const drill = clearance({ kind: 'any' }, NUMBERS);
    expect(play(drill, NUMBERS, '2 4 3!')).toMatchObject({ over: 'in-off', made: 2, legal: [] });
    expect(play(drill, NUMBERS, '2 -')).toMatchObject({ over: 'missed', made: 1 });
    expect(play(drill, NUMBERS, '2x')).toMatchObject({ over: 'condition broken', made: 0 });
  });

  it('is only noted where the drill says so, and the cue ball goes where it says', () => {
    const faults = { missed: 'only noted', 'condition broken': 'only noted' };
    const repaired = (repair: string) => clearance({ kind: 'any' }, NUMBERS, { faults, repair });
    expect(play(repaired('ball in hand'), NUMBERS, '2 -')).toMatchObject({
      over: undefined,
      cueBall: 'in hand',
      faults: [{ shot: 2, fault: 'missed' }],
    });
    expect(play(repaired('cue ball back'), NUMBERS, '-').cueBall).toBe('where it was planned');
    expect(play(repaired('play on'), NUMBERS, '- 1 2x')).toMatchObject({
      made: 1,
      onTable: ['3', '4', '5'],
      cueBall: 'where it stopped',
    });
    expect(play(repaired('play on'), NUMBERS, '1!').over).toBe('in-off');
  });

  it('after the end, or with a ball that is not there, is refused', () => {
    const drill = clearance({ kind: 'any' }, NUMBERS);
    expect(() => play(drill, NUMBERS, '- 1')).toThrow(RangeError);
    expect(() => play(drill, NUMBERS, '1 1')).toThrow('ball 1 is not on the table');
  });
});

describe('undone and redone', () => {
  it('in any sequence the attempt is the same as played straight', () => {
    const drill = clearance({ kind: 'money ball', ball: '5' }, NUMBERS, {
      faults: { missed: 'only noted', 'wrong ball': 'only noted', 'in-off': 'only noted' },
      repair: 'ball in hand',
    });
    const rules = clearanceRules(drill);
    const step = fc.oneof(
      fc.record({
        kind: fc.constant('shot' as const),
        ball: fc.constantFrom(...NUMBERS),
        inOff: fc.boolean(),
      }),
      fc.record({ kind: fc.constantFrom('undo' as const, 'redo' as const) }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        let past: Attempt[] = [beginAttempt(rules, NUMBERS)];
        let future: Attempt[] = [];
        let kept: PlayedShot[] = [];
        let undone: PlayedShot[] = [];
        for (const each of steps) {
          const now = past.at(-1)!;
          if (each.kind === 'shot') {
            if (now.over !== undefined) continue;
            const potted = now.onTable.includes(each.ball) ? [each.ball] : [];
            const played = { potted, inOff: each.inOff, broken: [] };
            past = [...past, playShot(rules, now, played)];
            kept = [...kept, played];
            future = [];
            undone = [];
          } else if (each.kind === 'undo' && past.length > 1) {
            future = [now, ...future];
            undone = [kept.at(-1)!, ...undone];
            past = past.slice(0, -1);
            kept = kept.slice(0, -1);
          } else if (each.kind === 'redo' && future.length > 0) {
            past = [...past, future[0]!];
            kept = [...kept, undone[0]!];
            future = future.slice(1);
            undone = undone.slice(1);
          }
        }
        const straight = kept.reduce((a, s) => playShot(rules, a, s), beginAttempt(rules, NUMBERS));
        expect(past.at(-1)).toEqual(straight);
        // No ball is made out of nothing, or lost: on the table, or down.
        expect(new Set(straight.onTable).size).toBe(straight.onTable.length);
        if (straight.over === undefined) expect(straight.legal.length).toBeGreaterThan(0);
      }),
      { seed: 21, numRuns: 300 },
    );
  });
});

describe('a quick and a full log', () => {
  it('give the same score: balls made, tries, ladders', () => {
    const logs = ['1 2 -', '1 2 3 4 5', '2!', '3 4 5 1 2', '-'];
    const methods = [
      { method: 'balls-made', trials: 5 },
      { method: 'attempts-to-clear', giveUpAfter: 5 },
      { method: 'ladder-by-racks', rungs: [2, 3, 5], wins: 1, of: 2 },
      { method: 'ladder-by-single', start: 2, lowest: 1, top: 5, onMiss: 'down one', attempts: 5 },
      { method: 'clear-or-restart', layouts: [3, 5], attempts: 5 },
      { method: 'success-rate', attempts: 5 },
      { method: 'streak', attempts: 5 },
    ];
    for (const scoring of methods) {
      const drill = clearance({ kind: 'any' }, NUMBERS, { scoring });
      const full = logs.map((log) => outcomeOf(play(drill, NUMBERS, log)));
      // What a coach would enter who only watched how each attempt ended.
      const quick: AttemptOutcome[] = [
        { done: false, balls: 2 },
        { done: true, balls: 5 },
        { done: false, balls: 0 },
        { done: true, balls: 5 },
        { done: false, balls: 0 },
      ];
      expect(roundProgress(drill, 1, full)).toEqual(roundProgress(drill, 1, quick));
    }
  });

  it('of balls made by hand: 2 + 5 + 0 of three trials', () => {
    const drill = clearance({ kind: 'any' }, NUMBERS);
    const full = ['1 2 -', '1 2 3 4 5', '2!'].map((log) => outcomeOf(play(drill, NUMBERS, log)));
    expect(roundProgress(drill, 1, full).result).toEqual(
      countBallsMade([{ balls: 2 }, { balls: 5 }, { balls: 0 }], { trials: 3, balls: 5 }),
    );
    expect(roundProgress(drill, 1, full).result.value).toBe(7);
  });
});

describe('a round', () => {
  it('says what is set for the next attempt: the rung’s balls, or the targets that are left', () => {
    const ladder = clearance({ kind: 'any' }, NUMBERS, {
      scoring: { method: 'ladder-by-racks', rungs: [2, 3, 5], wins: 2, of: 3 },
    });
    const done = { done: true, balls: 2 };
    expect(roundProgress(ladder, 1, []).balls).toBe(2);
    expect(roundProgress(ladder, 1, [done, done]).balls).toBe(3);
    expect(roundProgress(ladder, 1, [done], 1).balls).toBe(3);
    const lives = clearance({ kind: 'any' }, NUMBERS, { scoring: { method: 'lives', lives: 3 } });
    const tries = [
      { done: true, target: '2' },
      { done: false, target: '4' },
    ];
    expect(roundProgress(lives, 1, tries)).toMatchObject({
      targets: ['1', '3', '4', '5'],
      result: { value: 1 },
    });
  });

  it('refuses an attempt that lacks what its method counts', () => {
    const lives = clearance({ kind: 'any' }, NUMBERS, { scoring: { method: 'lives', lives: 3 } });
    expect(() => roundProgress(lives, 1, [{ done: true }])).toThrow('an attempt lacks its target');
  });

  it('at a stage has the stage’s balls, conditions and count', () => {
    const drill = clearance({ kind: 'any' }, NUMBERS, {
      conditions: ['no side'],
      stages: [
        { title: 'Three', without: ['4', '5'], scoring: { method: 'balls-made', trials: 2 } },
        { title: 'All', conditions: ['no cushion'] },
      ],
    });
    const three = atStage(drill, 1);
    expect(three.balls.map((ball) => ball.id)).toEqual(['cue', '1', '2', '3']);
    expect(roundProgress(three, 1, []).result.maximum).toBe(6);
    expect(atStage(drill, 2).conditions).toEqual(['no cushion', 'no side']);
    expect(roundProgress(atStage(drill, 2), 2, []).result.maximum).toBe(15);
    expect(() => atStage(drill, 3)).toThrow(RangeError);
  });
});
