import { describe, expect, it } from 'vitest';
import { toRadians } from '../../core/math/angle.ts';
import { POOL, SNOOKER } from '../../core/testing/balls.ts';
import {
  aimWords,
  cushionsWords,
  kickReadWords,
  lineWords,
  missWords,
  outcomeWords,
  seenWords,
  strokeWords,
} from './kickWords.ts';

describe('a line in words', () => {
  it('names its cushions in both vocabularies', () => {
    expect(cushionsWords([], 'pool')).toBe('straight');
    expect(cushionsWords(['left'], 'pool')).toBe('by the left rail');
    expect(cushionsWords(['left', 'foot', 'right'], 'snooker')).toBe(
      'by the left, the top and the right cushion',
    );
  });

  it('aims by diamonds where there are any, and by millimetres where there are none', () => {
    const long = { at: { x: 0.635, y: 1.27 }, cushion: 'left', along: 0.635, share: 0.25 };
    expect(aimWords(long, POOL.preset, 'pool')).toBe('aim at diamond 2.00 of the left rail');
    expect(aimWords({ ...long, cushion: 'foot', share: 0.5 }, POOL.preset, 'pool')).toBe(
      'aim at diamond 2.00 of the foot rail',
    );
    expect(aimWords({ ...long, along: 1.2345 }, SNOOKER.preset, 'snooker')).toBe(
      'aim 1235 mm from the baulk along the left cushion',
    );
  });

  it('says how wide it is, how often it comes off, and what of it', () => {
    const line = { low: 0, high: toRadians(3.14), chance: { met: 0.92, legal: 0.88 } };
    expect(lineWords(line)).toMatch(/^3\.1° wide; met 92\s%, legal 88\s%$/);
    expect(lineWords({ ...line, chance: { met: 0.92, legal: 0.92 } })).toMatch(/met 92\s%, all legal$/);
    const middle = { pot: null, inOff: false, legal: true, rest: [], covered: 0.5 };
    expect(outcomeWords(middle, 'pool')).toMatch(/^covers 50\s% of the ball$/);
    expect(outcomeWords({ ...middle, legal: false }, 'pool')).toMatch(/too soft: no ball reaches a rail$/);
    expect(outcomeWords({ ...middle, inOff: true, legal: false }, 'pool')).toMatch(/the cue ball falls$/);
    const [ball, none] = [
      { cushions: [], end: 'ball', first: '3' },
      { cushions: [], end: 'stops', first: undefined },
    ] as const;
    expect(missWords(ball, none)).toBe('A miss to the right meets the 3, one to the left nothing.');
    expect(missWords(none, none)).toBe('A miss on either side meets nothing.');
    expect(missWords({ ...none, end: 'pocket' }, ball)).toMatch(/right meets a pocket/);
    expect(strokeWords({ speed: 2.3, tip: { side: -0.4, height: 0 }, elevation: 0 }, 'snooker')).toBe(
      '2.3 m/s, left side',
    );
    expect(strokeWords({ speed: 2, tip: { side: 0, height: 0 }, elevation: toRadians(18) }, 'pool')).toBe(
      '2.0 m/s, no english, butt at 18°',
    );
  });

  it('says how hidden the ball is', () => {
    expect(seenWords({ seen: 1, usable: 1 }, '1')).toBe('The 1 lies open.');
    expect(seenWords({ seen: 0, usable: 0 }, 'red')).toBe('The red cannot be seen; no straight hit is free.');
    expect(seenWords({ seen: 0.5, usable: 0.2 }, '1')).toMatch(
      /^50\s% of the 1 can be seen; 20\s% of the straight hits are free\.$/,
    );
  });
});

describe('what two taps tell', () => {
  const read = { missed: false, left: 0.34, leave: 'half a chance', hidden: false } as const;
  const told = { kind: 'told', probability: 0.8 } as const;
  const words = (fault: Parameters<typeof kickReadWords>[1]) =>
    kickReadWords(read, fault).replace(/\s/g, ' ');

  it('is what is left, how the ball was met, and what was off by how much', () => {
    expect(words(undefined)).toBe(
      'The opponent’s best pot from there: 34 %, half a chance. Change what was otherwise.',
    );
    const line = { ...told, error: 'line', cause: 'left of the line', amount: 0.0142 } as const;
    expect(words({ grade: 'thin', legal: true, fault: line })).toContain(
      'Met thin. Probably 14 mm left of the line at the cushion.',
    );
    const pace = { ...told, error: 'pace', cause: 'too soft', amount: -0.08 } as const;
    expect(words({ grade: 'full', legal: true, fault: pace })).toContain('Met full. Probably 8 % too soft.');
    const side = { ...told, error: 'side', cause: 'too much side', amount: 0.12 } as const;
    expect(words({ grade: undefined, legal: undefined, fault: side })).toContain(
      'Probably too much side: the tip 12 % of a radius off.',
    );
  });

  it('is silent on what cannot be told, and says a miss and a stroke as planned', () => {
    expect(words({ grade: 'thick', legal: false, fault: { kind: 'cannot tell' } })).not.toContain('Probably');
    expect(words({ grade: 'thick', legal: false, fault: { kind: 'cannot tell' } })).toContain(
      'Met thick, a foul: no ball reached a cushion.',
    );
    expect(kickReadWords(read, undefined, false)).toContain('Not what the drill asks to be left.');
    expect(kickReadWords(read, undefined, true)).toContain('As the drill asks.');
    expect(words({ grade: 'thick', legal: true, fault: { kind: 'on plan' } })).toContain(
      'As the surest line has it.',
    );
    expect(kickReadWords({ ...read, missed: true }, undefined)).toContain('The ball was not met.');
  });
});
