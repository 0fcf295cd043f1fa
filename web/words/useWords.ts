import { useLocalStorage } from '@mantine/hooks';
import type { Skill } from '../../core/records/drill.ts';
import { said, skillWords } from './said.ts';
import { termIn, type Term, type Vocabulary } from './vocabulary.ts';

/** The chosen vocabulary: kept on the device, since it is a habit of whoever reads it. */
export function useWords() {
  const [vocabulary, setVocabulary] = useLocalStorage<Vocabulary>({
    key: 'jolly-vocabulary',
    defaultValue: 'pool',
    getInitialValueInEffect: false,
    deserialize: (text) => (text === 'snooker' ? 'snooker' : 'pool'),
    serialize: (value) => value,
  });
  return {
    vocabulary,
    setVocabulary,
    term: (term: Term) => termIn(vocabulary, term),
    /** An authored sentence in these words. */
    say: (text: string) => said(text, vocabulary),
    /** A skill's name in these words. */
    skillName: (skill: Skill) => skillWords(skill, vocabulary),
  };
}
