import type { Clash } from '../../core/evening/clashes.ts';
import type { Want } from '../../core/records/evening.ts';
import { nextDrillWords } from './nextDrillWords.ts';

/** The time on the clock so many minutes after the beginning: "18:30" and 20 are "18:50". */
export function clockAt(begins: string, minutes: number): string {
  const [hours = 0, past = 0] = begins.split(':').map(Number);
  const all = (((hours * 60 + past + Math.round(minutes)) % 1440) + 1440) % 1440;
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(all / 60))}:${two(all % 60)}`;
}

/** Minutes from the beginning to a time on the clock; a time before it is on the next day. */
export function minutesTo(begins: string, clock: string): number {
  const at = (text: string) => {
    const [hours = 0, past = 0] = text.split(':').map(Number);
    return hours * 60 + past;
  };
  return (at(clock) - at(begins) + 1440) % 1440;
}

/** Why a student has a turn. */
export function wantWords(want: Want): string {
  return want.kind === 'warm-up' ? 'To warm up: this goes well already.' : nextDrillWords(want);
}

const CLASH_WORDS: Readonly<Record<Clash, string>> = {
  'two at this table': 'Somebody else is at this table then.',
  'at two tables at once': 'At two tables at once.',
  'not there yet': 'Not there yet, or still playing.',
  'table not free yet': 'The table is not free then.',
  'not for this table': 'This drill cannot be played at this table.',
  'coach at two tables at once': 'The coach is at two tables at once.',
  'no rest before it': 'A rest is due before this.',
  'more than the evening holds': 'More than a student is to play on one evening.',
};

export const clashWords = (clash: Clash): string => CLASH_WORDS[clash];

/** A share of the evening's worth below this is no difference. */
const NO_DIFFERENCE = 0.005;

/** Who could have had the turn instead, and what that costs. */
export function insteadWords(name: string, costs: number): string {
  if (costs < NO_DIFFERENCE) return `${name} here instead would be as good.`;
  const percent = Math.max(1, Math.round(100 * costs));
  return `${name} here instead: the evening would be worth ${percent} % less.`;
}
