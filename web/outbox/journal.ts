import { array, object, string, type InferType } from 'yup';
import { sendingSchema } from './sending.ts';

/** Requests on their way into the browser's database, written at once where writing takes no time. */
const entrySchema = object({
  id: string().strict().required(),
  sendings: array(sendingSchema).required(),
}).required();
export type JournalEntry = InferType<typeof entrySchema>;

const KEY = 'jolly-journal-2';

/** What this page has written and not struck out: it counts where the browser has no room for the journal. */
const own = new Map<string, JournalEntry>();

function stored(): readonly JournalEntry[] {
  let value: unknown;
  try {
    value = JSON.parse(localStorage.getItem(KEY) ?? '[]');
  } catch {
    return [];
  }
  return Array.isArray(value) ? value.filter((entry) => entrySchema.isValidSync(entry)) : [];
}

/** The steps that are not struck out, oldest first, those of this page last; what cannot be read is left out. */
export function readJournal(): readonly JournalEntry[] {
  const there = stored();
  const known = new Set(there.map(({ id }) => id));
  return [...there, ...[...own.values()].filter(({ id }) => !known.has(id))];
}

/** The database is what counts: without room for the journal a step is kept there all the same. */
function write(entries: readonly JournalEntry[]): void {
  try {
    if (entries.length === 0) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, JSON.stringify(entries));
  } catch (error) {
    if (!(error instanceof DOMException)) throw error;
  }
}

export function writeToJournal(entry: JournalEntry): void {
  own.set(entry.id, entry);
  write([...stored(), entry]);
}

export function strikeFromJournal(id: string): void {
  own.delete(id);
  write(stored().filter((entry) => entry.id !== id));
}
