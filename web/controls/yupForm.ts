import type { FormErrors } from '@mantine/form';
import { ValidationError, type AnyObjectSchema } from 'yup';
import { ApiError } from '../api/client.ts';

/** Checks a form with the schema that the server uses too. */
export function checkedBy(schema: AnyObjectSchema) {
  return (values: unknown): FormErrors => {
    try {
      schema.validateSync(values, { abortEarly: false });
      return {};
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      return Object.fromEntries(error.inner.map((inner) => [inner.path ?? 'form', inner.message]));
    }
  };
}

/** Where a failed save is told: at the field the server names, or at `fallback`. What was typed stays. */
export function errorsOf(error: unknown, fallback: string): Record<string, string> {
  const message = error instanceof Error ? error.message : 'the save failed';
  return { [error instanceof ApiError && error.field !== null ? error.field : fallback]: message };
}
