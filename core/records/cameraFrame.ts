import { array, number, object } from 'yup';
import type { CameraFrame } from '../camera/frame.ts';
import type { Table } from '../table/table.ts';
import { count, finite, flag, text, UNKNOWN } from './fields.ts';

/** The version of the protocol that stands in every line. */
export const CAMERA_PROTOCOL = 1;

/** A line is no longer than this, characters: the twenty-two balls of snooker need a tenth of it. */
export const LONGEST_LINE = 8_000;
const MOST_BALLS = 40;
/** A century of frames. */
const MOST_FRAMES = 1e11;
/** A ball in the jaws or on the cushion's top is seen so far outside the noses, metres. */
const OUTSIDE = 0.15;
const MILLIMETRES = 1_000;

/** A line as it comes: places in millimetres, as tapes and cameras have them. */
const frameSchema = object({
  camera: number().strict().required().oneOf([CAMERA_PROTOCOL]),
  seq: count(0, MOST_FRAMES),
  at: finite().min(0, '${path} must not be below 0'),
  covered: flag(),
  balls: array(
    object({
      ball: text(12),
      x: finite(),
      y: finite(),
      confidence: finite().min(0, '${path} must be 0 to 1').max(1, '${path} must be 0 to 1'),
    })
      .exact(UNKNOWN)
      .required(),
  )
    .max(MOST_BALLS, '${path} holds more balls than a table')
    .required(),
})
  .exact(UNKNOWN)
  .required();

/** What a camera says of itself before it is paired. */
export const cameraHelloSchema = object({
  camera: number().strict().required().oneOf([CAMERA_PROTOCOL]),
  name: text(60),
  /** Seconds by its clock, now. */
  at: finite(),
  /** Of the cloth between the noses, millimetres. */
  length: finite(),
  width: finite(),
}).required();

/** What a camera gives for its code. */
export const cameraTokenSchema = object({ token: text(100) }).required();

/** A frame as a line, places to the tenth of a millimetre. */
export function frameLine({ seq, at, isCovered, balls }: CameraFrame): string {
  const rounded = (metres: number) => Math.round(metres * MILLIMETRES * 10) / 10;
  return JSON.stringify({
    camera: CAMERA_PROTOCOL,
    seq,
    at: Math.round(at * 1_000) / 1_000,
    covered: isCovered,
    balls: balls.map(({ name, at: place, confidence }) => ({
      ball: name,
      x: rounded(place.x),
      y: rounded(place.y),
      confidence: Math.round(confidence * 100) / 100,
    })),
  });
}

/**
 * A line of a camera as a frame, places in metres.
 * @param line as it came, without its end
 * @throws Error that names the field for what is no frame, or has a ball beside the table
 */
export function readFrame(line: string, table: Table): CameraFrame {
  if (line.length > LONGEST_LINE) throw new Error('the line is too long');
  let raw: unknown;
  try {
    raw = JSON.parse(line);
  } catch {
    throw new Error('the line is no JSON');
  }
  const { seq, at, covered, balls } = frameSchema.validateSync(raw);
  return {
    seq,
    at,
    isCovered: covered,
    balls: balls.map(({ ball, x, y, confidence }, i) => {
      const place = { x: x / MILLIMETRES, y: y / MILLIMETRES };
      const isBeside =
        Math.abs(place.x - table.length / 2) > table.length / 2 + OUTSIDE ||
        Math.abs(place.y - table.width / 2) > table.width / 2 + OUTSIDE;
      if (isBeside) throw new Error(`balls[${String(i)}] lies beside the table`);
      return { name: ball, at: place, confidence };
    }),
  };
}
