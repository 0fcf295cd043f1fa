import { mixed, string, ValidationError } from 'yup';
import { count, day, finite, instant, isUuid } from '../../../core/records/fields.ts';

/** What a column of a backup holds. */
const KINDS = ['id', 'owner', 'text', 'number', 'count', 'flag', 'instant', 'day', 'json'] as const;
export type ColumnKind = (typeof KINDS)[number];
/** With a ? where it may be null. */
export type Column = ColumnKind | `${ColumnKind}?`;

/** A schema, as far as it is asked here. */
interface Check {
  validateSync(value: unknown): unknown;
}

/** A value of a row, as it stands in the file. */
export type BackupValue = string | number | object | null;
export type BackupRow = Readonly<Record<string, BackupValue>>;

/** Which rows of another table some columns name. */
interface Reference {
  readonly columns: readonly string[];
  readonly table: string;
  readonly to: readonly string[];
}

export interface BackupTable {
  readonly name: string;
  readonly columns: Readonly<Record<string, Column>>;
  /** Tables that say whose a row is, joined to the table itself, which is called x. */
  readonly join?: string;
  /** Which rows are a club's; every parameter is the club's id. */
  readonly where: string;
  /** What tells its rows apart; they stand in the file in this order. */
  readonly key: readonly string[];
  /** What besides no two rows may share, unless a part of it is null. */
  readonly unique?: readonly (readonly string[])[];
  /** What the documents, or the words, in some columns must be. */
  readonly documents?: Readonly<Record<string, Check>>;
  readonly references?: readonly Reference[];
  /** Columns that backups of the first version do not have, and what they hold there. */
  readonly added?: BackupRow;
  /** Came after the second version of the file: one without it is whole. */
  readonly isLater?: true;
}

/** The kind of a column, and whether it may be null. */
export function kindOf(column: Column): { readonly kind: ColumnKind; readonly nullable: boolean } {
  const nullable = column.endsWith('?');
  const kind = KINDS.find((each) => each === (nullable ? column.slice(0, -1) : column));
  if (kind === undefined) throw new Error(`kindOf: ${column} is no kind of a column`);
  return { kind, nullable };
}

const LONGEST_TEXT = 500;
/** The largest number that an INT column takes. */
const LARGEST = 2 ** 31 - 1;

const SCHEMAS: Readonly<Record<ColumnKind, Check>> = {
  id: string().strict().defined().test('id', 'must be a UUID', isUuid),
  owner: string()
    .strict()
    .defined()
    .test('owner', 'must be a UUID or the library', (text) => text === 'library' || isUuid(text)),
  // An empty text is a text: a note that says nothing.
  text: string().strict().defined().max(LONGEST_TEXT),
  number: finite(),
  count: count(0, LARGEST),
  flag: count(0, 1),
  instant: instant(),
  day: day(),
  json: mixed()
    .defined()
    .test('json', 'must be an object or a list', (value) => typeof value === 'object'),
};

/** What is wrong with a value of a column; undefined for one that can be stored, and read again. */
export function problemOf(table: BackupTable, column: string, value: unknown): string | undefined {
  const { kind, nullable } = kindOf(table.columns[column] ?? 'text');
  if (value === undefined) return 'is missing';
  if (value === null) return nullable ? undefined : 'is missing';
  try {
    (table.documents?.[column] ?? SCHEMAS[kind]).validateSync(value);
    return undefined;
  } catch (error) {
    if (error instanceof ValidationError) return error.message;
    // What is not even of the right kind: a schema stumbles over it.
    if (error instanceof TypeError || error instanceof RangeError) return 'cannot be read';
    throw error;
  }
}
