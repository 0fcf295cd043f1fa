import { ValidationError } from 'yup';

/** Checks a whole document in one look, where thousands are read at once and each field's own checks would add up. */
export interface QuickLook<T> {
  isValidSync(value: unknown): value is T;
  /** @throws ValidationError for what is not one */
  validateSync(value: unknown): T;
}

/** @param what what it is, for the error @param is decides it */
export function quickLook<T>(what: string, is: (value: unknown) => value is T): QuickLook<T> {
  return {
    isValidSync: is,
    validateSync(value) {
      if (!is(value)) throw new ValidationError(`this is not ${what}`, value);
      return value;
    },
  };
}
