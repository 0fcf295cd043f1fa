import type { Context } from 'hono';
import { ValidationError, type AnyObjectSchema, type InferType } from 'yup';
import { Refusal } from './errors.ts';

/**
 * The request's body, parsed and checked.
 * @throws Refusal 400 for malformed JSON or a wrong field (named), 415 for another type of content
 */
export async function readBody<S extends AnyObjectSchema>(c: Context, schema: S): Promise<InferType<S>> {
  const type = c.req.header('content-type') ?? '';
  if (!type.startsWith('application/json')) throw new Refusal(415, 'the body must be JSON', 'body');
  let value: unknown;
  try {
    value = JSON.parse(await c.req.text());
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    throw new Refusal(400, 'the body is not valid JSON', 'body');
  }
  try {
    return await schema.validate(value, { abortEarly: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const field =
      error.path === undefined || error.path === '' ? (error.message.split(' ')[0] ?? 'body') : error.path;
    throw new Refusal(400, error.message, field);
  }
}
