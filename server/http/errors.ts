import { HTTPException } from 'hono/http-exception';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import { DamagedRowError } from '../db/damaged.ts';
import { troubleOf } from '../db/errors.ts';

/** A refusal that the client may see: what is wrong, in which field, with which status. */
export class Refusal extends HTTPException {
  readonly field: string | undefined;

  constructor(status: ContentfulStatusCode, message: string, field?: string) {
    super(status, { message });
    this.field = field;
  }
}

export function notFound(what: string): Refusal {
  return new Refusal(404, `${what} was not found`);
}

export function notAllowed(): Refusal {
  return new Refusal(403, 'this is for the coach of the club');
}

interface Answer {
  readonly status: ContentfulStatusCode;
  readonly message: string;
  readonly field: string | null;
}

/** What is answered when a request could not be done. */
export function answerOf(error: unknown): Answer {
  if (error instanceof Refusal) {
    return { status: error.status, message: error.message, field: error.field ?? null };
  }
  if (error instanceof HTTPException) {
    return { status: error.status, message: 'the request was refused', field: null };
  }
  if (error instanceof DamagedRowError) return { status: 409, message: error.message, field: null };
  switch (troubleOf(error)) {
    case 'reference':
      return { status: 404, message: 'something that this refers to was not found', field: null };
    case 'value':
      return { status: 400, message: 'a value cannot be stored', field: null };
    case 'gone':
    case 'busy':
    case 'conflict':
      return {
        status: 503,
        message: 'the database is not there just now: try again in a moment',
        field: null,
      };
    default:
      return {
        status: 500,
        message: 'something went wrong here: look whether it was stored, and try again',
        field: null,
      };
  }
}
