import { expect, it } from 'vitest';
import { beginAttempt, playShot } from '../../core/drill/rules.ts';
import { clearanceHint, keyOfBall } from './clearanceWords.ts';

const ENDS = 'ends the attempt' as const;
const NOTED = 'only noted' as const;

it('every ball that may be played has a key of its own, and no key that means something else', () => {
  const pool = Array.from({ length: 15 }, (_, i) => String(i + 1));
  const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'];
  for (const balls of [pool, ['red 1', 'red 2', ...colours]]) {
    const keys = keyOfBall(balls).map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const key of keys) expect(' xfqtuecvbnma?').not.toContain(key);
  }
  expect(keyOfBall(['red 4', 'red 2'])).toEqual([{ id: 'red 4', key: 'd', name: 'a red' }]);
});

it('says where the cue ball goes and what comes back', () => {
  const rules = {
    order: { kind: 'red and colour' as const },
    faults: { missed: NOTED, 'in-off': NOTED, 'wrong ball': NOTED, 'condition broken': ENDS },
    repair: 'play on' as const,
  };
  const shot = (potted: string[], inOff = false) => ({ potted, inOff, broken: [] });
  const begun = beginAttempt(rules, ['red 1', 'red 2', 'yellow', 'black']);
  const red = playShot(rules, begun, shot(['red 1']));
  expect(clearanceHint(playShot(rules, red, shot(['black'])), undefined)).toContain('Respot black.');
  expect(clearanceHint(playShot(rules, red, shot([], true)), undefined)).toContain('Cue ball in hand.');
  expect(clearanceHint(begun, 'places')).toContain('Tap where each thrown ball lies');
});
