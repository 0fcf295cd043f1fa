import { randomInt, randomUUID, timingSafeEqual } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { cors } from 'hono/cors';
import { HTTPException } from 'hono/http-exception';
import { stream } from 'hono/streaming';
import { array, object, ValidationError } from 'yup';
import type { BallOnTable, Shot } from '../../core/motion/shot.ts';
import { InvalidShotError } from '../../core/motion/validate.ts';
import { CAMERA_PROTOCOL } from '../../core/records/cameraFrame.ts';
import { finite, text } from '../../core/records/fields.ts';
import type { Table } from '../../core/table/table.ts';
import { Scene } from './scene.ts';

/** Wrong codes until nobody may try for a while. */
const TRIES = 5;
const WAIT_MS = 30_000;
const LARGEST_BODY = 20_000;
/** How often it is looked for new lines, ms. */
const LOOK_MS = 20;

/** A line that was made, and when it may be seen. */
export interface MadeLine {
  readonly line: string;
  /** Seconds by the camera's clock. */
  readonly out: number;
}

/** What the camera is. */
export interface StandIn {
  readonly table: Table;
  readonly scene: Scene;
  /** Seconds by its clock. */
  readonly now: () => number;
  /** What it made lately, the oldest first. */
  readonly lines: () => readonly MadeLine[];
}

/** Balls to be set, in millimetres, and a stroke at them; of the stand-in only: a real camera has no such thing. */
const playSchema = object({
  balls: array(
    object({ ball: text(12), x: finite(), y: finite() })
      .exact()
      .required(),
  )
    .min(1)
    .max(22)
    .required(),
  strike: object({
    ball: text(12),
    speed: finite(),
    direction: finite(),
    side: finite(),
    height: finite(),
    elevation: finite(),
  })
    .exact()
    .default(undefined)
    .optional(),
})
  .exact()
  .required();
const pairSchema = object({ code: text(6) }).required();

/** The camera by HTTP: what it is, pairing by its code, its frames as lines. @param code six digits that it shows */
export function cameraApp({ table, scene, now, lines }: StandIn, code = newCode()) {
  const app = new Hono();
  const tokens = new Set<string>();
  let wrong = 0;
  let again = 0;
  // Whoever has the token may come from any page: it is the token that is asked for, not a cookie.
  app.use(cors({ origin: '*', allowHeaders: ['authorization', 'content-type'] }));
  app.use(bodyLimit({ maxSize: LARGEST_BODY }));
  app.onError((error, c) => {
    if (error instanceof HTTPException) return error.getResponse();
    const isTheirs =
      error instanceof ValidationError || error instanceof InvalidShotError || error instanceof SyntaxError;
    return c.json({ error: isTheirs ? error.message : 'the camera has failed' }, isTheirs ? 400 : 500);
  });
  app.get('/camera', (c) =>
    c.json({
      camera: CAMERA_PROTOCOL,
      name: 'Camera stand-in',
      at: now(),
      length: Math.round(table.length * 1000),
      width: Math.round(table.width * 1000),
    }),
  );
  app.post('/pair', async (c) => {
    if (Date.now() < again) return c.json({ error: 'too many wrong codes: wait half a minute' }, 429);
    const { code: said } = await pairSchema.validate(await c.req.json());
    const isRight = said.length === code.length && timingSafeEqual(Buffer.from(said), Buffer.from(code));
    if (!isRight) {
      wrong += 1;
      if (wrong >= TRIES) {
        wrong = 0;
        again = Date.now() + WAIT_MS;
      }
      return c.json({ error: 'this is not the code that the camera shows' }, 403);
    }
    wrong = 0;
    const token = randomUUID();
    tokens.add(token);
    return c.json({ token });
  });
  const guarded = (header: string | undefined) => tokens.has((header ?? '').replace(/^Bearer /, ''));
  app.get('/frames', (c) => {
    if (!guarded(c.req.header('authorization'))) return c.json({ error: 'pair with the camera first' }, 401);
    c.header('content-type', 'application/x-ndjson');
    return stream(c, async (out) => {
      let last = now();
      while (!out.aborted) {
        const until = now();
        const from = last;
        for (const { line } of lines().filter((each) => each.out > from && each.out <= until))
          await out.write(`${line}\n`);
        last = until;
        await pause(LOOK_MS);
      }
    });
  });
  app.post('/play', async (c) => {
    if (!guarded(c.req.header('authorization'))) return c.json({ error: 'pair with the camera first' }, 401);
    const { balls, strike } = await playSchema.validate(await c.req.json());
    const lying = balls.map(({ ball, x, y }) => ballAt(table, ball, x / 1000, y / 1000));
    if (Scene.isCrowded(lying)) return c.json({ error: 'balls lie in one another' }, 400);
    if (strike === undefined) {
      scene.set(lying, now());
      return c.json({});
    }
    const { ball, speed, direction, side, height, elevation } = strike;
    const shot: Shot = {
      table,
      balls: lying,
      strike: { ball, speed, direction, tip: { side, height }, elevation },
    };
    return c.json({ seconds: scene.play(shot, now()) });
  });
  return { app, code };
}

function newCode(): string {
  return String(randomInt(0, 1_000_000)).padStart(6, '0');
}

/** A ball of a table, metres. */
export function ballAt({ preset }: Table, id: string, x: number, y: number): BallOnTable {
  const isCue = id === 'cue';
  return {
    id,
    x,
    y,
    radius: isCue ? preset.cueBallRadius : preset.ballRadius,
    mass: isCue ? preset.cueBallMass : preset.ballMass,
  };
}
