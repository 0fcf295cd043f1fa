import { array, object, string, type InferType } from 'yup';
import { openRoundSchema } from '../../core/records/openRound.ts';
import { sendingSchema } from './outbox.ts';

/** A step of scoring on its way into the browser's database, written at once where writing takes no time. */
const entrySchema = object({
  id: string().required(),
  open: openRoundSchema,
  sendings: array(sendingSchema).required(),
}).required();
export type JournalEntry = InferType<typeof entrySchema>;

const KEY = 'jolly-journal';

/** The steps that are not struck out, oldest first; what cannot be read is left out. */
export function readJournal(): readonly JournalEntry[] {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return array(entrySchema).required().validateSync(value);
  } catch {
    return [];
  }
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
  write([...readJournal(), entry]);
}

export function strikeFromJournal(id: string): void {
  write(readJournal().filter((entry) => entry.id !== id));
}
