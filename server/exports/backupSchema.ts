import { array, mixed, number, object, string, ValidationError, type AnySchema } from 'yup';
import { day, finite, instant } from '../../core/records/fields.ts';
import { BACKUP_TABLES, kindOf, type BackupTable, type ColumnKind } from '../db/backupTables.ts';

export const BACKUP_FORMAT = 'jolly-rail/club';
export const BACKUP_VERSION = 1;

const LONGEST_TEXT = 20_000;
const KINDS: Readonly<Record<ColumnKind, AnySchema>> = {
  // An empty text is a text: a note that says nothing.
  text: string().strict().defined().max(LONGEST_TEXT),
  number: finite(),
  instant: instant(),
  day: day(),
  json: mixed()
    .defined()
    .test('json', 'must be an object or a list', (value) => typeof value === 'object'),
};

/** What fits a schema, as it stands: what the schema would add to it is added when it is read. */
function asItStands(schema: AnySchema, nullable: boolean) {
  return mixed()
    .nullable()
    .test('column', (value, context) => {
      if (value === undefined || (value === null && !nullable)) {
        return context.createError({ message: `${context.path} is missing` });
      }
      if (value === null) return true;
      try {
        schema.validateSync(value);
        return true;
      } catch (error) {
        if (!(error instanceof ValidationError)) throw error;
        return context.createError({ message: `${context.path}: ${error.message}` });
      }
    });
}

function rowSchema({ columns, documents }: BackupTable) {
  const shape = Object.fromEntries(
    Object.entries(columns).map(([name, column]) => {
      const { kind, nullable } = kindOf(column);
      return [name, asItStands(documents?.[name] ?? KINDS[kind], nullable)];
    }),
  );
  return object(shape).exact('${path} has the unknown field ${properties}');
}

/** A backup as it comes from a file; every field of every row is checked. */
export const backupSchema = object({
  format: string()
    .strict()
    .required('format is missing')
    .oneOf([BACKUP_FORMAT], 'format: this is no backup of a club'),
  version: number()
    .strict()
    .required('version is missing')
    .oneOf([BACKUP_VERSION], 'version: this backup was made by another version'),
  madeAt: instant(),
  club: object({ id: string().strict().required(), name: string().strict().required().max(80) }).required(
    'club is missing',
  ),
  tables: object(
    Object.fromEntries(
      BACKUP_TABLES.map((table) => [
        table.name,
        array(rowSchema(table)).strict().required('${path} is missing'),
      ]),
    ),
  )
    .exact('tables has the unknown table ${properties}')
    .required('tables is missing'),
})
  .exact('${properties} is not a field of a backup')
  .required();
