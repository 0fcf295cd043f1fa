import { toDegrees } from '../../core/math/angle.ts';
import type { AimPoint } from '../../core/shot/kicks/aimPoint.ts';
import type { KickLine } from '../../core/shot/kicks/kickLines.ts';
import type { Seen } from '../../core/shot/kicks/seen.ts';
import type { KickStroke, Way } from '../../core/shot/kicks/way.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import type { KickTold } from '../../core/scoring/kickCause.ts';
import type { KickRead } from '../../core/scoring/kickTaps.ts';
import type { MissedWay } from '../../core/counting/kickScore.ts';
import type { Replays } from '../../core/counting/replays.ts';
import { counted, percent } from './units.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';
import { speedWords, tapeLength } from './lengths.ts';

/** Sights from corner to corner: on a long cushion, and on a short one. */
const SIGHTS = { long: 8, short: 4 } as const;

/** "left", "foot", or "top" to a snooker player. */
export function sideWord(side: string, vocabulary: Vocabulary): string {
  if (side === 'head') return termIn(vocabulary, 'headEnd');
  return side === 'foot' ? termIn(vocabulary, 'footEnd') : side;
}

/** "straight", "by the left rail", "by the left and the foot rail" */
export function cushionsWords(cushions: readonly string[], vocabulary: Vocabulary): string {
  if (cushions.length === 0) return 'straight';
  const sides = cushions.map((side) => `the ${sideWord(side, vocabulary)}`);
  const last = sides.pop() ?? '';
  const list = sides.length === 0 ? last : `${sides.join(', ')} and ${last}`;
  return `by ${list} ${termIn(vocabulary, 'cushion')}`;
}

/** "aim at diamond 2.35 of the left rail", or by the tape on a table without sights. */
export function aimWords(
  { cushion, along, share }: AimPoint,
  { sights }: TablePreset,
  vocabulary: Vocabulary,
): string {
  const isLong = cushion === 'left' || cushion === 'right';
  const rail = `the ${sideWord(cushion, vocabulary)} ${termIn(vocabulary, 'cushion')}`;
  if (sights)
    return `aim at diamond ${(share * (isLong ? SIGHTS.long : SIGHTS.short)).toFixed(2)} of ${rail}`;
  const from = isLong ? sideWord('head', vocabulary) : 'right';
  return `aim ${tapeLength(along)} from the ${from} along ${rail}`;
}

/** "3.1° wide; met 92 %, legal 88 %" */
export function lineWords({
  low,
  high,
  chance,
}: Pick<KickLine, 'low' | 'high'> & {
  readonly chance: { readonly met: number; readonly legal: number };
}): string {
  const met = `${toDegrees(high - low).toFixed(1)}° wide; met ${percent(chance.met)}`;
  return percent(chance.met) === percent(chance.legal)
    ? `${met}, all legal`
    : `${met}, legal ${percent(chance.legal)}`;
}

/** What playing the middle of a line comes to: "covers half of the ball; pots it in the foot left pocket" */
export function outcomeWords(
  { covered, pot, inOff, legal }: KickLine['middle'],
  vocabulary: Vocabulary,
): string {
  const share = `covers ${percent(covered)} of the ball`;
  if (inOff) return `${share}; the cue ball falls`;
  if (pot !== null) return `${share}; the ball falls`;
  return legal ? share : `${share}; too soft: no ball reaches a ${termIn(vocabulary, 'cushion')}`;
}

function metBy({ end, first }: Way): string {
  if (first !== undefined) return `the ${first}`;
  return end === 'pocket' ? 'a pocket' : 'nothing';
}

/** What misses meet: "A miss to the right meets the 3, one to the left nothing." @param right, left the ways beside the line */
export function missWords(right: Way, left: Way): string {
  const [one, other] = [metBy(right), metBy(left)];
  if (one === other) return `A miss on either side meets ${one}.`;
  return `A miss to the right meets ${one}, one to the left ${other}.`;
}

/** Where the cue ball has to come: by a cushion that may be either way with the cue. */
const NEXT_TRY: Readonly<Record<MissedWay, string>> = {
  left: 'bring the cue ball farther to the right',
  right: 'bring the cue ball farther to the left',
  short: 'play it harder',
};

/** What called misses cost so far, and what the next try should change: "4 misses called, 16 points. They go left …" */
export function replaysWords({ misses, points, drift }: Replays): string {
  const cost = points === 0 ? '' : `, ${counted(points, 'point')} given away`;
  const sum = `This round: ${misses} ${misses === 1 ? 'miss' : 'misses'} called${cost}.`;
  if (drift === undefined) return sum;
  const goes = drift.way === 'short' ? 'stop short' : `go ${drift.way}`;
  return `${sum} They ${goes} (${drift.count} of ${drift.told}): ${NEXT_TRY[drift.way]}.`;
}

/** What two places tell of a kick: what it leaves, how it was met, and what was off in it. */
export function kickReadWords(
  { left, leave, missed }: KickRead,
  told: KickTold | undefined,
  asAsked?: boolean,
): string {
  const foul = told?.legal === false ? ', a foul: no ball reached a cushion' : '';
  const met = missed
    ? ' The ball was not met.'
    : told?.grade === undefined
      ? ''
      : ` Met ${metWords(told.grade)}${foul}.`;
  const best = `The opponent’s best pot from there: ${percent(left)}, ${leave}.`;
  const asked =
    asAsked === undefined ? '' : asAsked ? ' As the drill asks.' : ' Not what the drill asks to be left.';
  return `${best}${asked}${met}${told === undefined ? '' : faultWords(told.fault)} Change what was otherwise.`;
}

function metWords(grade: NonNullable<KickTold['grade']>): string {
  return grade === 'cushion first' ? 'off a cushion more than asked' : grade;
}

/** " Probably 14 mm left of the line at the cushion." */
function faultWords(fault: KickTold['fault']): string {
  if (fault.kind === 'on plan') return ' As the surest line has it.';
  if (fault.kind === 'cannot tell') return '';
  const size = Math.abs(fault.amount);
  if (fault.error === 'line') return ` Probably ${tapeLength(size)} ${fault.cause} at the cushion.`;
  if (fault.error === 'pace') return ` Probably ${Math.round(100 * size)} % ${fault.cause}.`;
  return ` Probably ${fault.cause}: the tip ${Math.round(100 * size)} % of a radius off.`;
}

/** "2.3 m/s, left side, butt at 18°" */
export function strokeWords({ speed, tip, elevation }: KickStroke, vocabulary: Vocabulary): string {
  const side = termIn(vocabulary, 'side');
  const spin = tip.side === 0 ? `no ${side}` : `${tip.side < 0 ? 'left' : 'right'} ${side}`;
  const butt = elevation === 0 ? '' : `, butt at ${Math.round(toDegrees(elevation))}°`;
  return `${speedWords(speed)}, ${spin}${butt}`;
}

/** How hidden a ball is: "All of the 1 can be seen." */
export function seenWords({ seen, usable }: Seen, target: string): string {
  if (usable === 1) return `The ${target} lies open.`;
  const sight = seen === 0 ? `The ${target} cannot be seen` : `${percent(seen)} of the ${target} can be seen`;
  return usable === 0
    ? `${sight}; no straight hit is free.`
    : `${sight}; ${percent(usable)} of the straight hits are free.`;
}
