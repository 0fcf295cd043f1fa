import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';

dayjs.extend(customParseFormat);

/** Any day of which day, month and year cannot be taken for one another. */
const SAMPLE = new Date(2033, 10, 22);

const LETTERS: ReadonlyMap<string, string> = new Map([
  ['day', 'DD'],
  ['month', 'MM'],
  ['year', 'YYYY'],
]);

type Weekday = 0 | 1 | 2 | 3 | 4 | 5 | 6;
const MONDAY: Weekday = 1;
const WEEKDAYS: readonly Weekday[] = [0, 1, 2, 3, 4, 5, 6];

/** How a language writes a day in digits: "DD/MM/YYYY", "MM/DD/YYYY", "DD.MM.YYYY". @param language as in "en-GB" */
export function dayFormat(language: string): string {
  const parts = new Intl.DateTimeFormat(language, {
    day: '2-digit',
    month: '2-digit',
    year: 'numeric',
  }).formatToParts(SAMPLE);
  return parts.map(({ type, value }) => LETTERS.get(type) ?? value).join('');
}

/** Ways to write a day that are understood in any language beside its own. */
const OTHERS = ['YYYY-MM-DD', 'D MMMM YYYY', 'D MMM YYYY', 'D MMM'];

/** The day that was typed: as the language writes it, with or without zeros and with any marks between, or in words. @returns undefined for none */
export function readDay(typed: string, language: string): string | undefined {
  const own = dayFormat(language)
    .replace('DD', 'D')
    .replace('MM', 'M')
    .replaceAll(/[^DMY]+/g, '-');
  const plain = typed
    .trim()
    .replaceAll(/[\s./-]+/g, '-')
    .replaceAll(/\b0+(?=\d)/g, '');
  for (const [text, format] of [
    [plain, own],
    [plain, own.replace('YYYY', 'YY')],
    ...OTHERS.map((format) => [typed.trim(), format] as const),
  ] as const) {
    const day = dayjs(text, format, true);
    if (day.isValid()) return day.format('YYYY-MM-DD');
  }
  return undefined;
}

/** The day on which a language's week begins: 0 for Sunday. */
export function firstWeekday(language: string): Weekday {
  const locale: Intl.Locale & {
    readonly weekInfo?: { readonly firstDay: number };
    getWeekInfo?(): { readonly firstDay: number };
  } = new Intl.Locale(language);
  const first = (locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay;
  return WEEKDAYS.find((day) => day === (first ?? MONDAY) % 7) ?? MONDAY;
}
