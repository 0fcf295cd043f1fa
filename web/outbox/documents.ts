import {
  lessonDocumentSchema,
  lessonSchema,
  lessonWithRoundsSchema,
  type Lesson,
  type LessonDocument,
} from '../../core/records/lesson.ts';
import {
  programmeDocumentSchema,
  programmeSchema,
  programmeWithRoundsSchema,
  type Programme,
  type ProgrammeDocument,
} from '../../core/records/programme.ts';
import {
  reportDocumentSchema,
  reportSchema,
  type Report,
  type ReportDocument,
} from '../../core/records/report.ts';
import { DocumentStore } from './documentStore.ts';
import type { Person } from './sending.ts';

/** The documents that are worked on. */

export const lessonDocuments = new DocumentStore<LessonDocument, Lesson>({
  path: 'lessons',
  documentSchema: lessonDocumentSchema,
  stored: (reply) => lessonSchema.validate(reply),
  read: async (reply) => (await lessonWithRoundsSchema.validate(reply)).lesson,
});

export const programmeDocuments = new DocumentStore<ProgrammeDocument, Programme>({
  path: 'programmes',
  documentSchema: programmeDocumentSchema,
  stored: (reply) => programmeSchema.validate(reply),
  read: async (reply) => (await programmeWithRoundsSchema.validate(reply)).programme,
});

export const reportDocuments = new DocumentStore<ReportDocument, Report>({
  path: 'reports',
  documentSchema: reportDocumentSchema,
  stored: (reply) => reportSchema.validate(reply),
  read: (reply) => reportSchema.validate(reply),
});

/** Says who is signed in: what they left unsent is sent. */
export function setDocumentsOwner(person: Person | undefined): void {
  lessonDocuments.setOwner(person);
  programmeDocuments.setOwner(person);
  reportDocuments.setOwner(person);
}
