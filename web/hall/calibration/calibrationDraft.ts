import { array, number, object, string } from 'yup';
import type { GuidedShot } from '../../../core/calibration/guidedShots.ts';
import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';

/** So often each shot is offered. */
export const TIMES = 3;

/** What was read so far: of each shot, time by time, in the order of its readings; metres and seconds. */
export interface CalibrationDraft {
  readonly level: LevelName;
  readonly read: readonly { readonly id: string; readonly times: readonly (readonly (number | null)[])[] }[];
}

export const NOTHING_READ: CalibrationDraft = { level: 'team', read: [] };

const draftSchema = object({
  level: string().strict().oneOf(LEVEL_NAMES).required(),
  read: array(
    object({
      id: string().strict().required(),
      times: array(array(number().strict().nullable().defined()).required()).required(),
    }).required(),
  ).required(),
}).required();

export function readDraft(value: unknown): CalibrationDraft | undefined {
  return draftSchema.isValidSync(value) ? value : undefined;
}

/** What was read of a shot, every time and every reading of it, null where nothing was. */
export function readOf(
  { read }: CalibrationDraft,
  { id, readings }: GuidedShot,
): readonly (readonly (number | null)[])[] {
  const known = read.find((each) => each.id === id)?.times ?? [];
  return Array.from({ length: TIMES }, (_, n) => readings.map((__, i) => known[n]?.[i] ?? null));
}

/** The draft with one reading of one playing of a shot changed. */
export function withReading(
  draft: CalibrationDraft,
  shot: GuidedShot,
  [time, reading]: readonly [number, number],
  value: number | null,
): CalibrationDraft {
  const times = readOf(draft, shot).map((each, n) =>
    n === time ? each.map((old, i) => (i === reading ? value : old)) : each,
  );
  return {
    ...draft,
    read: [...draft.read.filter(({ id }) => id !== shot.id), { id: shot.id, times }],
  };
}

/** The playings of which anything was read, as the fit takes them. */
export function playedOf({ read }: CalibrationDraft) {
  return read.flatMap(({ id, times }) => {
    const told = times
      .filter((each) => each.some((value) => value !== null))
      .map((each) => each.map((value) => value ?? undefined));
    return told.length === 0 ? [] : [{ id, times: told }];
  });
}
