/** The two ways in which the sport speaks. Terms that do not translate into each other are not in here. */
export type Vocabulary = 'pool' | 'snooker';

const TERMS = {
  follow: { pool: 'follow', snooker: 'top' },
  draw: { pool: 'draw', snooker: 'screw' },
  stop: { pool: 'stop shot', snooker: 'stun' },
  cushion: { pool: 'rail', snooker: 'cushion' },
  inOff: { pool: 'scratch', snooker: 'in-off' },
  side: { pool: 'english', snooker: 'side' },
  centreBall: { pool: 'centre ball', snooker: 'plain ball' },
  headEnd: { pool: 'head', snooker: 'baulk' },
  plant: { pool: 'combination', snooker: 'plant' },
  double: { pool: 'bank', snooker: 'double' },
  kick: { pool: 'kick', snooker: 'escape' },
  rest: { pool: 'bridge', snooker: 'rest' },
  footEnd: { pool: 'foot', snooker: 'top' },
} as const;

export type Term = keyof typeof TERMS;

export function termIn(vocabulary: Vocabulary, term: Term): string {
  return TERMS[term][vocabulary];
}

/** A word with a capital first letter, for buttons and the beginnings of sentences. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
