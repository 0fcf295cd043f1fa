import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { attemptSign, attemptWords } from '../words/attemptWords.ts';

interface AttemptStripProps {
  readonly attempts: readonly StoredAttempt[];
  /** Of the whole round, where it is known. */
  readonly planned: number | undefined;
  /** "shot" where an attempt is one. */
  readonly word: string;
  readonly onChoose: (attempt: StoredAttempt) => void;
}

/** Boxes that fit beside each other. */
const MOST_BOXES = 12;

/** The round at a glance: a box an attempt with what it came to; a tap on one tells it otherwise. */
export function AttemptStrip({ attempts, planned, word, onChoose }: AttemptStripProps) {
  const count = planned ?? attempts.length + 1;
  // Of a long round the stretch around the next attempt is shown.
  const first = Math.max(0, Math.min(count - MOST_BOXES, attempts.length - MOST_BOXES + 2));
  const shown = Math.min(count, MOST_BOXES);
  return (
    <ol className="shot-strip" aria-label="The round so far">
      {Array.from({ length: shown }, (_, k) => {
        const i = first + k;
        const attempt = attempts[i];
        const number = i + 1;
        const name = `${word} ${number}`;
        return (
          <li
            key={i}
            className={attempt?.counted.done === true ? 'shot-box potted' : 'shot-box'}
            aria-current={i === attempts.length ? 'step' : undefined}
          >
            {attempt === undefined ? (
              <span className="shot-number">{number}</span>
            ) : (
              <button
                type="button"
                className="shot-tell"
                aria-label={`${name}: ${attemptWords(attempt.counted)}${attempt.changed === null ? '' : ', changed'}. Change it`}
                onClick={() => onChoose(attempt)}
              >
                <span className="shot-number">
                  {number}
                  {attempt.changed === null ? '' : '*'}
                </span>
                <span className="big">{attemptSign(attempt)}</span>
              </button>
            )}
          </li>
        );
      })}
    </ol>
  );
}
