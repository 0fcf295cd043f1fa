import type { AttemptLog } from '../../core/records/attempt.ts';
import { underWaySchema } from '../../core/records/openRound.ts';
import { endRoundSchema } from '../../core/records/round.ts';
import {
  attemptChangeSchema,
  attemptNotesSchema,
  newAttemptSchema,
  type StoredAttempt,
} from '../../core/records/storedAttempt.ts';
import { UncountableError } from '../../core/scoring/countAttempt.ts';
import type { Course } from '../../core/scoring/course.ts';
import { storedAttempt } from '../../core/scoring/storedAttempt.ts';
import { topicOfRound } from '../outbox/roundCopy.ts';
import type { Request, Sending } from '../outbox/sending.ts';

/** What one step of scoring tells the server. */
export type Change =
  | { readonly kind: 'attempt'; readonly attempt: StoredAttempt }
  | { readonly kind: 'undo'; readonly id: string }
  | { readonly kind: 'end'; readonly at: string; readonly early: boolean }
  | { readonly kind: 'reopen' }
  | { readonly kind: 'under way'; readonly log: AttemptLog | null; readonly at: string }
  | { readonly kind: 'note'; readonly id: string; readonly log: AttemptLog }
  | {
      readonly kind: 'change';
      readonly id: string;
      readonly log: AttemptLog;
      readonly reason: string;
      /** Name of whoever tells it. */
      readonly by: string;
      readonly at: string;
    };

/** How a change is told to the server. */
export function requestOf(roundId: string, change: Change): Request {
  const base = `/rounds/${roundId}`;
  const topic = topicOfRound(roundId);
  switch (change.kind) {
    case 'attempt': {
      const { id, ordinal, log, playedAt } = change.attempt;
      const body = { ordinal, log, playedAt };
      return { topic, method: 'PUT', path: `${base}/attempts/${id}`, body, label: `Shot ${ordinal}` };
    }
    case 'undo':
      return {
        topic,
        method: 'DELETE',
        path: `${base}/attempts/${change.id}`,
        body: null,
        label: 'Taking a shot back',
      };
    case 'end':
      return {
        topic,
        method: 'POST',
        path: `${base}/end`,
        body: { endedAt: change.at, early: change.early },
        label: 'The end of the round',
      };
    case 'reopen':
      return { topic, method: 'POST', path: `${base}/reopen`, body: {}, label: 'Opening the round again' };
    case 'under way':
      return {
        topic,
        method: 'PUT',
        path: `${base}/under-way`,
        body: { log: change.log, at: change.at },
        label: 'An attempt under way',
      };
    case 'note':
      return {
        topic,
        method: 'PUT',
        path: `${base}/attempts/${change.id}/notes`,
        body: { log: change.log },
        label: 'A note on a shot',
      };
    case 'change':
      return {
        topic,
        method: 'POST',
        path: `${base}/attempts/${change.id}/changes`,
        body: { log: change.log, reason: change.reason, changedAt: change.at },
        label: 'A changed shot',
      };
  }
}

/**
 * The change that a waiting request tells, counted anew: what a page reads that was loaded after it was entered.
 * Undefined for one that changes nothing of the attempts, or that this version cannot count.
 */
export function changeOf(
  course: Course,
  { path, body, person }: Pick<Sending, 'path' | 'body' | 'person'>,
): Change | undefined {
  const [, , , part = '', id = '', about] = path.split('/');
  try {
    if (part === 'end') {
      const { endedAt, early } = endRoundSchema.validateSync(body);
      return { kind: 'end', at: endedAt, early };
    }
    if (part === 'reopen') return { kind: 'reopen' };
    if (part === 'under-way') return { kind: 'under way', ...underWaySchema.validateSync(body) };
    if (part !== 'attempts') return undefined;
    if (about === 'notes') return { kind: 'note', id, log: attemptNotesSchema.validateSync(body).log };
    if (about === 'changes') {
      const { log, reason, changedAt } = attemptChangeSchema.validateSync(body);
      return { kind: 'change', id, log, reason, by: person.name, at: changedAt };
    }
    if (body === null) return { kind: 'undo', id };
    const { log, ordinal, playedAt } = newAttemptSchema.validateSync(body);
    return { kind: 'attempt', attempt: storedAttempt(course.counting, log, { id, ordinal, playedAt }) };
  } catch (error) {
    if (error instanceof UncountableError || (error instanceof Error && error.name === 'ValidationError')) {
      return undefined;
    }
    throw error;
  }
}
