import { CUE_BALL, layOut } from '../../core/drill/layout.ts';
import { tablesOf } from '../../core/drill/stage.ts';
import { distance } from '../../core/math/point.ts';
import type { Drill } from '../../core/records/drill.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { buildTable, pocketNamed } from '../../core/table/table.ts';

/** Words that practitioners use for what a drill asks, beside those of its text. */
const TASK_WORDS: Readonly<Record<Drill['task']['kind'], string>> = {
  position: 'position cue ball control pot',
  land: 'position target cue ball control',
  clear: 'clear clearance run out clear up order pattern',
  break: 'break break off opening',
  kick: 'kick escape snooker snookered hidden cushion rail',
  plant: 'plant combination set',
  double: 'double bank cushion rail',
  safety: 'safety snooker hide leave',
  call: 'call judgement eye choose decision',
};

/** A pot is long where the two balls go more than this share of the table's length. */
const LONG = 0.75;

/** "long pot" where the pot of a drill is one. */
function potWords(drill: Drill): string {
  const { task } = drill;
  const pot =
    task.kind === 'position'
      ? { ball: task.pot, pocket: task.pocket }
      : task.kind === 'land'
        ? (task.pot ?? undefined)
        : undefined;
  if (pot === undefined) return '';
  const table = buildTable(drill.table);
  try {
    const balls = layOut(drill, table.preset);
    const cue = balls.find(({ id }) => id === CUE_BALL);
    const object = balls.find(({ id }) => id === pot.ball);
    if (cue === undefined || object === undefined) return '';
    const way = distance(cue, object) + distance(object, pocketNamed(table, pot.pocket).mouth);
    return way > LONG * table.length ? 'long pot' : 'short pot';
  } catch (error) {
    // A drill that does not fit its table has no pot to be measured.
    if (error instanceof RangeError) return '';
    throw error;
  }
}

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replaceAll(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .split(/[^\p{Letter}\p{Number}]+/u)
    .filter((word) => word !== '');

const known = new WeakMap<Drill, readonly string[]>();

/** All words by which a drill is found: its text, its advice, and what practitioners call it. */
function wordsOf(drill: Drill): readonly string[] {
  const before = known.get(drill);
  if (before !== undefined) return before;
  const { task, scoring } = drill;
  const words = plain(
    [
      drill.title,
      drill.purpose,
      drill.family,
      ...drill.skills,
      ...drill.advice,
      ...drill.conditions,
      ...drill.cautions,
      ...drill.stages.map(({ title }) => title),
      ...tablesOf(drill).map((id) => TABLE_PRESETS[id].name),
      drill.technique ?? '',
      scoring.method,
      TASK_WORDS[task.kind],
      task.kind === 'call' ? task.question : '',
      potWords(drill),
    ].join(' '),
  );
  known.set(drill, words);
  return words;
}

/** One of several is found by its plural, too. */
const singular = (word: string) => (word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word);

/**
 * Whether a drill is meant: each word that is asked for begins one of the drill's words, in any case, with or without
 * accents and hyphens.
 */
export function isFoundBy(drill: Drill, asked: string): boolean {
  return plain(asked).every((word) => wordsOf(drill).some((each) => each.startsWith(singular(word))));
}
