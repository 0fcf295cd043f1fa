import type { Caution } from '../../core/records/drill.ts';

/** What to mind where a drill says so: short, and never advice. */
export const CAUTION_WORDS: Readonly<Record<Caution, string>> = {
  'raised butt':
    'A raised butt can send a ball off the table: clear the landing side, mind eyes and glass; house rules win.',
  'hard break': 'A hard break can send a ball off the table: clear the landing side, mind eyes and glass.',
  rest: 'Hold the rest firmly on the cloth.',
  repetition: 'Long repetitions tire: pause, and stop on pain.',
};
