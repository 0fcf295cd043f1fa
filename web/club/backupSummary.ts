import { array, object, string, ValidationError } from 'yup';
import { dayAndClock } from '../words/dates.ts';

/** What a backup is of, before it is sent. */
export interface BackupSummary {
  readonly club: string;
  readonly madeAt: string;
  readonly people: number;
  readonly rounds: number;
  readonly attempts: number;
}

const schema = object({
  format: string().required().oneOf(['jolly-rail/club']),
  madeAt: string().required(),
  club: object({ name: string().required() }).required(),
  tables: object({
    people: array().required(),
    rounds: array().required(),
    attempts: array().required(),
  }).required(),
}).required();

/** Undefined for a text that is no backup; the server checks every field of it. */
export function summaryOfBackup(text: string): BackupSummary | undefined {
  try {
    const { madeAt, club, tables } = schema.validateSync(JSON.parse(text));
    return {
      club: club.name,
      madeAt: dayAndClock(madeAt),
      people: tables.people.length,
      rounds: tables.rounds.length,
      attempts: tables.attempts.length,
    };
  } catch (error) {
    if (error instanceof SyntaxError || error instanceof ValidationError) return undefined;
    throw error;
  }
}
