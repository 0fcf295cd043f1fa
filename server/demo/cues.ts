import type { CueDocument } from '../../core/records/cue.ts';
import { BREAK_CUES } from './logs.ts';

const [LIGHT, PLAYING] = BREAK_CUES;

/** The cues with which the demo's breaks are played. */
export const DEMO_CUES: readonly CueDocument[] = [
  {
    name: LIGHT,
    ownerId: null,
    weight: 510,
    length: 1470,
    tip: 'hard, 13.5 mm',
    shaft: 'maple',
    endMass: 9,
    squirtBy: 'test',
  },
  {
    name: PLAYING,
    ownerId: null,
    weight: 540,
    length: 1460,
    tip: 'medium, 12 mm',
    shaft: 'ash',
    endMass: null,
    squirtBy: null,
  },
];
