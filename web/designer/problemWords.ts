import type { Problem } from '../../core/drill/problems.ts';

/** How the fields of a file are called on this screen. */
const NAMES: readonly (readonly [RegExp, string])[] = [
  [/^stages\[(\d+)\]\.bands/, 'the bands of stage $1'],
  [/^stages\[(\d+)\]\.scoring/, 'the count of stage $1'],
  [/^stages\[(\d+)\]\.title/, 'the title of stage $1'],
  [/^stages\[(\d+)\]/, 'stage $1'],
  [/^task\.next\.ball/, 'the next ball'],
  [/^task\.pot(\.ball)?/, 'the ball to pot'],
  [/^task\.(target|first)/, 'the ball to hit'],
  [/^task\.order/, 'the order'],
  [/^targets\[(\d+)\]/, 'target $1'],
  [/^balls\[(\d+)\]/, 'ball number $1'],
  [/^advice\[(\d+)\]/, 'line $1 of the advice'],
  [/^purpose/, 'what it is for'],
  [/^skills/, 'what it trains'],
  [/^scoring\.(\w+)/, 'the count’s $1'],
  [/^scoring/, 'the count'],
  [/^rack/, 'the rack'],
  [/^thrown/, 'the throw'],
  [/^slug/, 'the title'],
  [/^title/, 'the title'],
];

/** A problem as it is said on this screen, beginning with a capital letter. */
export function problemWords({ words }: Problem): string {
  const known = NAMES.find(([field]) => field.test(words));
  const said =
    known === undefined
      ? words
      : words.replace(known[0], (...match: unknown[]) => {
          const number = Number(match[1]);
          return known[1].replace('$1', Number.isNaN(number) ? String(match[1]) : String(number + 1));
        });
  return said.charAt(0).toUpperCase() + said.slice(1);
}

/** The problems, each said once; that the address is missing goes without saying where the title is. */
export function problemsInWords(problems: readonly Problem[]): readonly string[] {
  const untitled = problems.some(({ field }) => field === 'title');
  const told = problems.filter(({ field }) => field !== 'slug' || !untitled);
  return [...new Set(told.map(problemWords))];
}
