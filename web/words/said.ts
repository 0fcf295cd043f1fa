import type { Family, Skill } from '../../core/records/drill.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Ways to say the same; only such as mean nothing else in a drill's text. */
const TO_SNOOKER: readonly (readonly [RegExp, string])[] = [
  [/\brail(s?)\b/g, 'cushion$1'],
  [/\bcentre ball\b/g, 'plain ball'],
  [/\bscratch(es)?\b/g, 'in-off'],
  [/\bhead end\b/g, 'baulk end'],
  [/\bfoot end\b/g, 'top end'],
  [/\bcombination(s?)\b/g, 'plant$1'],
  [/\bbank shot(s?)\b/g, 'double$1'],
  [/\bkicking\b/g, 'escapes'],
  [/\bkick(s?)\b/g, 'escape$1'],
  [/\brun-out(s?)\b/g, 'clearance$1'],
  [/\brunning english\b/g, 'running side'],
  [/\bdraw or follow\b/g, 'screw or top'],
  [/\b(too much|too little|the|with|or more) draw\b/g, '$1 screw'],
  [/\bdraw (is|on the break|the length|the cue ball|back)\b/g, 'screw $1'],
  [/\bfollow (off|on the natural)\b/g, 'top $1'],
];
const TO_POOL: readonly (readonly [RegExp, string])[] = [
  [/\bcushion(s?)\b/g, 'rail$1'],
  [/\bplain ball\b/g, 'centre ball'],
  [/\bin-off(s?)\b/g, 'scratch'],
  [/\bbaulk end\b/g, 'head end'],
  [/\bplants or doubles\b/g, 'combinations or banks'],
  [/\bplant(s?)\b/g, 'combination$1'],
  [/\bescape(s?)\b/g, 'kick$1'],
  [/\bscrew\b/g, 'draw'],
];

/**
 * An authored sentence in the reader's words: what is written in one game's words is said in the other's. Titles are names and
 * stay.
 */
export function said(text: string, vocabulary: Vocabulary): string {
  return (vocabulary === 'snooker' ? TO_SNOOKER : TO_POOL).reduce(
    (now, [from, to]) =>
      now.replace(new RegExp(from.source, 'gi'), (word) => {
        const other = word.toLowerCase().replace(new RegExp(from.source), to);
        return word.charAt(0) === word.charAt(0).toLowerCase()
          ? other
          : other.charAt(0).toUpperCase() + other.slice(1);
      }),
    text,
  );
}

/** What a family of drills is called. */
export function familyWords(family: Family, vocabulary: Vocabulary): string {
  if (family === 'break' && vocabulary === 'snooker') return 'break-off';
  return said(family, vocabulary);
}

/** What a skill is called. */
export function skillWords(skill: Skill, vocabulary: Vocabulary): string {
  if (skill === 'break' && vocabulary === 'snooker') return 'break-off';
  return said(skill, vocabulary);
}
