import type { RuleOfThumb } from '../../core/virtual/rulesOfThumb.ts';
import { longLength, longUnit, numberIn } from '../words/lengths.ts';

const number = (length: number) => numberIn(longUnit(), length);

/** Where a change of the way lies by the ends of a rating's interval, if both ends say the same ways. */
function between(rules: readonly RuleOfThumb[], index: number): string {
  const ends = rules.flatMap(({ stretches }) => stretches[index]?.until ?? []).sort((a, b) => a - b);
  const [first, last] = [ends[0], ends.at(-1)];
  if (first === undefined || last === undefined || number(first) === number(last)) return '';
  return ` (${number(first)} to ${number(last)})`;
}

const waysOf = ({ stretches }: RuleOfThumb) => stretches.map(({ way }) => way).join(', ');

/**
 * "20° cut: plain up to 1.5 m (1.3 to 1.7), running side beyond." @param ends the rule at both ends of the rating's interval
 */
export function thumbWords(rule: RuleOfThumb, ends: readonly RuleOfThumb[]): string {
  const cut = `${rule.cutDeg}° cut`;
  const [a, b] = rule.ways;
  if (rule.stretches.length === 0) return `${cut}: ${a} and ${b} do equally well.`;
  const sure = ends.every((end) => waysOf(end) === waysOf(rule));
  const parts = rule.stretches.map(({ way, until }, i) => {
    if (until !== undefined) {
      return `${way} ${i === 0 ? 'up ' : ''}to ${longLength(until)}${sure ? between([rule, ...ends], i) : ''}`;
    }
    return i === 0 ? `${way} at every distance` : `${way} beyond`;
  });
  return `${cut}: ${parts.join(', ')}.${sure ? '' : ' Within the interval of the rating it may be otherwise.'}`;
}
