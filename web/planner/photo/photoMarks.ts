import { colouredAs } from '../../../core/photo/ballColours.ts';
import type { Pixel, PictureSize } from '../../../core/photo/camera.ts';
import type { ProposedBall } from '../../../core/photo/findBalls.ts';
import {
  CORNERS,
  cornersOf,
  furtherLandmarks,
  type CornerName,
  type Mark,
} from '../../../core/photo/marks.ts';
import type { Table } from '../../../core/table/table.ts';
import { CUE } from '../../table/labShot.ts';

/** A ball that was marked in a picture. */
export interface MarkedBall {
  readonly id: string;
  readonly pixel: Pixel;
}

/** What was marked so far. */
export interface PhotoMarks {
  readonly corners: Readonly<Record<CornerName, Pixel>>;
  /** Further marks by the names of their landmarks. */
  readonly further: Readonly<Record<string, Pixel>>;
  readonly balls: readonly MarkedBall[];
}

/** Where the corners wait to be dragged, shares of the picture: as somebody at the head end sees them. */
const FIRST: Readonly<Record<CornerName, readonly [number, number]>> = {
  'head-right': [0.85, 0.8],
  'head-left': [0.15, 0.8],
  'foot-left': [0.3, 0.25],
  'foot-right': [0.7, 0.25],
};

export function firstMarks({ width, height }: PictureSize): PhotoMarks {
  const at = (name: CornerName): Pixel => ({ across: FIRST[name][0] * width, down: FIRST[name][1] * height });
  return {
    corners: {
      'head-right': at('head-right'),
      'head-left': at('head-left'),
      'foot-left': at('foot-left'),
      'foot-right': at('foot-right'),
    },
    further: {},
    balls: [],
  };
}

/** Half a turn of the names: what was taken for the head end is the foot end. */
export function turnedRound({ corners, ...others }: PhotoMarks): PhotoMarks {
  return {
    ...others,
    further: {},
    corners: {
      'head-right': corners['foot-left'],
      'head-left': corners['foot-right'],
      'foot-left': corners['head-right'],
      'foot-right': corners['head-left'],
    },
  };
}

/** The marks as the computation takes them, corners first. */
export function marksOf(table: Table, { corners, further }: PhotoMarks): readonly Mark[] {
  const ofCorners = cornersOf(table).flatMap((landmark): Mark[] => {
    const name = CORNERS.find((each) => each === landmark.name);
    return name === undefined ? [] : [{ ...landmark, pixel: corners[name] }];
  });
  const others = furtherLandmarks(table).flatMap((landmark): Mark[] => {
    const pixel = further[landmark.name];
    return pixel === undefined ? [] : [{ ...landmark, pixel }];
  });
  return [...ofCorners, ...others];
}

/** Names that balls can have on a table. */
export function ballNames({ preset }: Table): readonly string[] {
  const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'];
  const reds = Array.from({ length: 15 }, (_, n) => (n === 0 ? 'red' : `red ${String(n + 1)}`));
  const numbers = Array.from({ length: 15 }, (_, n) => String(n + 1));
  return [CUE, ...(preset.markings === 'colours' ? [...colours, ...reds] : numbers)];
}

/** The first name that no ball has yet; the cue ball's only where it is asked for. @param wanted the name that it has if it is free */
export function freeName(
  table: Table,
  balls: readonly MarkedBall[],
  isCueBall: boolean,
  wanted?: string,
): string | undefined {
  const free = ballNames(table).filter((name) => balls.every(({ id }) => id !== name));
  if (isCueBall && free.includes(CUE)) return CUE;
  const objects = free.filter((name) => name !== CUE);
  return wanted !== undefined && objects.includes(wanted) ? wanted : objects[0];
}

/** What found balls are called: by their colours, as far as these are free. */
export function named(table: Table, found: readonly ProposedBall[]): readonly MarkedBall[] {
  return found.reduce<readonly MarkedBall[]>((so, { pixel, colour, isCueBall }) => {
    const wanted = colouredAs(colour, table.preset.markings === 'colours' ? 'snooker' : 'pool');
    // Further reds have names of their own.
    const isAgain = so.some(({ id }) => id === wanted);
    const again = ballNames(table).find(
      (name) => name.startsWith(`${wanted} `) && so.every(({ id }) => id !== name),
    );
    const id = freeName(table, so, isCueBall, isAgain ? again : wanted);
    return id === undefined ? so : [...so, { id, pixel }];
  }, []);
}
