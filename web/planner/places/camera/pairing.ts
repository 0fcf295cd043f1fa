import { object, string, ValidationError, type InferType } from 'yup';
import { cameraHelloSchema, cameraTokenSchema } from '../../../../core/records/cameraFrame.ts';
import type { Table } from '../../../../core/table/table.ts';

/** Where a camera's program listens if nobody says otherwise. */
export const USUAL_ADDRESS = 'http://127.0.0.1:4620';
/** The page may ask programs on this device only: the browser holds it to that. */
const ON_THIS_DEVICE = /^http:\/\/(127\.0\.0\.1|localhost):\d{2,5}$/;
/** A camera that sees a cloth so much longer or wider, metres, looks at another table. */
const TAPE = 0.03;
const ANSWER_MS = 5_000;

const pairingSchema = object({
  address: string().strict().required().matches(ON_THIS_DEVICE),
  token: string().strict().required().max(100),
}).required();
/** A camera that this device is paired with. */
export type Pairing = InferType<typeof pairingSchema>;

/** Where the pairing is kept on the device. */
export const PAIRING_KEY = 'jolly-camera';

export function readPairing(value: unknown): Pairing | undefined {
  return pairingSchema.isValidSync(value) ? value : undefined;
}

/** Why something came of nothing, in a sentence for the coach. */
export class CameraError extends Error {
  override name = 'CameraError';
}

async function ask(address: string, path: string, init: RequestInit = {}): Promise<Response> {
  const response = await fetch(`${address}${path}`, {
    ...init,
    signal: AbortSignal.timeout(ANSWER_MS),
  }).catch(() => {
    throw new CameraError('No camera answers at this address. Is its program running?');
  });
  if (response.status === 403) throw new CameraError('This is not the code that the camera shows.');
  if (response.status === 429) throw new CameraError('Too many wrong codes: wait half a minute.');
  if (!response.ok) throw new CameraError(`The camera refuses (${String(response.status)}).`);
  return response;
}

/**
 * What a camera says of itself, and how far its clock is ahead of this device's, seconds.
 * @throws CameraError where none answers, or it looks at another table
 */
export async function greet(address: string, table: Table): Promise<{ readonly ahead: number }> {
  const asked = Date.now();
  const response = await ask(address, '/camera');
  const hello = await cameraHelloSchema.validate(await response.json()).catch((error: unknown) => {
    if (error instanceof ValidationError || error instanceof SyntaxError)
      throw new CameraError('What answers at this address is no camera.');
    throw error;
  });
  const isOther =
    Math.abs(hello.length / 1000 - table.length) > TAPE || Math.abs(hello.width / 1000 - table.width) > TAPE;
  if (isOther)
    throw new CameraError(
      `The camera looks at a cloth of ${String(hello.length)} by ${String(hello.width)} mm: that is not this table.`,
    );
  return { ahead: hello.at - (asked + Date.now()) / 2000 };
}

/** @throws CameraError where it refuses the code, or the address is not on this device */
export async function pair(address: string, code: string, table: Table): Promise<Pairing> {
  if (!ON_THIS_DEVICE.test(address))
    throw new CameraError(`Only a program on this device can be asked, as ${USUAL_ADDRESS}.`);
  await greet(address, table);
  const response = await ask(address, '/pair', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ code }),
  });
  const { token } = await cameraTokenSchema.validate(await response.json()).catch(() => {
    throw new CameraError('What answers at this address is no camera.');
  });
  return { address, token };
}
