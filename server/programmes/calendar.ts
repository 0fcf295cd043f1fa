import { createEvents, type EventAttributes } from 'ics';
import { addDays } from '../../core/programme/days.ts';
import type { Programme } from '../../core/records/programme.ts';
import { listDrills } from '../db/queries/drills.ts';
import type { Database } from '../db/pool.ts';

const NOBODY = '00000000-0000-4000-8000-000000000000';

/** A day as the calendar's format counts it. */
function dateOf(day: string): [number, number, number] {
  const [year = 1970, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
}

/** A line break of an old kind, or a control character, would end a line of the file in the middle of a text. */
const plain = (text: string) =>
  text.replaceAll(/\r\n?|[\u2028\u2029\u0085]/g, '\n').replaceAll(/(?!\n)\p{Cc}/gu, ' ');

const onOneLine = (event: EventAttributes): EventAttributes => ({
  ...event,
  ...(event.title === undefined ? {} : { title: plain(event.title) }),
  ...(event.description === undefined ? {} : { description: plain(event.description) }),
});

/** A programme as an iCalendar file: each entry an event of its day, matches too. */
export async function calendarOf(
  db: Database,
  clubId: string,
  { id, document, player }: Programme,
): Promise<string> {
  const drills = await listDrills(db, clubId, NOBODY);
  const titleOf = (slug: string) =>
    drills.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const whole = (day: string) => ({ start: dateOf(day), end: dateOf(addDays(day, 1)) });
  const events: EventAttributes[] = [
    ...document.items.map((item) => ({
      uid: `${item.id}@jolly-rail`,
      productId: 'jolly-rail',
      ...whole(item.day),
      title: `${titleOf(item.drill)}, ${String(item.minutes)} min`,
      description: [`Stage ${String(item.stage)}, ${item.kind}.`, item.note].filter(Boolean).join(' '),
      categories: [item.kind],
    })),
    ...document.matchDays.map((day) => ({
      uid: `${id}-match-${day}@jolly-rail`,
      productId: 'jolly-rail',
      ...whole(day),
      title: `Match, ${player.name}`,
    })),
  ];
  const { error, value } = createEvents(events.map(onOneLine), { calName: plain(document.title) });
  if (error instanceof Error) throw error;
  return value ?? '';
}
