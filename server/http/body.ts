import type { Context } from 'hono';
import { ValidationError, type AnyObjectSchema, type InferType } from 'yup';
import { notPlain } from '../../core/records/plain.ts';
import { Refusal } from './errors.ts';

/** A benchmark, the largest thing that is sent but for a backup, has some 5 kB. */
const LARGEST_BODY = 64 * 1024;
/** The body's bytes, counted as they come: whoever sends more is not listened to any longer. */
async function readBytes(c: Context, most: number): Promise<Uint8Array> {
  const tooLarge = () => new Refusal(413, `the body must be at most ${String(most)} bytes`, 'body');
  if (Number(c.req.header('content-length') ?? 0) > most) throw tooLarge();
  const body: ReadableStream<Uint8Array> | null = c.req.raw.body;
  const reader = body?.getReader();
  const pieces: Uint8Array[] = [];
  let size = 0;
  while (reader !== undefined) {
    const { done, value } = await reader.read().catch(() => {
      throw new Refusal(400, 'the body was cut off', 'body');
    });
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      // What still comes is thrown away.
      void reader.cancel().catch(() => undefined);
      throw tooLarge();
    }
    pieces.push(value);
  }
  return Buffer.concat(pieces);
}

/** JSON as it comes from elsewhere. @throws Refusal 400 for malformed JSON and for what no record can hold */
export function parseForeign(text: string): unknown {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    throw new Refusal(400, 'the body is not valid JSON', 'body');
  }
  const wrong = notPlain(value);
  if (wrong !== undefined) {
    const field = wrong.path.slice(0, 100);
    throw new Refusal(400, `${field} ${wrong.what}`, field);
  }
  return value;
}

/** A JSON body as it comes. @throws Refusal 413 for a larger one, 415 for another type of content */
export async function readJsonBytes(c: Context, most: number): Promise<Uint8Array> {
  const type = c.req.header('content-type') ?? '';
  if (!type.startsWith('application/json')) throw new Refusal(415, 'the body must be JSON', 'body');
  return readBytes(c, most);
}

/**
 * The request's body, parsed and checked. Routes ask for it after they know who asks.
 * @throws Refusal 400 for malformed JSON or a wrong field (named), 413 and 415 as readJsonBytes
 */
export async function readBody<S extends AnyObjectSchema>(c: Context, schema: S): Promise<InferType<S>> {
  const value = parseForeign(new TextDecoder().decode(await readJsonBytes(c, LARGEST_BODY)));
  try {
    return await schema.validate(value, { abortEarly: true });
  } catch (error) {
    if (error instanceof ValidationError) throw refusalOf(error);
    // A rule about a whole record stumbled over a field that is not even of its kind: the field's own rules name it.
    if (error instanceof TypeError || error instanceof RangeError) throw wrongFieldOf(schema, value);
    throw error;
  }
}

/** The first field of a record that breaks its own rules. */
function wrongFieldOf(schema: AnyObjectSchema, value: unknown): Refusal {
  for (const path of Object.keys(schema.fields)) {
    try {
      schema.validateSyncAt(path, value);
    } catch (error) {
      if (error instanceof ValidationError) return refusalOf(error);
      return new Refusal(400, `${path} is not of the shape that is asked for here`, path);
    }
  }
  return new Refusal(400, 'body is not of the shape that is asked for here', 'body');
}

/** What a schema found wrong, with the field. */
export function refusalOf(error: ValidationError): Refusal {
  const field =
    error.path === undefined || error.path === '' ? (error.message.split(' ')[0] ?? 'body') : error.path;
  return new Refusal(400, error.message, field);
}
