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
