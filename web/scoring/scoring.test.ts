import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { logOf, type AttemptLog } from '../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../core/records/entered.ts';
import { buildTable } from '../../core/table/table.ts';
import { progressOf } from '../../core/scoring/course.ts';
import { courseOf } from '../testing/courses.ts';
import {
  change,
  endEarly,
  enter,
  NOTHING_ON_SCREEN,
  note,
  onCloth,
  potted,
  prepare,
  redo,
  shoot,
  undo,
  type Scoring,
  type Step,
} from './scoring.ts';
import type { Change } from './changes.ts';

const AT = '2026-11-24T12:00:00Z';
const start: Scoring = { attempts: [], underWay: null, ended: null, ...NOTHING_ON_SCREEN };
let next = 0;
const stamp = () => ({ id: `id-${String(next++)}`, at: AT });

const position = courseOf('harbour-turn', 2);
const planned = position.counting.plan?.landing ?? { x: 0, y: 0 };
const pot = () => logOf({ shots: [{ ...BLANK_SHOT, ball: '1', potted: ['1'], landing: planned }] });
const miss = () => logOf({ shots: [{ ...BLANK_SHOT, ball: '1' }] });

describe('scoring a round of single shots', () => {
  it('counts a pot on the planned place, and asks for the landing only once', () => {
    const asked = potted(start, planned);
    expect(asked.cursor).toEqual(planned);
    expect(potted(asked, { x: 1, y: 1 })).toBe(asked);
    const { scoring } = enter(position, asked, pot(), stamp());
    expect(scoring).toMatchObject({ cursor: null, attempts: [{ ordinal: 1, points: 3, outcome: 'potted' }] });
    expect(scoring.attempts[0]?.along).toBeCloseTo(0, 9);
  });

  it('puts a tap beside the cloth onto it', () => {
    const table = buildTable('pool-9ft');
    const radius = table.preset.ballRadius;
    expect(onCloth({ x: -1, y: 9 }, table)).toEqual({ x: radius, y: 1.27 - radius });
  });

  it('ends with the last shot, and undo opens it again', () => {
    let scoring = start;
    let last: readonly Change[] = [];
    for (let i = 0; i < 10; i++) ({ scoring, changes: last } = enter(position, scoring, miss(), stamp()));
    expect(scoring.ended).toEqual({ at: AT, early: false });
    expect(last.map(({ kind }) => kind)).toEqual(['attempt', 'end']);
    expect(enter(position, scoring, miss(), stamp()).changes).toEqual([]);
    const back = undo(scoring, AT);
    expect(back.scoring).toMatchObject({ ended: null });
    expect(back.scoring.attempts).toHaveLength(9);
    expect(redo(position, back.scoring, stamp()).scoring.ended).toEqual({ at: AT, early: false });
  });

  it('that was ended early is opened again by undo, with every shot and with what was under way', () => {
    const course = courseOf('key-and-lock');
    const log = { ...BLANK_SHOT, ball: '2', potted: ['2'] };
    const first = enter(
      course,
      start,
      logOf({ entered: { ...NOTHING_ENTERED, done: true, balls: 3 } }),
      stamp(),
    );
    const half = shoot(course, first.scoring, log, null, stamp()).scoring;
    const ended = endEarly(half, AT).scoring;
    expect(ended).toMatchObject({ underWay: null, ended: { early: true } });
    const back = undo(ended, AT);
    expect(back.scoring).toEqual(half);
    expect(back.changes.map(({ kind }) => kind)).toEqual(['reopen', 'under way']);
    expect(undo(endEarly(start, AT).scoring, AT).changes).toEqual([{ kind: 'reopen' }]);
  });

  it('brings an attempt back as a new one, for what was taken back stays so on the server', () => {
    const { scoring } = enter(position, start, pot(), stamp());
    const again = redo(position, undo(scoring, AT).scoring, stamp());
    expect(again.scoring.attempts).toMatchObject([{ points: 3, ordinal: 1 }]);
    expect(again.scoring.attempts[0]?.id).not.toBe(scoring.attempts[0]?.id);
  });

  it('undo of a half-made pot only takes the question back', () => {
    const { scoring } = enter(position, start, miss(), stamp());
    const { scoring: back, changes } = undo(potted(scoring, planned), AT);
    expect(back).toMatchObject({ cursor: null, attempts: scoring.attempts });
    expect(changes).toEqual([]);
  });

  it('notes more about the last shot and leaves its score alone', () => {
    const { scoring } = enter(position, start, pot(), stamp());
    const step = note(position, scoring, { cause: 'too hard', causeBy: 'hint', luck: true }, AT);
    expect(step.changes).toMatchObject([{ kind: 'note', log: { detail: 'full' } }]);
    expect(step.scoring.attempts[0]).toMatchObject({
      points: 3,
      log: { shots: [{ cause: 'too hard', luck: true }] },
    });
  });

  it('tells a past attempt otherwise, with the reason', () => {
    let scoring = enter(position, start, pot(), stamp()).scoring;
    scoring = enter(position, scoring, pot(), stamp()).scoring;
    const id = scoring.attempts[0]?.id ?? '';
    const step = change(position, scoring, { id, log: miss(), reason: 'it rattled out', by: 'Ida' }, AT);
    expect(step.scoring.attempts.map(({ points, changed }) => [points, changed?.reason])).toEqual([
      [0, 'it rattled out'],
      [3, undefined],
    ]);
    expect(progressOf(position, step.scoring.attempts).result.value).toBe(3);
  });
});

describe('scoring a clearance shot by shot', () => {
  const course = courseOf('key-and-lock');
  const set = null;
  const shot = (ball: string, falls = true) => ({ ...BLANK_SHOT, ball, potted: falls ? [ball] : [] });

  it('makes an attempt of the shots when the table is cleared or a fault ends it', () => {
    let step: Step = { scoring: start, changes: [] };
    for (const ball of ['2', '1']) step = shoot(course, step.scoring, shot(ball), set, stamp());
    expect(step.scoring.attempts).toEqual([]);
    expect(step.scoring.underWay?.shots).toHaveLength(2);
    step = shoot(course, step.scoring, shot('8'), set, stamp());
    expect(step.scoring).toMatchObject({ underWay: null, attempts: [{ counted: { done: true, balls: 3 } }] });
    expect(step.changes.map(({ kind }) => kind)).toEqual(['attempt', 'under way']);
    step = shoot(course, step.scoring, shot('1', false), set, stamp());
    expect(step.scoring.attempts[1]).toMatchObject({ counted: { done: false, balls: 0 } });
  });

  it('undo opens the attempt before its last shot, shot by shot to the start; redo brings all of it back', () => {
    let scoring = start;
    for (const ball of ['2', '1', '8']) scoring = shoot(course, scoring, shot(ball), set, stamp()).scoring;
    const whole = scoring.attempts;
    scoring = undo(scoring, AT).scoring;
    expect(scoring.underWay?.shots.map(({ ball }) => ball)).toEqual(['2', '1']);
    for (let i = 0; i < 2; i++) scoring = undo(scoring, AT).scoring;
    expect(scoring).toMatchObject({ attempts: [], underWay: { shots: [] } });
    for (let i = 0; i < 3; i++) scoring = redo(course, scoring, stamp()).scoring;
    expect(scoring.attempts.map(({ log }) => log.shots)).toEqual(whole.map(({ log }) => log.shots));
    expect(scoring.undone).toEqual([]);
  });

  it('refuses a ball that is down already', () => {
    const { scoring } = shoot(course, start, shot('2'), set, stamp());
    expect(() => shoot(course, scoring, shot('2'), set, stamp())).toThrow('not on the table');
  });

  it('begins with fewer balls where a break has left some down', () => {
    const { scoring } = prepare(start, { set: ['1', '8'] }, AT);
    const one = shoot(course, scoring, shot('1'), scoring.underWay?.set ?? null, stamp()).scoring;
    const done = shoot(course, one, shot('8'), one.underWay?.set ?? null, stamp()).scoring;
    expect(done.attempts[0]).toMatchObject({ counted: { done: true, balls: 2 }, log: { set: ['1', '8'] } });
  });
});

it('any play of keys leaves attempts numbered 1 to n, and the server told the same story', () => {
  const keys = fc.array(fc.constantFrom('pot', 'miss', 'lost', 'quick', 'undo', 'redo', 'end'), {
    maxLength: 60,
  });
  const clearance = courseOf('key-and-lock');
  fc.assert(
    fc.property(keys, fc.boolean(), (played, byShot) => {
      const course = byShot ? clearance : position;
      let scoring = start;
      const told = new Map<string, number>();
      let underWay: AttemptLog | null = null;
      let open = true;
      const press = (key: string): Step => {
        if (key === 'undo') return undo(scoring, AT);
        if (key === 'redo') return redo(course, scoring, stamp());
        if (key === 'end') return endEarly(scoring, AT);
        if (!byShot) return enter(course, scoring, key === 'pot' ? pot() : miss(), stamp());
        if (key === 'quick') {
          // The result alone is not offered while an attempt is half logged.
          if ((scoring.underWay?.shots.length ?? 0) > 0) return { scoring, changes: [] };
          const entered = { ...NOTHING_ENTERED, done: true, balls: 3 };
          return enter(course, scoring, logOf({ entered }), stamp());
        }
        const left = ['2', '1', '8'].find((id) =>
          scoring.underWay === null ? true : !scoring.underWay.shots.some((s) => s.potted.includes(id)),
        );
        const ball = left ?? '8';
        return shoot(
          course,
          scoring,
          { ...BLANK_SHOT, ball, potted: key === 'pot' ? [ball] : [], inOff: key === 'lost' },
          null,
          stamp(),
        );
      };
      for (const key of played) {
        const step = press(key);
        scoring = step.scoring;
        for (const told1 of step.changes) {
          if (told1.kind === 'attempt') {
            // What the server would refuse must never be sent: a shot into a closed round, or one already there.
            expect(open).toBe(true);
            expect([...told.values()]).not.toContain(told1.attempt.ordinal);
            told.set(told1.attempt.id, told1.attempt.ordinal);
          } else if (told1.kind === 'undo') {
            expect(told.delete(told1.id)).toBe(true);
            open = true;
          } else if (told1.kind === 'reopen') {
            open = true;
          } else if (told1.kind === 'end') {
            open = false;
            // With the end the server forgets what was under way.
            underWay = null;
          } else if (told1.kind === 'under way') {
            underWay = told1.log;
          }
        }
      }
      expect(scoring.attempts.map(({ ordinal }) => ordinal)).toEqual(scoring.attempts.map((_, i) => i + 1));
      expect([...told.keys()].sort()).toEqual(scoring.attempts.map(({ id }) => id).sort());
      expect(open).toBe(scoring.ended === null);
      if (open) expect(underWay).toEqual(scoring.underWay);
    }),
    { seed: 5, numRuns: 500 },
  );
});
