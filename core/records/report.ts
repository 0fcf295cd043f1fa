import { array, object, type InferType } from 'yup';
import { count, day, flag, MISSING, note, text, UNKNOWN, uuid } from './fields.ts';

/** What a coach writes to a player and their parents about a period. */

export const reportDocumentSchema = object({
  playerId: uuid(),
  from: day(),
  to: day(),
  /** The coach's words. */
  words: note(),
  goals: array(text(160)).strict().required(MISSING).max(6, '${path} has at most six goals'),
})
  .exact(UNKNOWN)
  .required()
  .test('order', 'to must not be before from', ({ from, to }) => from <= to);
export type ReportDocument = InferType<typeof reportDocumentSchema>;

export const reportChangeSchema = object({
  document: reportDocumentSchema,
  basedOn: count(1, 1_000_000).nullable().defined(MISSING),
})
  .exact(UNKNOWN)
  .required();

export const reportSchema = object({
  id: uuid(),
  version: count(1, 1_000_000),
  player: object({ id: uuid(), name: text(80) }).required(),
  writtenBy: text(80),
  archived: flag(),
  document: reportDocumentSchema,
}).required();
export type Report = InferType<typeof reportSchema>;
export const reportsSchema = array(reportSchema).required();
