import type { AttemptOutcome } from '../../core/drill/round.ts';

/** What came of an attempt, in a few words: what its drill counts, or whether it was done. */
export function attemptWords({
  done,
  balls,
  points,
  penalty,
  target,
  grade,
  kick,
  opening,
}: AttemptOutcome): string {
  if (opening !== undefined) {
    const parts = [`${opening.balls} down`, `control ${opening.control}`, `layout ${opening.layout}`];
    return [...parts, ...(opening.inOff ? ['cue ball lost'] : [])].join(', ');
  }
  if (target !== undefined) return `the ${target}: ${done ? 'done' : 'missed'}`;
  if (kick !== undefined) {
    const again = kick.repeats === 0 ? [] : [`after ${kick.repeats} more`];
    return [grade ?? (kick.hit ? 'hit' : 'missed'), ...again, `leaves ${kick.leave}`].join(', ');
  }
  if (balls !== undefined) {
    const worth = points === undefined || points === 0 ? [] : [`${points} points`];
    const lost = penalty === undefined || penalty === 0 ? [] : [`${penalty} given away`];
    return [done ? 'cleared' : `${balls} made`, ...worth, ...lost].join(', ');
  }
  if (points !== undefined) return done || points > 0 ? `${points} points` : 'missed';
  return done ? 'made' : 'missed';
}

/** What came of an attempt in a sign or a number: a cross for a miss, a ring for a lost cue ball. */
export function attemptSign({
  counted,
  outcome,
}: {
  readonly counted: AttemptOutcome;
  readonly outcome: 'potted' | 'missed' | 'in-off';
}): string {
  const { done, balls, points, grade, kick, opening } = counted;
  if (opening !== undefined) return String(opening.balls);
  if (kick !== undefined) return kick.hit ? '✓' : '×';
  if (grade !== undefined) return grade === 'miss' ? '×' : grade.charAt(0).toUpperCase();
  if (outcome === 'in-off') return '○';
  if (points !== undefined && (done || points > 0)) return String(points);
  if (balls !== undefined && !done) return String(balls);
  return done ? '✓' : '×';
}
