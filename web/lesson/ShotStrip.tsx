import type { StoredAttempt } from '../../core/records/club.ts';
import { capital } from '../words/vocabulary.ts';
import { useWords } from '../words/useWords.ts';

interface ShotStripProps {
  readonly attempts: readonly StoredAttempt[];
  readonly shots: number;
}

/** The round at a glance: a box a shot with its points, a cross for a miss, a ring for a lost cue ball. */
export function ShotStrip({ attempts, shots }: ShotStripProps) {
  const { term } = useWords();
  const wordOf = (attempt: StoredAttempt | undefined) => {
    if (attempt === undefined) return 'not played yet';
    if (attempt.outcome === 'missed') return 'missed';
    if (attempt.outcome === 'in-off') return capital(term('inOff'));
    return attempt.points === 1 ? '1 point' : `${attempt.points} points`;
  };
  const signOf = (attempt: StoredAttempt | undefined) =>
    attempt === undefined
      ? ''
      : { potted: String(attempt.points), missed: '×', 'in-off': '○' }[attempt.outcome];
  return (
    <ol className="shot-strip scoring-aside" aria-label="The round shot by shot">
      {Array.from({ length: shots }, (_, i) => (
        <li
          key={i}
          className={attempts[i]?.outcome === 'potted' ? 'shot-box potted' : 'shot-box'}
          aria-label={`Shot ${i + 1}: ${wordOf(attempts[i])}`}
          aria-current={i === attempts.length ? 'step' : undefined}
        >
          <span className="shot-number">{i + 1}</span>
          <span className="big">{signOf(attempts[i])}</span>
        </li>
      ))}
    </ol>
  );
}
