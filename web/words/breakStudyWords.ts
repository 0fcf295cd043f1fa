import type { RackKind } from '../../core/rack/rack.ts';
import { BACK, type BreakStudy, type WingShares } from '../../core/virtual/breaks/breakStudy.ts';
import type { SpeedTold } from '../../core/sound/breakSpeed.ts';
import type { BreakMap } from '../../core/virtual/breaks/breakMap.ts';
import type { ContactEffect } from '../../core/virtual/breaks/contactEffects.ts';
import { percent } from './units.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';

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
      [`Cue ball back within ${Math.round(100 * BACK)} cm of the baulk cushion`, shareWords(back)],
      ['The opponent’s best pot', percent(next)],
      ['Reds moved', disturbed.toFixed(1)],
      [`A ${termIn(vocabulary, 'inOff')}`, shareWords(inOff)],
      ['A red down', shareWords(made)],
      ['Balls in the baulk half', percent(headHalf)],
      ...lost,
    ];
  }
  return [
    ['A ball down, no foul', shareWords(made)],
    ['Dry', shareWords(dry)],
    ['Balls down', ballsDown.toFixed(2)],
    [`A ${termIn(vocabulary, 'inOff')}`, shareWords(inOff)],
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
  const at = `${speed.toFixed(1)} m/s from ${Math.round(1000 * from.y)} mm off the right`;
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
    return `${told.speed.toFixed(1)} m/s (${told.low.toFixed(1)} to ${told.high.toFixed(1)} in 95 of 100 cases)`;
  return told.why === 'nothing heard'
    ? 'Cannot tell: no knock is heard in it.'
    : 'Cannot tell: it is not clear which knocks are the tip and the rack. Record nearer, or with less noise.';
}
