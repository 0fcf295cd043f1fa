import type { Condition } from '../../core/records/drill.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';

/** What happened when a condition was broken: "touched a cushion" */
export function brokenWords(condition: Condition, vocabulary: Vocabulary): string {
  const term = (name: Parameters<typeof termIn>[1]) => termIn(vocabulary, name);
  switch (condition) {
    case 'no cushion':
      return `touched a ${term('cushion')}`;
    case 'at least one cushion':
      return `touched no ${term('cushion')}`;
    case 'no second ball':
      return 'touched a second ball';
    case 'direct hit':
      return 'not hit directly';
    case 'cushion first':
      return `no ${term('cushion')} first`;
    case 'nominated pocket':
      return 'another pocket than the one called';
    case 'alternating pockets':
      return 'the same pocket twice';
    case 'no side':
      return `played with ${term('side')}`;
    case 'no plants or doubles':
      return `by a ${term('plant')} or a ${term('double')}`;
    case 'no rest':
      return `used the ${term('rest')}`;
  }
}
