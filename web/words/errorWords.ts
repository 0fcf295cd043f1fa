import type { StrokeError } from '../../core/scoring/attribution.ts';

/** What of a stroke can be off, as it is said. */
export const ERROR_WORDS: Readonly<Record<StrokeError, string>> = {
  pace: 'pace',
  line: 'line',
  side: 'side',
  height: 'height of the tip',
};
