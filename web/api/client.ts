import { object, string, type Schema } from 'yup';

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

/**
 * Calls the server and gives the parsed JSON of its reply.
 * @throws ApiError when it refuses, OfflineError when it is not reached
 */
export async function call(method: Method, path: string, body?: unknown): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
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
export async function get<T>(path: string, schema: Schema<T>): Promise<T> {
  return schema.validate(await call('GET', path));
}
