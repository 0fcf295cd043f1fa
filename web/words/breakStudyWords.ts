import type { RackKind } from '../../core/rack/rack.ts';
import {
  BACK,
  type BreakStudy,
  type PlayedBreak,
  type WingShares,
} from '../../core/virtual/breaks/breakStudy.ts';
import type { SpeedTold } from '../../core/sound/breakSpeed.ts';
import type { BreakMap } from '../../core/virtual/breaks/breakMap.ts';
import type { BestBreak } from '../../core/virtual/breaks/bestBreak.ts';
import type { BreakStroke } from '../../core/virtual/breaks/breakShot.ts';
import type { LeftPattern, LeftPatterns } from '../../core/virtual/breaks/leftPatterns.ts';
import type { Opening } from '../../core/virtual/breaks/opening.ts';
import type { ContactEffect } from '../../core/virtual/breaks/contactEffects.ts';
import { tipWords } from './tipWords.ts';
import { percent } from './units.ts';
import { capital, termIn, type Vocabulary } from './vocabulary.ts';
import { numberIn, shortLength, speedUnit, speedWords, tapeLength } from './lengths.ts';

const shareWords = ({
  share,
  low,
  high,
}: {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}) => `${percent(share)} (${Math.round(100 * low)}–${Math.round(100 * high)})`;

/** "in 86 %, high 7 %, low 7 %" */
export function wingWords(shares: WingShares): string {
  return Object.entries(shares)
    .filter(([, share]) => share >= 0.005)
    .sort(([, a], [, b]) => b - a)
    .map(([end, share]) => `${end} ${percent(share)}`)
    .join(', ');
}

/** What many breaks come to, line by line. */
export function studyLines(
  study: BreakStudy,
  kind: RackKind,
  vocabulary: Vocabulary,
): readonly (readonly [what: string, value: string])[] {
  const { made, dry, inOff, offTable, ballsDown, next, clears, headHalf, near, far, back, disturbed } = study;
  const lost: readonly (readonly [string, string])[] =
    offTable.share > 0 ? [['A ball off the table', shareWords(offTable)]] : [];
  if (kind === 'reds') {
    return [
      [`Cue ball back within ${shortLength(BACK)} of the baulk cushion`, shareWords(back)],
      ['The opponent’s best pot', percent(next)],
      ['Reds moved', disturbed.toFixed(1)],
      [capital(termIn(vocabulary, 'inOff')), shareWords(inOff)],
      ['A red down', shareWords(made)],
      ['Balls in the baulk half', percent(headHalf)],
      ...lost,
    ];
  }
  return [
    ['A ball down, no foul', shareWords(made)],
    ['Dry', shareWords(dry)],
    ['Balls down', ballsDown.toFixed(2)],
    [capital(termIn(vocabulary, 'inOff')), shareWords(inOff)],
    ['Wing ball on your side', wingWords(near)],
    ['Wing ball on the other', wingWords(far)],
    ['The next pot', percent(next)],
    ...(clears === undefined ? [] : [['Clearing what is left, roughly', percent(clears)] as const]),
    ['Balls in the head half', percent(headHalf)],
    ...lost,
  ];
}

/** What a gap does, in a hundred breaks: "ball 8 falls 82 times less, ball 6 12 times more" */
export function effectWords({ balls }: ContactEffect): string {
  const times = ({ place, change }: ContactEffect['balls'][number], i: number) =>
    `ball ${place + 1}${i === 0 ? ' falls' : ''} ${Math.round(100 * Math.abs(change))} times ${change < 0 ? 'less' : 'more'}`;
  return balls.slice(0, 3).map(times).join(', ');
}

/** The best of a map and why: "7.0 m/s from 318 mm: a ball down in 81 %, then the next pot 52 %" */
export function bestBreakWords({ cells, best, asGood }: BreakMap, kind: RackKind): string {
  const cell = cells[best];
  if (cell === undefined) return '';
  const { from, speed, study } = cell;
  const at = `${speedWords(speed)} from ${tapeLength(from.y)} off the right`;
  const why =
    kind === 'reds'
      ? `the cue ball back in ${percent(study.back.share)}, the opponent’s best pot ${percent(study.next)}`
      : `a ball down in ${percent(study.made.share)}, the next pot ${percent(study.next)}, the wing ball on your side in ${percent(study.near.in)}`;
  const others =
    asGood === 0
      ? 'No other is as good.'
      : `${asGood === 1 ? '1 other' : `${asGood} others`} may be as good: so many breaks do not tell them apart.`;
  return `Best: ${at}: ${why}. ${others}`;
}

/** What a recording tells: "7.1 m/s (6.9 to 7.3)" */
export function recordedWords(told: SpeedTold): string {
  if (told.kind === 'told')
    return `${speedWords(told.speed)} (${numberIn(speedUnit(), told.low)} to ${numberIn(speedUnit(), told.high)} in 95 of 100 cases)`;
  return told.why === 'nothing heard'
    ? 'Cannot tell: no knock is heard in it.'
    : 'Cannot tell: it is not clear which knocks are the tip and the rack. Record nearer, or with less noise.';
}

/** The contacts of an opening rack, line by line: "0.14 ms: 2 presses 4, 51 %" */
export function openingLines({ contacts }: Opening, nameOf: (id: string) => string): readonly string[] {
  const first = contacts[0]?.force;
  return contacts.map(({ after, ids: [a, b], force }) => {
    const hard = force === undefined || first === undefined ? '' : `, ${percent(force / first)}`;
    const how = force === undefined ? 'meets' : 'presses';
    return `${(1_000 * after).toFixed(2)} ms: ${nameOf(a)} ${how} ${nameOf(b)}${hard}`;
  });
}

/** What one break came to: "2 balls down; the next pot 61 %." */
export function playedBreakWords(
  { down, foul, inOff, offTable, next }: PlayedBreak,
  kind: RackKind,
  vocabulary: Vocabulary,
): string {
  const balls =
    down.length === 0 ? 'No ball down' : down.length === 1 ? '1 ball down' : `${down.length} balls down`;
  if (inOff) return `${balls}, ${termIn(vocabulary, 'inOff')}.`;
  if (offTable) return `${balls}; a ball left the table.`;
  if (foul) return `${balls}; a foul.`;
  return kind === 'reds'
    ? `${balls}; the opponent’s best pot ${percent(next)}.`
    : `${balls}; the next pot ${percent(next)}.`;
}

/** A break in words: "head ball full, 7.0 m/s, 318 mm off the right, tip 20 % of the radius below centre" */
export function breakStrokeWords({ at, covered, past, speed, from, tip }: BreakStroke): string {
  const ball = at === 0 ? 'head ball' : `ball ${at + 1}`;
  const full = covered === 1 ? 'full' : `${percent(covered)} covered, past its ${past}`;
  const where = tip.side === 0 && tip.height === 0 ? '' : `, tip ${tipWords(tip)}`;
  return `${ball} ${full}, ${speedWords(speed)}, ${tapeLength(from.y)} off the right${where}`;
}

/** What the best break does better than one's own, and whether that is sure. */
export function bestWords({ stroke, tried, best, own, gain }: BestBreak, kind: RackKind): readonly string[] {
  const points = Math.round(100 * gain.worth);
  const is = `Of ${tried} tried: ${breakStrokeWords(stroke)}.`;
  if (gain.error === 0) return [`Of ${tried} tried none is better than yours.`];
  const within = Math.round(100 * 1.645 * gain.error);
  const worth =
    gain.worth > 1.645 * gain.error
      ? `In a hundred breaks it is worth ${points} (±${within}) more than yours.`
      : `Not decided against yours: ${points} (±${within}) in a hundred breaks.`;
  const row = (what: string, value: (study: BreakStudy) => number) =>
    `${what} ${percent(value(best))}, yours ${percent(value(own))}`;
  const why =
    kind === 'reds'
      ? [
          row('the cue ball back', (each) => each.back.share),
          row('the opponent’s best pot', (each) => each.next),
        ]
      : [
          row('a ball down', (each) => each.made.share),
          row('the next pot', (each) => each.next),
          row('the wing ball on your side in', (each) => each.near.in),
        ];
  return [is, worth, `${capital(why.join('; '))}.`];
}

/** A ball is to be counted on when half of the breaks leave it so near, metres. */
const COUNTED_ON = 0.15;

/** What of a pattern can be counted on: "Balls 2, 3 and 8 lie within a hand’s breadth each time." */
export function surePlaces({ balls }: LeftPattern): readonly number[] {
  return balls.flatMap(({ place, within }) =>
    place !== 'cue' && within !== undefined && within <= COUNTED_ON ? [place] : [],
  );
}

/** A pattern in words. */
export function patternWords(pattern: LeftPattern, kind: RackKind): string {
  const sure = surePlaces(pattern).map((place) => String(place + 1));
  const list = sure.length < 2 ? sure.join('') : `${sure.slice(0, -1).join(', ')} and ${sure.at(-1) ?? ''}`;
  const where =
    sure.length === 0
      ? 'no ball can be counted on'
      : `${sure.length === 1 ? 'ball' : 'balls'} ${list} within ${shortLength(COUNTED_ON)} in half of them`;
  const cue = pattern.balls.find(({ place }) => place === 'cue')?.within;
  const cueWords = cue === undefined ? '' : `, the cue ball within ${shortLength(cue)}`;
  return `${kind === 'reds' ? 'Best pot' : 'Next pot'} ${percent(pattern.next)}; ${where}${cueWords}.`;
}

/** How much the patterns tell. */
export function patternsHoldWords({ wentOn, on, explained }: LeftPatterns, kind: RackKind): string {
  const counted =
    kind === 'reds'
      ? `${on} break-offs without a foul.`
      : `${wentOn} breaks with a ball down and no foul; after ${on} of them the next ball was on.`;
  return `${counted} These tables tell ${percent(explained)} of how they differ; the rest is chance.`;
}
