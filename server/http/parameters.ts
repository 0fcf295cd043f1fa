import { Refusal } from './errors.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A part of an address that must be an id. @throws Refusal 400 naming the field */
export function requireUuid(value: string, field: string): string {
  if (!UUID.test(value)) throw new Refusal(400, `${field} must be a UUID`, field);
  return value;
}

/** A part of an address that must be a whole number. @throws Refusal 400 naming the field */
export function wholeNumber(text: string, field: string): number {
  if (!/^\d{1,6}$/.test(text)) throw new Refusal(400, `${field} must be a whole number`, field);
  return Number(text);
}
