import { HTTPException } from 'hono/http-exception';
import type { ContentfulStatusCode } from 'hono/utils/http-status';

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
