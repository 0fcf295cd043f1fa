import type { ShareInterval } from '../../core/statistics/wilson.ts';
import { shortLength } from './lengths.ts';

/** An error along the cue ball's way and across it: "8 cm long, 2 cm left". @param metres positive is long, left */
export function alongAndAcross(along: number, across: number): string {
  const parts: string[] = [];
  const near = 0.015;
  if (Math.abs(along) >= near) parts.push(`${shortLength(along)} ${along > 0 ? 'long' : 'short'}`);
  if (Math.abs(across) >= near) parts.push(`${shortLength(across)} ${across > 0 ? 'left' : 'right'}`);
  if (parts.length === 0) return 'on the spot';
  if (parts.length === 1) return Math.abs(along) >= near ? `${parts[0] ?? ''}, on line` : (parts[0] ?? '');
  return parts.join(', ');
}

export function percent(share: number): string {
  return `${Math.round(100 * share)} %`;
}

/** "62 % (55 to 69)" */
export function interval({ share, low, high }: ShareInterval): string {
  return `${percent(share)} (${Math.round(100 * low)} to ${Math.round(100 * high)})`;
}

/** A number of things: "1 point", "2 points". @param thing in the singular, with a regular plural */
export function counted(count: number, thing: string): string {
  return `${count} ${thing}${count === 1 ? '' : 's'}`;
}

/** A whole number in words for a rank: 1st, 2nd, 3rd, 11th. */
export function ordinalNumber(n: number): string {
  const tens = n % 100;
  const ending = tens >= 11 && tens <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${ending}`;
}
