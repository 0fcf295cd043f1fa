import { array, object, string, type InferType } from 'yup';
import { choice, instant, MISSING, text, uuid } from './fields.ts';

/** What a coach did that somebody may ask about later. */
export const AUDIT_ACTIONS = [
  'player added',
  'player corrected',
  'player archived',
  'player brought back',
  'player erased',
  'player exported',
  'may rewrite',
  'may not rewrite',
  'code given',
  'password changed',
  'signed out everywhere',
  'coach invited',
  'coach removed',
  'coach brought back',
  'round removed',
  'round brought back',
  'round moved',
  'attempt changed',
  'entry settled',
  'backup restored',
  'hall changed',
  'table changed',
  'club renamed',
  'club rules changed',
  'club founded',
] as const;
export type AuditAction = (typeof AUDIT_ACTIONS)[number];

export const AUDIT_SUBJECTS = ['person', 'round', 'table', 'hall', 'club'] as const;
export type AuditSubject = (typeof AUDIT_SUBJECTS)[number];

/** A line of the list of changes, with the names of today. */
export const auditEntrySchema = object({
  id: uuid(),
  at: instant(),
  by: text(80),
  action: choice(AUDIT_ACTIONS),
  subject: choice(AUDIT_SUBJECTS),
  subjectId: text(60),
  /** Of whom or of what, as it is called now. */
  name: string().strict().defined(MISSING),
  /** Another one whom it concerns. */
  other: string().strict().nullable().defined(MISSING),
  reason: string().strict().nullable().defined(MISSING),
}).required();
export type AuditEntry = InferType<typeof auditEntrySchema>;
export const auditEntriesSchema = array(auditEntrySchema).required();
