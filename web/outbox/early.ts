import { del, get, update } from 'idb-keyval';
import { array, object, string } from 'yup';
import { newCallSchema } from '../../core/records/call.ts';
import { addKept, addWaiting } from './box.ts';
import { keptSchema, setAside, UNREADABLE } from './kept.ts';
import { sendingSchema } from './sending.ts';

/** Where earlier versions of this page kept entries, without noting whose they are: whoever says so takes them over. */
const EARLY_BOX = 'outbox';
const EARLY = 'an earlier version of this page kept it without noting whose it is';

/** What an earlier version of this page kept is taken over once, for whoever says that it is theirs. */
async function takeOverEarlyBox(): Promise<void> {
  let early: readonly unknown[] = [];
  await update<unknown>(EARLY_BOX, (value) => {
    early = Array.isArray(value) ? value : [];
    return [];
  });
  if (early.length === 0) return;
  const at = new Date().toISOString();
  const kept = early.map((entry) => {
    const topic = object({ roundId: string().required() }).isValidSync(entry) ? `round:${entry.roundId}` : '';
    const whole = typeof entry === 'object' && entry !== null ? { ...entry, topic, at } : entry;
    return setAside(whole, EARLY);
  });
  await addKept(kept);
}

/** Where requests were kept all in one, before each became an entry of its own. */
const ONE_BOX = 'outbox of persons';

/** Copies first and forgets afterwards: what two pages copy at the same time has the same ids. */
async function takeOverOneBox(): Promise<void> {
  const value: unknown = await get(ONE_BOX);
  if (typeof value !== 'object' || value === null) return;
  const listOf = (list: unknown): readonly unknown[] => (Array.isArray(list) ? list : []);
  const waiting = listOf('waiting' in value ? value.waiting : []);
  const kept = listOf('kept' in value ? value.kept : []);
  await addWaiting(waiting.filter((entry) => sendingSchema.isValidSync(entry)));
  await addKept([
    ...kept.map((entry) => (keptSchema.isValidSync(entry) ? entry : setAside(entry, UNREADABLE))),
    ...waiting
      .filter((entry) => !sendingSchema.isValidSync(entry))
      .map((entry) => setAside(entry, UNREADABLE)),
  ]);
  await del(ONE_BOX);
}

const EARLY_CALLS = 'jolly-unsent-calls';
const earlyCallsSchema = array(object({ id: string().strict().required(), body: newCallSchema })).required();

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}

/** Calls that an earlier version kept apart, as requests that somebody may say are theirs. */
async function takeOverEarlyCalls(): Promise<void> {
  const value = parsed(localStorage.getItem(EARLY_CALLS));
  const calls = earlyCallsSchema.isValidSync(value) ? value : [];
  const label = 'A call';
  const at = new Date().toISOString();
  const kept = calls.map(({ id, body }) =>
    setAside(
      { topic: `calls:${body.playerId}`, method: 'PUT', path: `/calls/${id}`, body, label, at },
      EARLY,
    ),
  );
  await addKept(kept);
  localStorage.removeItem(EARLY_CALLS);
}

const EARLY_LESSON = 'jolly-lesson:';

/** Lessons that an earlier version kept without noting who changed them. */
async function takeOverEarlyLessons(): Promise<void> {
  for (const key of Object.keys(localStorage).filter((each) => each.startsWith(EARLY_LESSON))) {
    const id = key.slice(EARLY_LESSON.length);
    const body = parsed(localStorage.getItem(key));
    const label = 'A lesson';
    const at = new Date().toISOString();
    const entry = { topic: `lesson:${id}`, method: 'PUT', path: `/lessons/${id}`, body, label, at };
    await addKept([setAside(entry, EARLY)]);
    localStorage.removeItem(key);
  }
}

/** Takes over all that earlier versions left, once. */
export async function takeOverEarly(): Promise<void> {
  await takeOverEarlyBox();
  await takeOverOneBox();
  await takeOverEarlyCalls();
  await takeOverEarlyLessons();
}
