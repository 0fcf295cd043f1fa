import { describe, expect, it } from 'vitest';
import { marksOf } from '../../core/motion/marks.ts';
import { simulate } from '../../core/motion/simulate.ts';
import { buildTable } from '../../core/table/table.ts';
import { eventTime } from '../controls/ReplayBar.tsx';
import { eventWords, paceWord } from './eventWords.ts';
import { firstShot } from '../table/labShot.ts';
import { withParameters, withStrike } from '../lab/labState.ts';
import { Replay } from '../table/replay.ts';
import { tipWords } from './tipWords.ts';

const shot = firstShot(buildTable('pool-9ft'));
const marks = marksOf(simulate(shot, { paths: true }), shot.table);
const sentences = (vocabulary: 'pool' | 'snooker') => marks.map((mark) => eventWords(mark, vocabulary));

describe('a shot in words', () => {
  it('names balls, cushions and diamonds in the chosen vocabulary', () => {
    expect(sentences('pool')).toContain('The cue ball and the 1 meet');
    expect(sentences('pool').join('\n')).toMatch(/The cue ball hits the left-hand rail at \d\.\d diamonds/);
    expect(sentences('pool').join('\n')).toMatch(/The 1 hits the foot rail at \d\.\d diamonds/);
    expect(sentences('snooker').join('\n')).toMatch(/The 1 hits the top cushion at \d\.\d diamonds/);
    expect(sentences('pool').at(-1)).toMatch(/stops$/);
  });

  it('has no diamonds where the table has none, and says when a ball hops and comes down', () => {
    const snooker = firstShot(buildTable('snooker-12ft'));
    const plain = marksOf(simulate(snooker, { paths: true }), snooker.table);
    expect(plain.map((mark) => eventWords(mark, 'snooker')).join('\n')).not.toContain('diamonds');
    const hopping = withStrike(withParameters(shot, { bedRestitution: 0.5 }), { elevation: 0.7 });
    const words = marksOf(simulate(hopping, { paths: true }), hopping.table).map((m) =>
      eventWords(m, 'pool'),
    );
    expect(words).toContain('The cue ball leaves the cloth');
    expect(words).toContain('The cue ball comes down');
  });

  it('keeps the other parameters of a table when one is changed', () => {
    const soft = withParameters(shot, { rollingFriction: 0.013 });
    expect(withParameters(soft, { bedRestitution: 0.5 }).table.parameters).toEqual({
      ...buildTable('pool-9ft').parameters,
      rollingFriction: 0.013,
      bedRestitution: 0.5,
    });
  });

  it('has a word for each pace and for the tip', () => {
    expect([0.5, 1.2, 2.2, 3.3, 5, 9].map(paceWord)).toEqual([
      'very soft',
      'soft',
      'medium',
      'firm',
      'hard',
      'break pace',
    ]);
    expect(tipWords({ side: 0, height: 0 })).toBe('centre');
    expect(tipWords({ side: -0.2, height: 0.1 })).toMatch(/^10\s% of the radius above centre, 20\s% left$/);
  });
});

describe('the replay', () => {
  it('goes from event to event, and stays within the shot', () => {
    const times = marks.map(({ event }) => event.t);
    expect(eventTime(marks, 0, true)).toBe(times[0]);
    expect(eventTime(marks, times[1] ?? 0, false)).toBe(times[0]);
    expect(eventTime(marks, 100, true)).toBeUndefined();
    const replay = new Replay();
    replay.setDuration(3);
    const seen: (number | undefined)[] = [];
    const stop = replay.subscribe(() => seen.push(replay.time()));
    replay.seek(5);
    replay.seek(-1);
    replay.reset();
    stop();
    replay.seek(1);
    expect(seen).toEqual([3, 0, undefined]);
    expect(replay.playing()).toBe(false);
  });
});
