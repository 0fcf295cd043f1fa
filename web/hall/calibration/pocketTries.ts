import { array, boolean, number, object } from 'yup';
import type { PocketKind, PocketTry } from '../../../core/calibration/pockets.ts';

/** Balls that were rolled at each kind of pocket. */
export type PocketTries = Readonly<Record<PocketKind, readonly PocketTry[]>>;

export const NO_TRIES: PocketTries = { corner: [], middle: [] };

const triesSchema = array(
  object({ beside: number().strict().required(), hasFallen: boolean().strict().required() }).required(),
)
  .max(200)
  .required();
const keptSchema = object({ corner: triesSchema, middle: triesSchema }).required();

/** What is kept on the device, undefined for what cannot be read. */
export function readTries(value: unknown): PocketTries | undefined {
  return keptSchema.isValidSync(value) ? value : undefined;
}

export function withTries(all: PocketTries, kind: PocketKind, tries: readonly PocketTry[]): PocketTries {
  return { ...all, [kind]: tries };
}
