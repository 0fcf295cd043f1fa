import { describe, expect, it } from 'vitest';
import type { BestBreak } from '../../core/virtual/breaks/bestBreak.ts';
import type { BreakStroke } from '../../core/virtual/breaks/breakShot.ts';
import type { PlayedBreak } from '../../core/virtual/breaks/breakStudy.ts';
import type { LeftPattern } from '../../core/virtual/breaks/leftPatterns.ts';
import {
  bestBreakWords,
  bestWords,
  breakStrokeWords,
  effectWords,
  openingLines,
  patternsHoldWords,
  patternWords,
  playedBreakWords,
  recordedWords,
  wingWords,
} from './breakStudyWords.ts';

const FULL: BreakStroke = {
  from: { x: 0.6, y: 0.318 },
  at: 0,
  covered: 1,
  past: 'left',
  speed: 7,
  tip: { side: 0, height: 0 },
  elevation: 0,
};
const PLAYED: PlayedBreak = {
  down: [3],
  cueAt: { x: 1, y: 1 },
  foul: false,
  inOff: false,
  offTable: false,
  wings: ['in', 'short'],
  rests: [],
  disturbed: 9,
  next: 0.35,
  clears: undefined,
};

describe('what becomes of balls at a break', () => {
  it('is told by how much more or less often they fall, three at most', () => {
    const balls = [
      { place: 7, change: -0.82 },
      { place: 5, change: 0.124 },
      { place: 0, change: 0.1 },
      { place: 1, change: 0.07 },
    ];
    expect(effectWords({ between: [0, 1], balls })).toBe(
      'ball 8 falls 82 times less, ball 6 12 times more, ball 1 10 times more',
    );
  });

  it('is told of a wing ball by its ends, the likeliest first, those that never happen left out', () => {
    const words = wingWords({ in: 0.07, high: 0.86, low: 0.07, 'knocked away': 0.001, short: 0 });
    expect(words).toMatch(/^high 86\s%, in 7\s%, low 7\s%$/);
  });

  it('is told of the best of a map, with why, and whether others may be as good', () => {
    const share = (of: number) => ({ share: of, low: of, high: of });
    const cell = {
      from: { x: 0.6, y: 0.318 },
      speed: 7,
      study: {
        made: share(0.81),
        back: share(0.7),
        next: 0.5,
        inOff: share(0),
        near: { in: 0.9, high: 0.1, low: 0, 'knocked away': 0, short: 0 },
      },
      worth: 0.4,
      error: 0.05,
    };
    const map = { cells: [cell], columns: 1, best: 0, asGood: 0 };
    expect(bestBreakWords(map, 'nine')).toMatch(
      /^Best: 7\.0 m\/s from 318 mm off the right: a ball down in 81\s%, the next pot 50\s%, .* No other is as good\.$/,
    );
    expect(bestBreakWords({ ...map, asGood: 3 }, 'reds')).toMatch(
      /the cue ball back in 70\s%, the opponent’s best pot 50\s%\. 3 others may be as good/,
    );
    expect(bestBreakWords({ ...map, cells: [] }, 'nine')).toBe('');
  });

  it('is told of a recording with its error, or that it cannot be told', () => {
    const told = { kind: 'told', speed: 7.13, low: 6.93, high: 7.33, tip: 0.5, rack: 0.7 } as const;
    expect(recordedWords(told)).toBe('7.1 m/s (6.9 to 7.3 in 95 of 100 cases)');
    expect(recordedWords({ kind: 'cannot tell', why: 'nothing heard' })).toMatch(/^Cannot tell: no knock/);
    expect(recordedWords({ kind: 'cannot tell', why: 'several pairs' })).toMatch(
      /^Cannot tell: it is not clear/,
    );
  });
});

describe('one break', () => {
  it('is told contact by contact, with how hard each is against the first', () => {
    const contacts = [
      { after: 0, until: 3e-4, ids: ['cue', '1'], force: 6_000 },
      { after: 7e-5, until: 3e-4, ids: ['1', '3'], force: 4_920 },
      { after: 0.004, until: 0.004, ids: ['cue', '2'], force: undefined },
    ] as const;
    const opening = { result: { rest: [], events: [], duration: 1, complete: true }, hit: 0.2, contacts };
    const lines = openingLines(opening, (id) => (id === 'cue' ? 'the cue ball' : id));
    expect(lines[0]).toMatch(/^0\.00 ms: the cue ball presses 1, 100\s%$/);
    expect(lines[1]).toMatch(/^0\.07 ms: 1 presses 3, 82\s%$/);
    expect(lines[2]).toBe('4.00 ms: the cue ball meets 2');
  });

  it('is told by what came of it, at snooker as the opponent sees it', () => {
    expect(playedBreakWords(PLAYED, 'nine', 'pool')).toMatch(/^1 ball down; the next pot 35\s%\.$/);
    expect(playedBreakWords({ ...PLAYED, down: [] }, 'reds', 'snooker')).toMatch(
      /^No ball down; the opponent’s best pot 35\s%\.$/,
    );
    expect(playedBreakWords({ ...PLAYED, foul: true, inOff: true }, 'nine', 'snooker')).toBe(
      '1 ball down, in-off.',
    );
    expect(playedBreakWords({ ...PLAYED, foul: true, inOff: true }, 'nine', 'pool')).toBe(
      '1 ball down, scratch.',
    );
    expect(playedBreakWords({ ...PLAYED, foul: true, offTable: true }, 'nine', 'pool')).toBe(
      '1 ball down; a ball left the table.',
    );
    expect(playedBreakWords({ ...PLAYED, down: [1, 2], foul: true }, 'nine', 'pool')).toBe(
      '2 balls down; a foul.',
    );
  });

  it('is described by ball, fullness, pace, place and tip', () => {
    expect(breakStrokeWords(FULL)).toBe('head ball full, 7.0 m/s, 318 mm off the right');
    expect(
      breakStrokeWords({ ...FULL, at: 1, covered: 0.7, past: 'right', tip: { side: -0.3, height: -0.2 } }),
    ).toMatch(
      /^ball 2 70\s% covered, past its right, 7\.0 m\/s, 318 mm off the right, tip 20\s% of the radius below centre, 30\s% left$/,
    );
  });
});

describe('the best break', () => {
  const share = (of: number) => ({ share: of, low: of, high: of });
  const study = (made: number): BestBreak['best'] => ({
    breaks: 250,
    falls: [],
    near: { in: 0.9, high: 0.1, low: 0, 'knocked away': 0, short: 0 },
    far: { in: 0, high: 1, low: 0, 'knocked away': 0, short: 0 },
    ballsDown: 1,
    dry: share(0),
    inOff: share(0),
    offTable: share(0),
    made: share(made),
    next: 0.5,
    clears: undefined,
    disturbed: 9,
    back: share(0.6),
    headHalf: 0.3,
    cueRests: [],
    played: [],
  });
  const found = { stroke: FULL, tried: 490, best: study(0.9), own: study(0.7) };

  it('is told with what it does better, and as sure only where it is', () => {
    const sure = bestWords({ ...found, gain: { worth: 0.1, error: 0.03 } }, 'nine');
    expect(sure[0]).toBe('Of 490 tried: head ball full, 7.0 m/s, 318 mm off the right.');
    expect(sure[1]).toBe('In a hundred breaks it is worth 10 (±5) more than yours.');
    expect(sure[2]).toMatch(/^A ball down 90\s%, yours 70\s%; the next pot /);
    const unsure = bestWords({ ...found, gain: { worth: 0.04, error: 0.03 } }, 'reds');
    expect(unsure[1]).toBe('Not decided against yours: 4 (±5) in a hundred breaks.');
    expect(unsure[2]).toMatch(/^The cue ball back 60\s%, yours 60\s%; the opponent’s best pot /);
  });

  it('is nobody’s where nothing is better', () => {
    expect(bestWords({ ...found, gain: { worth: 0, error: 0 } }, 'nine')).toEqual([
      'Of 490 tried none is better than yours.',
    ]);
  });
});

describe('a table that breaks tend to leave', () => {
  const at = { x: 1, y: 1 };
  const pattern: LeftPattern = {
    number: 4,
    share: 0.46,
    next: 0.54,
    balls: [
      { place: 'cue', at, within: 0.238 },
      { place: 0, at, within: 0.4 },
      { place: 1, at, within: 0.1 },
      { place: 2, at: undefined, within: undefined },
      { place: 4, at, within: 0.149 },
    ],
  };

  it('is told with the balls that can be counted on', () => {
    expect(patternWords(pattern, 'nine')).toMatch(
      /^Next pot 54\s%; balls 2 and 5 within 15 cm in half of them, the cue ball within 24 cm\.$/,
    );
    const none = pattern.balls.slice(1, 2);
    expect(patternWords({ ...pattern, balls: none }, 'reds')).toMatch(
      /^Best pot 54\s%; no ball can be counted on\.$/,
    );
  });

  it('says how much of it is chance', () => {
    const held = { wentOn: 179, on: 130, patterns: [pattern], explained: 0.13 };
    expect(patternsHoldWords(held, 'nine')).toMatch(
      /^179 breaks with a ball down and no foul; after 130 of them the next ball was on\. These tables tell 13\s% of how they differ; the rest is chance\.$/,
    );
    expect(patternsHoldWords(held, 'reds')).toMatch(/^130 break-offs without a foul\. These tables/);
  });
});
