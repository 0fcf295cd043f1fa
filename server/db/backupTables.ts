import type { AnySchema } from 'yup';
import { fixedBandsSchema } from '../../core/records/fixedBands.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { lessonDocumentSchema } from '../../core/records/lesson.ts';
import { programmeDocumentSchema } from '../../core/records/programme.ts';
import { reportDocumentSchema } from '../../core/records/report.ts';
import { conditionsSchema } from '../../core/records/conditions.ts';
import { tableCardSchema } from '../../core/records/tableCard.ts';

/** What a column of a backup holds. */
export type ColumnKind = 'text' | 'number' | 'instant' | 'day' | 'json';

export interface BackupTable {
  readonly name: string;
  /** By name: the kind, with a ? where it may be null. */
  readonly columns: Readonly<Record<string, ColumnKind | `${ColumnKind}?`>>;
  /** Which rows are a club's; every parameter is the club's id. */
  readonly where: string;
  /** What the documents in some columns must be. */
  readonly documents?: Readonly<Record<string, AnySchema>>;
  /** In which order they stand in the file. */
  readonly order: string;
}

const OF_CLUB = 'club_id = ?';
const OF_PERSON = (column: string) => `${column} IN (SELECT id FROM people WHERE club_id = ?)`;
const OF_TABLE = 'table_id IN (SELECT id FROM tables WHERE club_id = ?)';
const OF_ROUND = 'round_id IN (SELECT id FROM rounds WHERE club_id = ?)';

/** Everything of a club, each table after those that it refers to. Sessions, codes and what can be computed stay behind. */
export const BACKUP_TABLES: readonly BackupTable[] = [
  {
    name: 'people',
    columns: {
      id: 'text',
      club_id: 'text',
      role: 'text',
      name: 'text',
      hand: 'text',
      email: 'text?',
      password_hash: 'text?',
      archived_at: 'instant?',
      created_at: 'instant',
    },
    where: OF_CLUB,
    order: 'id',
  },
  {
    name: 'tables',
    columns: {
      id: 'text',
      club_id: 'text',
      name: 'text',
      preset: 'text',
      revision: 'number',
      archived_at: 'instant?',
      created_at: 'instant',
    },
    where: OF_CLUB,
    order: 'id',
  },
  {
    name: 'table_cards',
    columns: {
      table_id: 'text',
      revision: 'number',
      card: 'json',
      changed_by: 'text?',
      changed_at: 'instant',
    },
    where: OF_TABLE,
    order: 'table_id, revision',
    documents: { card: tableCardSchema },
  },
  {
    name: 'table_conditions',
    columns: {
      id: 'text',
      table_id: 'text',
      document: 'json',
      note: 'text',
      noted_by: 'text',
      noted_at: 'instant',
      recorded_at: 'instant',
      withdrawn_at: 'instant?',
    },
    where: OF_TABLE,
    order: 'id',
    documents: { document: conditionsSchema },
  },
  {
    // The club's own texts, and those of the library by which its rounds were played.
    name: 'drill_revisions',
    columns: {
      owner: 'text',
      slug: 'text',
      revision: 'number',
      digest: 'text',
      document: 'json',
      written_by: 'text?',
      created_at: 'instant',
    },
    where: `(owner = ? OR (owner = 'library' AND (slug, revision) IN
      (SELECT drill, revision FROM rounds WHERE club_id = ? AND drill_owner = 'library')))`,
    order: 'owner, slug, revision',
    documents: { document: drillSchema },
  },
  {
    name: 'club_drills',
    columns: { club_id: 'text', slug: 'text', archived_at: 'instant?', created_at: 'instant' },
    where: OF_CLUB,
    order: 'slug',
  },
  {
    name: 'favourite_drills',
    columns: { person_id: 'text', slug: 'text' },
    where: OF_PERSON('person_id'),
    order: 'person_id, slug',
  },
  {
    name: 'fixed_bands',
    columns: { club_id: 'text', drill: 'text', stage: 'number', document: 'json' },
    where: OF_CLUB,
    order: 'drill, stage',
    documents: { document: fixedBandsSchema },
  },
  {
    name: 'lessons',
    columns: {
      id: 'text',
      club_id: 'text',
      held_by: 'text',
      version: 'number',
      document: 'json',
      day: 'day',
      archived_at: 'instant?',
      changed_at: 'instant',
    },
    where: OF_CLUB,
    order: 'id',
    documents: { document: lessonDocumentSchema },
  },
  {
    name: 'lesson_people',
    columns: { lesson_id: 'text', person_id: 'text' },
    where: 'lesson_id IN (SELECT id FROM lessons WHERE club_id = ?)',
    order: 'lesson_id, person_id',
  },
  {
    name: 'rounds',
    columns: {
      id: 'text',
      club_id: 'text',
      player_id: 'text',
      recorded_by: 'text',
      table_id: 'text',
      table_revision: 'number',
      conditions_id: 'text?',
      table_fingerprint: 'text',
      drill_owner: 'text',
      drill: 'text',
      revision: 'number',
      stage: 'number',
      ladder_start: 'number',
      seed: 'number',
      lesson_id: 'text?',
      block_id: 'text?',
      started_at: 'instant',
      ended_at: 'instant?',
      ended_early: 'number?',
      recorded_at: 'instant',
      result: 'json?',
      sums: 'json?',
      under_way: 'json?',
      under_way_at: 'instant?',
      advice: 'json?',
    },
    where: OF_CLUB,
    order: 'id',
  },
  {
    name: 'attempts',
    columns: {
      id: 'text',
      round_id: 'text',
      ordinal: 'number',
      outcome: 'text',
      landing_x: 'number?',
      landing_y: 'number?',
      points: 'number',
      along: 'number?',
      across: 'number?',
      log: 'json?',
      counted: 'json?',
      played_at: 'instant',
      recorded_at: 'instant',
      recorded_by: 'text?',
      undone_at: 'instant?',
      contested: 'number',
      changed_at: 'instant?',
      changed_by: 'text?',
      change_reason: 'text?',
    },
    where: OF_ROUND,
    order: 'id',
  },
  {
    name: 'attempt_changes',
    columns: {
      attempt_id: 'text',
      changed_at: 'instant',
      changed_by: 'text',
      reason: 'text',
      log_before: 'json?',
    },
    where: `attempt_id IN (SELECT id FROM attempts WHERE ${OF_ROUND})`,
    order: 'attempt_id, changed_at',
  },
  {
    name: 'calls',
    columns: {
      id: 'text',
      player_id: 'text',
      kind: 'text',
      preset: 'text',
      source: 'json',
      answer: 'json',
      score: 'number',
      coach_answer: 'json?',
      coach_score: 'number?',
      called_at: 'instant',
    },
    where: OF_PERSON('player_id'),
    order: 'id',
  },
  {
    name: 'programmes',
    columns: {
      id: 'text',
      club_id: 'text',
      player_id: 'text',
      version: 'number',
      document: 'json',
      archived_at: 'instant?',
      changed_at: 'instant',
    },
    where: OF_CLUB,
    order: 'id',
    documents: { document: programmeDocumentSchema },
  },
  {
    name: 'programme_ticks',
    columns: { programme_id: 'text', item_id: 'text', ticked_at: 'instant' },
    where: 'programme_id IN (SELECT id FROM programmes WHERE club_id = ?)',
    order: 'programme_id, item_id',
  },
  {
    name: 'reports',
    columns: {
      id: 'text',
      club_id: 'text',
      player_id: 'text',
      written_by: 'text',
      version: 'number',
      document: 'json',
      archived_at: 'instant?',
      changed_at: 'instant',
    },
    where: OF_CLUB,
    order: 'id',
    documents: { document: reportDocumentSchema },
  },
];

/** A value of a row, as it stands in the file. */
export type BackupValue = string | number | object | null;
export type BackupRow = Readonly<Record<string, BackupValue>>;

/** The kind of a column, and whether it may be null. */
export function kindOf(column: string): { readonly kind: ColumnKind; readonly nullable: boolean } {
  const nullable = column.endsWith('?');
  const name = nullable ? column.slice(0, -1) : column;
  const kind = (['text', 'number', 'instant', 'day', 'json'] as const).find((each) => each === name);
  if (kind === undefined) throw new Error(`kindOf: ${column} is no kind of a column`);
  return { kind, nullable };
}

/** Which table a column refers to by its id, wherever it stands. */
export const REFERENCES: Readonly<Record<string, string>> = {
  person_id: 'people',
  player_id: 'people',
  recorded_by: 'people',
  held_by: 'people',
  written_by: 'people',
  noted_by: 'people',
  changed_by: 'people',
  table_id: 'tables',
  conditions_id: 'table_conditions',
  lesson_id: 'lessons',
  round_id: 'rounds',
  attempt_id: 'attempts',
  programme_id: 'programmes',
};
