import { object, string, type Schema } from 'yup';
import { PERSON_HEADER } from '../../core/records/account.ts';

/** A refusal by the server: what it said, and about which field. */
export class ApiError extends Error {
  override name = 'ApiError';
  readonly status: number;
  readonly field: string | null;

  constructor(status: number, message: string, field: string | null) {
    super(message);
    this.status = status;
    this.field = field;
  }
}

/** The server was not reached; nothing is known of whether it got the request. */
export class OfflineError extends Error {
  override name = 'OfflineError';
}

const errorSchema = object({
  error: object({ message: string().required(), field: string().nullable().defined() }).required(),
}).required();

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

interface CallOptions {
  /** The id of the person as whom it is sent: refused with 401 when somebody else is signed in by now. */
  readonly as?: string;
  /** Taken for not reached when there is no answer for so long, ms. */
  readonly withinMs?: number;
}

/**
 * Calls the server and gives the parsed JSON of its reply.
 * @throws ApiError when it refuses, OfflineError when it is not reached
 */
export async function call(
  method: Method,
  path: string,
  body?: unknown,
  { as, withinMs }: CallOptions = {},
): Promise<unknown> {
  const headers = {
    ...(body === undefined ? {} : { 'content-type': 'application/json' }),
    ...(as === undefined ? {} : { [PERSON_HEADER]: as }),
  };
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      headers,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      ...(withinMs === undefined ? {} : { signal: AbortSignal.timeout(withinMs) }),
    });
  } catch (error) {
    throw new OfflineError('the server cannot be reached', { cause: error });
  }
  const value: unknown = await response.json().catch(() => undefined);
  if (response.ok) return value;
  const parsed = await errorSchema.validate(value).catch(() => undefined);
  throw new ApiError(
    response.status,
    parsed?.error.message ?? `the server answered ${response.status}`,
    parsed?.error.field ?? null,
  );
}

/** Gets and parses a reply. */
export async function get<T>(path: string, schema: Schema<T>, options: CallOptions = {}): Promise<T> {
  return schema.validate(await call('GET', path, undefined, options));
}
