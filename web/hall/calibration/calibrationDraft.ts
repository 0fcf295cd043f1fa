import { array, object, string, ValidationError } from 'yup';
import type { GuidedShot } from '../../../core/calibration/guidedShots.ts';
import { readShotSchema, type ReadShot } from '../../../core/records/calibration.ts';
import { isUuid } from '../../../core/records/fields.ts';
import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';

/** So often each shot is offered. */
export const TIMES = 3;

/** What was read so far: of each shot and cue, time by time, in the order of its readings; metres and seconds. */
export interface CalibrationDraft {
  readonly level: LevelName;
  /** The cue that is played with now: one of the club's, or null. */
  readonly cue: string | null;
  readonly read: readonly ReadShot[];
}

export const NOTHING_READ: CalibrationDraft = { level: 'team', cue: null, read: [] };

const draftSchema = object({
  level: string().strict().oneOf(LEVEL_NAMES).required(),
  cue: string()
    .strict()
    .nullable()
    .defined()
    .test('cue', 'must be a cue', (cue) => cue === null || isUuid(cue)),
  read: array(readShotSchema).required(),
}).required();

export function readDraft(value: unknown): CalibrationDraft | undefined {
  try {
    return draftSchema.validateSync(value);
  } catch (error) {
    if (error instanceof ValidationError) return undefined;
    throw error;
  }
}

const isOf =
  ({ cue }: CalibrationDraft, shot: string) =>
  (each: ReadShot) =>
    each.id === shot && each.cue === cue;

/** What was read of a shot with the cue of now, every time and every reading of it, null where nothing was. */
export function readOf(
  draft: CalibrationDraft,
  { id, readings }: GuidedShot,
): readonly (readonly (number | null)[])[] {
  const known = draft.read.find(isOf(draft, id))?.times ?? [];
  return Array.from({ length: TIMES }, (_, n) => readings.map((__, i) => known[n]?.[i] ?? null));
}

/** One reading of one playing. */
export interface Entered {
  readonly cell: readonly [time: number, reading: number];
  readonly value: number | null;
}

/**
 * The draft with readings of a shot changed.
 * @param isHeard whether times are from a recording; a time by the watch makes the whole shot one by the watch
 */
export function withReadings(
  draft: CalibrationDraft,
  shot: GuidedShot,
  entered: readonly Entered[],
  isHeard: boolean,
): CalibrationDraft {
  const known = draft.read.find(isOf(draft, shot.id));
  const times = readOf(draft, shot).map((each, n) =>
    each.map((old, i) => {
      const now = entered.find(({ cell: [time, reading] }) => time === n && reading === i);
      return now === undefined ? old : now.value;
    }),
  );
  const isTime = entered.some(({ cell: [, i] }) => shot.readings[i]?.kind === 'time');
  const hadTimes = known?.times.some((each) =>
    each.some((value, i) => value !== null && shot.readings[i]?.kind === 'time'),
  );
  const heard = isTime ? isHeard && (known?.isHeard === true || hadTimes !== true) : known?.isHeard === true;
  return {
    ...draft,
    read: [
      ...draft.read.filter((each) => !isOf(draft, shot.id)(each)),
      { id: shot.id, cue: draft.cue, isHeard: heard, times: times.map((each) => [...each]) },
    ],
  };
}

/** The playings of which anything was read, as the fit takes them. */
export function playedOf({ read }: CalibrationDraft): readonly ReadShot[] {
  return read.flatMap((shot) => {
    const told = shot.times.filter((each) => each.some((value) => value !== null));
    return told.length === 0 ? [] : [{ ...shot, times: told }];
  });
}
