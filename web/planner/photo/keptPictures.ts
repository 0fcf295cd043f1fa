import { get as read, set as write } from 'idb-keyval';
import { array, mixed, number, object, string, type InferType } from 'yup';
import { PRESET_IDS } from '../../../core/table/preset.ts';
import type { OpenedPicture } from './picture.ts';
import type { PhotoMarks } from './photoMarks.ts';

const finite = () => number().strict().required();
const pixel = () => object({ across: finite(), down: finite() }).required();
const text = () => string().strict().required();

const keptSchema = object({
  id: text(),
  /** When it was kept, ms since 1970. */
  at: finite(),
  preset: string().strict().required().oneOf(PRESET_IDS),
  /** The picture as it was marked: a JPEG. */
  image: mixed((value): value is Blob => value instanceof Blob).required(),
  corners: object({
    'head-right': pixel(),
    'head-left': pixel(),
    'foot-left': pixel(),
    'foot-right': pixel(),
  }).required(),
  further: array(object({ name: text(), pixel: pixel() }).required()).required(),
  balls: array(object({ id: text(), pixel: pixel() }).required()).required(),
}).required();

/** A picture that a coach keeps, with its marks: on this device alone, until it is thrown away. */
export type KeptPicture = InferType<typeof keptSchema>;

/** A device holds so many of one person: the oldest gives way. */
const MOST = 30;

/** @param personId pictures of one person are not another's who signs in on the same device */
const placeOf = (personId: string) => `pictures:${personId}`;

/** The pictures that are kept here, the newest first; what cannot be read is left out. */
export async function keptPictures(personId: string): Promise<readonly KeptPicture[]> {
  const value: unknown = await read(placeOf(personId));
  return Array.isArray(value) ? value.filter((each) => keptSchema.isValidSync(each)) : [];
}

/** Keeps a picture, in place of an older state of it. @throws DOMException where the device has no room */
export async function keepPicture(personId: string, picture: KeptPicture): Promise<void> {
  const others = (await keptPictures(personId)).filter(({ id }) => id !== picture.id);
  const all = [picture, ...others].sort((a, b) => b.at - a.at);
  await write(placeOf(personId), all.slice(0, MOST));
}

export async function dropPicture(personId: string, id: string): Promise<void> {
  await write(
    placeOf(personId),
    (await keptPictures(personId)).filter((each) => each.id !== id),
  );
}

/** A picture with its marks as it is kept. */
export function asKept(
  { image }: OpenedPicture,
  { corners, further, balls }: PhotoMarks,
  { id, at, preset }: Pick<KeptPicture, 'id' | 'at' | 'preset'>,
): KeptPicture {
  return {
    id,
    at,
    preset,
    image,
    corners: { ...corners },
    further: Object.entries(further).map(([name, at]) => ({ name, pixel: at })),
    balls: balls.map((ball) => ({ ...ball })),
  };
}

/** Its marks as they are worked on. */
export function marksKept({ corners, further, balls }: KeptPicture): PhotoMarks {
  return {
    corners,
    further: Object.fromEntries(further.map(({ name, pixel: at }) => [name, at])),
    balls,
  };
}
