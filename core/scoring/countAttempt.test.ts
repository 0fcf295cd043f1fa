import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ballsOfAttempt, objectBalls, roundProgress, type AttemptOutcome } from '../drill/round.ts';
import { atStage } from '../drill/stage.ts';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import { logOf } from '../records/attempt.ts';
import { NOTHING_ENTERED } from '../records/entered.ts';
import { drillSchema, type Drill } from '../records/drill.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { countAttempt, replayClearance, UncountableError, type Counting } from './countAttempt.ts';

const LIBRARY: readonly Drill[] = readdirSync('library').map((name) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${name}`, 'utf8'))),
);

function countingOf(slug: string, stage = 1): Counting {
  const drill = LIBRARY.find((each) => each.slug === slug);
  if (drill === undefined) throw new Error(slug);
  return { drill: atStage(drill, stage), stage, preset: TABLE_PRESETS[drill.table], plan: undefined };
}

const shot = (about: Partial<LoggedShot>): LoggedShot => ({ ...BLANK_SHOT, ...about });
const potted = (...balls: string[]) => shot({ potted: balls });

describe('an attempt at a clearance', () => {
  it('shot by shot is what the rules make of it: worked at a table of reds and colours', () => {
    // Red, black, red, pink, red, then a colour missed: 1 + 7 + 1 + 6 + 1 = 16, five balls.
    const counting = countingOf('red-street');
    const log = logOf({
      detail: 'full',
      shots: [potted('red 1'), potted('black'), potted('red 2'), potted('pink'), potted('red 3'), shot({})],
    });
    expect(countAttempt(counting, log)).toEqual({ done: false, balls: 5, points: 16, penalty: 0 });
    // The same, but in-off on the black: seven away.
    const foul = logOf({ shots: [potted('red 1'), shot({ potted: ['black'], inOff: true })] });
    expect(countAttempt(counting, foul)).toEqual({ done: false, balls: 1, points: 1, penalty: 7 });
  });

  it('logged quickly and in full gives the same round, for every clearance of the library', () => {
    const clearances = LIBRARY.filter(
      ({ task, scoring }) => task.kind === 'clear' && scoring.method !== 'lives',
    );
    expect(clearances.length).toBeGreaterThanOrEqual(12);
    for (const drill of clearances) {
      const counting = countingOf(drill.slug);
      const staged = counting.drill;
      // A player who clears some attempts and misses in others, drawn from a list of numbers.
      fc.assert(
        fc.property(fc.array(fc.nat({ max: 40 }), { minLength: 1, maxLength: 6 }), (stops) => {
          const full: AttemptOutcome[] = [];
          const quick: AttemptOutcome[] = [];
          for (const stop of stops) {
            const progress = roundProgress(staged, 1, full);
            if (progress.result.complete) break;
            const set = progress.balls === undefined ? null : [...ballsOfAttempt(staged, progress.balls)];
            const shots: LoggedShot[] = [];
            let attempt = replayClearance(staged, set, shots);
            while (attempt.over === undefined) {
              const next = attempt.legal[0] ?? '';
              shots.push(shots.length === stop ? shot({}) : potted(next));
              attempt = replayClearance(staged, set, shots);
              if (shots.length > 90) return;
            }
            full.push(countAttempt(counting, logOf({ detail: 'full', set, shots })));
            const entered = {
              ...NOTHING_ENTERED,
              done: attempt.over === 'cleared',
              balls: attempt.made,
              points: attempt.points,
              penalty: attempt.penalty,
            };
            quick.push(countAttempt(counting, logOf({ set, entered })));
          }
          const of = (attempts: typeof full) => roundProgress(staged, 1, attempts).result;
          expect(of(quick)).toEqual(of(full));
        }),
        { seed: 6, numRuns: 25 },
      );
    }
  });

  it('refuses what cannot be: a ball twice, more balls than there were, an attempt that is not over', () => {
    const counting = countingOf('key-and-lock');
    const all = objectBalls(counting.drill);
    const refuse = (log: Parameters<typeof logOf>[0], field: string) => {
      expect(() => countAttempt(counting, logOf(log))).toThrow(UncountableError);
      try {
        countAttempt(counting, logOf(log));
      } catch (error) {
        expect(error instanceof UncountableError && error.field).toBe(field);
      }
    };
    refuse({ shots: [potted('1'), potted('1')] }, 'shots[1]');
    refuse({ shots: [potted('1')] }, 'shots');
    refuse({ entered: { ...NOTHING_ENTERED, done: true, balls: all.length + 1 } }, 'balls');
    refuse({ entered: { ...NOTHING_ENTERED, done: false, balls: all.length } }, 'done');
    refuse({ set: ['15'], entered: { ...NOTHING_ENTERED, done: true } }, 'set');
    refuse({ set: ['1', '1'], entered: { ...NOTHING_ENTERED, done: true } }, 'set');
  });
});

describe('other attempts', () => {
  it('must hold what their method counts', () => {
    for (const [slug, field] of [
      ['one-bounce', 'grade'],
      ['replay', 'kick'],
      ['nine-firm', 'opening'],
      ['in-or-out', 'call'],
      ['moored', 'target'],
      ['far-shores', 'balls'],
      ['three-red-break', 'points'],
    ] as const) {
      const log = logOf({ entered: NOTHING_ENTERED });
      expect(() => countAttempt(countingOf(slug), log), slug).toThrow(`${field} is missing`);
      expect(() => countAttempt(countingOf(slug), logOf({ detail: 'full' })), slug).toThrow(UncountableError);
    }
  });

  it('at rings earn by where the cue ball stopped, and nothing when it was lost', () => {
    const counting = countingOf('five-buoys');
    const { length, width } = counting.preset;
    const at = (x: number, y: number, about: Partial<LoggedShot> = {}) => {
      const ball = counting.drill.task.kind === 'land' ? (counting.drill.task.pot?.ball ?? '1') : '1';
      return countAttempt(counting, logOf({ shots: [shot({ potted: [ball], landing: { x, y }, ...about })] }))
        .points;
    };
    const best = Math.max(
      ...Array.from({ length: 60 }, (_, i) =>
        Math.max(...Array.from({ length: 30 }, (__, k) => at((length * i) / 60, (width * k) / 30) ?? 0)),
      ),
    );
    expect(best).toBeGreaterThan(0);
    expect(at(length / 2, width / 2, { inOff: true })).toBe(0);
  });
});
