import type { CueDocument } from '../../core/records/cue.ts';

/** A cue of the house of which little is known. */
export const PLAIN_CUE: CueDocument = {
  name: 'The heavy one',
  ownerId: null,
  weight: 560,
  length: 1470,
  tip: 'hard, 13 mm',
  shaft: '',
  endMass: null,
  squirtBy: null,
};
