import type { NextDrill } from '../../core/records/nextDrill.ts';

/** Rating points behind the mean from which it is said. */
const BEHIND = 3;
/** What shows this clearly in one round is said to show, standard deviations. */
const SHOWS = 0.35;

function restWords(days: number): string {
  const whole = Math.round(days);
  if (whole === 0) return 'last played today';
  return whole === 1 ? 'last played yesterday' : `last played ${whole} days ago`;
}

/** Why a drill is proposed, in a sentence: "Break lies about 12 points behind the other skills; getting better would show; not played yet." */
export function nextDrillWords(
  { skill: trained, behind, isSurelyBehind, shows, restDays, course }: NextDrill,
  skillName: (skill: NextDrill['skill']) => string = (name) => name,
): string {
  const skill = skillName(trained);
  const reasons = [
    behind === null
      ? `${skill} is not rated yet`
      : behind < BEHIND
        ? `it trains ${skill}`
        : isSurelyBehind
          ? `${skill} lies about ${Math.round(behind)} points behind the other skills`
          : `${skill} may lie behind the other skills`,
    ...(shows !== null && shows >= SHOWS ? ['a step forward would show in it'] : []),
    ...(course === 'plateau' ? ['it has come to a plateau'] : []),
    restDays === null ? 'not played yet' : restWords(restDays),
  ];
  const sentence = reasons.join('; ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
}
