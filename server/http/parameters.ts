import { isDay, isInstant, isSlug, isUuid } from '../../core/records/fields.ts';
import { Refusal } from './errors.ts';

/** A part of an address that must be an id. @throws Refusal 400 naming the field */
export function requireUuid(value: string, field: string): string {
  if (!isUuid(value)) throw new Refusal(400, `${field} must be a UUID`, field);
  return value;
}

/** A part of an address that must be a whole number. @throws Refusal 400 naming the field */
export function wholeNumber(text: string, field: string): number {
  if (!/^\d{1,6}$/.test(text)) throw new Refusal(400, `${field} must be a whole number`, field);
  return Number(text);
}

/** A part of an address that must be the name of a drill. @throws Refusal 404: there is no drill of another name */
export function requireSlug(value: string): string {
  if (!isSlug(value)) throw new Refusal(404, 'this drill was not found', 'slug');
  return value;
}

/** A part of an address that must be a day. @throws Refusal 400 naming the field */
export function requireDay(value: string, field: string): string {
  if (!isDay(value)) throw new Refusal(400, `${field} must be a day (2026-11-24)`, field);
  return value;
}

/** A part of an address that must be a time. @throws Refusal 400 naming the field */
export function requireInstant(value: string, field: string): Date {
  if (!isInstant(value)) throw new Refusal(400, `${field} must be a time in UTC (ISO 8601)`, field);
  return new Date(value);
}

/** A part of an address that must be a text of plain characters. @throws Refusal 400 naming the field */
export function requireAscii(value: string, field: string): string {
  if (!/^[\x20-\x7e]{1,500}$/.test(value))
    throw new Refusal(400, `${field} cannot be one that is known here`, field);
  return value;
}
