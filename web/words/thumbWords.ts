import { SIGHTS } from '../../core/shot/kicks/thumb/crib.ts';
import type { ThumbAnswer } from '../../core/shot/kicks/thumb/thumbAnswers.ts';
import type { Round, ThreeCushionFigures } from '../../core/shot/kicks/thumb/threeCushions.ts';
import { thumbCushions, type ThumbRule } from '../../core/shot/kicks/thumb/thumbRules.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import { aimWords, cushionsWords, sideWord } from './kickWords.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';
import { longLength, tapeLength } from './lengths.ts';

const RULE_WORDS: Readonly<Record<ThumbRule, string>> = {
  'equal angles': 'Equal angles',
  'far mark': 'One far mark',
  thirds: 'Thirds',
};

/** "Equal angles by the left rail" */
export function ruleWords({ question }: Pick<ThumbAnswer, 'question'>, vocabulary: Vocabulary): string {
  return `${RULE_WORDS[question.rule]} ${cushionsWords(thumbCushions(question), vocabulary)}`;
}

/** "It passes 34 mm long: it meets the ball off the middle." */
export function passingWords({ passing, hits }: Pick<ThumbAnswer, 'passing' | 'hits'>): string {
  if (passing === undefined) return 'It does not come round.';
  const by = `${tapeLength(Math.abs(passing.miss))} ${passing.miss < 0 ? 'short' : 'long'}`;
  return hits ? `Meets the ball, ${by} of its middle.` : `Misses the ball: passes ${by} of its middle.`;
}

/** Where the rule says to aim, and where it should. */
export function aimsWords(
  { aim, right }: Pick<ThumbAnswer, 'aim' | 'right'>,
  preset: TablePreset,
  vocabulary: Vocabulary,
): string {
  const says = `It says: ${aimWords(aim, preset, vocabulary)}.`;
  if (right === undefined) return `${says} No aim near it leads there with this stroke.`;
  return `${says} On this table: ${aimWords(right, preset, vocabulary)}.`;
}

/** Where the far mark is: "a mark 1.46 m out beyond the left rail and 1.21 m past the foot end" */
export function markWords(
  { mark }: ThreeCushionFigures,
  { first, second }: Round,
  table: { readonly length: number; readonly width: number },
  vocabulary: Vocabulary,
): string {
  const out = longLength(mark.y - table.width, 2);
  const past = mark.x - table.length;
  const end = `the ${sideWord(second, vocabulary)} end`;
  const where = past >= 0 ? `${longLength(past, 2)} past ${end}` : `${longLength(-past, 2)} before ${end}`;
  return `a mark ${out} out beyond the ${first} ${termIn(vocabulary, 'cushion')} and ${where}`;
}

/** A length along a long cushion: in sights where the table has them, else as a tape tells it. */
export function alongWords(metres: number, { sights, length }: TablePreset): string {
  return sights ? ((SIGHTS.long * metres) / length).toFixed(1) : tapeLength(metres);
}

/** The arithmetic by thirds, as it is to be learned. */
export function thirdsWords({ constant }: ThreeCushionFigures, preset: TablePreset): string {
  return `twice the start less the arrival, divided by three, plus ${alongWords(constant, preset)}`;
}
