import { expect, it } from 'vitest';
import { familyWords, said, skillWords } from './said.ts';

it('says a drill’s sentence in the reader’s words', () => {
  expect(said('One rail, plain ball, from five places.', 'snooker')).toBe(
    'One cushion, plain ball, from five places.',
  );
  expect(said('One rail, plain ball, from five places.', 'pool')).toBe(
    'One rail, centre ball, from five places.',
  );
  expect(said('Screw back in a straight line; no in-offs, no plants or doubles.', 'pool')).toBe(
    'Draw back in a straight line; no scratch, no combinations or banks.',
  );
  expect(said('Too much draw runs out. Points given away in 8 kicks.', 'snooker')).toBe(
    'Too much screw runs out. Points given away in 8 escapes.',
  );
});

it('leaves words alone that mean something else', () => {
  for (const text of [
    'Draw where the cue ball goes, then see it.',
    'The cue ball comes to rest; the rest of the table is cleared.',
    'Railway, drawn, and a double hit.',
    'The gaps are drawn anew.',
  ]) {
    expect(said(text, 'snooker')).toBe(text);
    expect(said(text, 'pool')).toBe(text);
  }
});

it('said back and forth a sentence is the same', () => {
  const pool = 'Rail first, centre ball: by two rails to the head end, a kick.';
  expect(said(said(pool, 'snooker'), 'pool')).toBe(pool);
});

it('calls families and skills by the game’s names', () => {
  expect([familyWords('kick', 'snooker'), familyWords('kick', 'pool')]).toEqual(['escape', 'kick']);
  expect([familyWords('break', 'snooker'), familyWords('plant', 'pool')]).toEqual([
    'break-off',
    'combination',
  ]);
  expect([skillWords('run-out', 'snooker'), skillWords('kicking', 'snooker')]).toEqual([
    'clearance',
    'escapes',
  ]);
  expect(skillWords('kicking', 'pool')).toBe('kicking');
});
