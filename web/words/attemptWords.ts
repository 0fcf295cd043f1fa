import type { ContactGrade } from '../../core/counting/gradedContact.ts';
import { MISSED_WAYS, type KickAttempt } from '../../core/counting/kickScore.ts';
import type { AttemptOutcome } from '../../core/drill/round.ts';
import { counted } from './units.ts';

/** "2 called misses (1 left, 1 short)" */
function missesWords({ repeats, missed }: KickAttempt): string {
  const told = MISSED_WAYS.flatMap((way) => ((missed?.[way] ?? 0) > 0 ? [`${missed?.[way]} ${way}`] : []));
  const where = told.length === 0 ? '' : ` (${told.join(', ')})`;
  return `${repeats} called ${repeats === 1 ? 'miss' : 'misses'}${where}`;
}

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
    const again = kick.repeats === 0 ? [] : [`after ${missesWords(kick)}`];
    return [grade ?? (kick.hit ? 'hit' : 'missed'), ...again, `leaves ${kick.leave}`].join(', ');
  }
  if (grade !== undefined) return grade;
  if (balls !== undefined) {
    const worth = points === undefined || points === 0 ? [] : [counted(points, 'point')];
    const lost = penalty === undefined || penalty === 0 ? [] : [`${penalty} given away`];
    return [done ? 'cleared' : `${balls} made`, ...worth, ...lost].join(', ');
  }
  if (points !== undefined) return done || points > 0 ? counted(points, 'point') : 'missed';
  return done ? 'made' : 'missed';
}

/** How a ball was met: thick and thin begin alike and are told by their last letter. */
const GRADE_SIGNS: Readonly<Record<ContactGrade, string>> = {
  full: 'F',
  thick: 'Tk',
  thin: 'Tn',
  'cushion first': 'C',
  miss: '×',
};

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
  if (grade !== undefined) return GRADE_SIGNS[grade];
  if (outcome === 'in-off') return '○';
  // A clearance may earn points or none; a landing that was made may earn nothing.
  if (points !== undefined && (points > 0 || (done && balls === undefined))) return String(points);
  if (balls !== undefined && !done) return String(balls);
  return done ? '✓' : '×';
}
