import type { BallOnTable, Shot } from '../motion/shot.ts';
import type { Table } from '../table/table.ts';
import type { Reading } from './reading.ts';

/** What a guided shot is there for. */
export const SHOT_KINDS = [
  'lag',
  'angle',
  'running side',
  'check side',
  'stun',
  'three cushions',
  'squirt',
  'half ball',
] as const;
export type ShotKind = (typeof SHOT_KINDS)[number];

/** A shot that is played to learn of the table: as drawn, and what is read of it. */
export interface GuidedShot {
  readonly id: string;
  readonly kind: ShotKind;
  readonly shot: Shot;
  readonly readings: readonly Reading[];
}

const CUE = 'cue';
const OBJECT = '1';

/** Paces of the shots, m/s. */
const LAG = [1.1, 1.6, 2.3];
const ANGLES = [30, 45, 60];
const SLOW = 1.8;
const FIRM = 3.2;
const SIDE = 0.5;
/** The table for which these paces are meant, metres. */
const ORDINARY_LENGTH = 2.54;

type Stroke = Pick<Shot['strike'], 'speed' | 'direction'> & {
  readonly side?: number;
  readonly height?: number;
};

/**
 * The shots of a quarter of an hour, in the order in which they are offered: places are shares of the table, paces m/s for a table
 * of 2.54 m and by the root of the length for others; which shots these are is our own choice.
 * @param table as its card has it
 */
export function guidedShots(table: Table): readonly GuidedShot[] {
  const { length, width, preset } = table;
  const cueAt = (x: number, y: number): BallOnTable => ({
    id: CUE,
    x,
    y,
    radius: preset.cueBallRadius,
    mass: preset.cueBallMass,
  });
  const objectAt = (x: number, y: number): BallOnTable => ({
    id: OBJECT,
    x,
    y,
    radius: preset.ballRadius,
    mass: preset.ballMass,
  });
  const shotOf = (
    balls: readonly BallOnTable[],
    { speed, direction, side = 0, height = 0 }: Stroke,
  ): Shot => ({
    table,
    balls,
    strike: { ball: CUE, speed, direction, tip: { side, height }, elevation: 0 },
  });
  // On a longer table all is played harder, by the root: so far a rolling ball runs.
  const pace = Math.sqrt(length / ORDINARY_LENGTH);
  const along = width / 2 + width / 8;
  const lags = LAG.map((speed, i): GuidedShot => ({
    id: `lag ${i + 1}`,
    kind: 'lag',
    shot: shotOf([cueAt(length / 4, along)], { speed: speed * pace, direction: 0 }),
    readings: [
      { kind: 'rest', ball: CUE, axis: 'x' },
      { kind: 'time', ball: CUE, from: 'tip', to: { cushion: 1 } },
      { kind: 'time', ball: CUE, from: { cushion: 1 }, to: i === LAG.length - 1 ? { cushion: 2 } : 'rest' },
    ],
  }));
  // Towards the right cushion, at an angle to it; read where it is met and where the next one is, away from all pockets.
  const intoCushion = (
    kind: ShotKind,
    id: string,
    degrees: number,
    speed: number,
    side: number,
  ): GuidedShot => {
    const away = 0.35 * width;
    const angle = (degrees * Math.PI) / 180;
    const from = degrees < 40 ? 0.62 * length - away / Math.tan(angle) : (degrees < 50 ? 0.1 : 0.2) * length;
    return {
      id,
      kind,
      shot: shotOf([cueAt(from, preset.cueBallRadius + away)], {
        speed: speed * pace,
        direction: -angle,
        side,
      }),
      readings: [
        { kind: 'meets', ball: CUE, cushion: 1, side: 'right' },
        { kind: 'meets', ball: CUE, cushion: 2, side: degrees < 40 ? 'foot' : 'left' },
        { kind: 'time', ball: CUE, from: 'tip', to: { cushion: 2 } },
      ],
    };
  };
  const angles = ANGLES.flatMap((degrees) => [
    intoCushion('angle', `angle ${degrees} slow`, degrees, SLOW, 0),
    intoCushion('angle', `angle ${degrees} firm`, degrees, FIRM, 0),
  ]);
  // Seen from the ball the foot end lies to the left: side on the right carries it on, side on the left back.
  const running = intoCushion('running side', 'running side', 60, 2.2, -SIDE);
  const check = intoCushion('check side', 'check side', 60, 2.2, SIDE);
  const stuns = [0.12, 0.22, 0.32].map((share, i): GuidedShot => {
    const object = objectAt(length / 2, width / 2);
    const cut = Math.PI / 5;
    const reach = preset.cueBallRadius + preset.ballRadius;
    const away = share * length;
    // The contact for this cut, and the cue ball back from it along the line of the stroke.
    const contact = { x: object.x - reach * Math.cos(cut), y: object.y - reach * Math.sin(cut) };
    return {
      id: `stun ${i + 1}`,
      kind: 'stun',
      shot: shotOf([cueAt(contact.x - away, contact.y), object], {
        speed: 2 * pace,
        direction: 0,
        height: -0.08 * (i + 1),
      }),
      readings: [
        { kind: 'meets', ball: CUE, cushion: 1, side: 'right' },
        { kind: 'meets', ball: OBJECT, cushion: 1, side: 'left' },
        { kind: 'time', ball: CUE, from: 'tip', to: { cushion: 1 } },
      ],
    };
  });
  const round: GuidedShot = {
    id: 'three cushions',
    kind: 'three cushions',
    shot: shotOf([cueAt(0.12 * length, 0.16 * width)], {
      speed: 3.4 * pace,
      direction: Math.atan2(0.84 * width, 0.68 * length),
      side: -0.4,
    }),
    readings: [
      { kind: 'meets', ball: CUE, cushion: 1, side: 'left' },
      { kind: 'meets', ball: CUE, cushion: 3, side: 'head' },
      { kind: 'time', ball: CUE, from: 'tip', to: { cushion: 3 } },
    ],
  };
  const squirts = [1.6, 3.2].map((speed, i): GuidedShot => ({
    id: `squirt ${i + 1}`,
    kind: 'squirt',
    shot: shotOf([cueAt(length / 8, width / 2)], { speed: speed * pace, direction: 0, side: SIDE }),
    readings: [{ kind: 'meets', ball: CUE, cushion: 1, side: 'foot' }],
  }));
  const halves = [SLOW, FIRM].map((speed, i): GuidedShot => {
    const object = objectAt(length / 2, width / 2 + preset.ballRadius);
    return {
      id: `half ball ${i + 1}`,
      kind: 'half ball',
      shot: shotOf([cueAt(0.3 * length, width / 2), object], { speed: speed * pace, direction: 0 }),
      readings: [
        { kind: 'meets', ball: OBJECT, cushion: 1, side: 'left' },
        { kind: 'meets', ball: CUE, cushion: 1, side: 'right' },
        { kind: 'time', ball: OBJECT, from: 'tip', to: { cushion: 1 } },
      ],
    };
  });
  return [...lags, ...angles, running, check, ...stuns, round, ...squirts, ...halves];
}
