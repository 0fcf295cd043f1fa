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

/** Why a drill is proposed, in a sentence: "Break lies 12 points behind the mean; getting better would show; not played yet." */
export function nextDrillWords({ skill, behind, shows, restDays, course }: NextDrill): string {
  const reasons = [
    behind === null
      ? `${skill} is not rated yet`
      : behind >= BEHIND
        ? `${skill} lies ${Math.round(behind)} points behind the mean of the ratings`
        : `it trains ${skill}`,
    ...(shows !== null && shows >= SHOWS ? ['a step forward would show in it'] : []),
    ...(course === 'plateau' ? ['it has come to a plateau'] : []),
    restDays === null ? 'not played yet' : restWords(restDays),
  ];
  const sentence = reasons.join('; ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
}
