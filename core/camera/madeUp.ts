import type { Random } from '../random/random.ts';
import type { Table } from '../table/table.ts';
import type { Point } from '../math/point.ts';
import type { CameraFrame, SeenBall } from './frame.ts';

/** What goes wrong with a made-up camera. */
export interface CameraFaults {
  /** Standard deviation of a place along each axis, metres. */
  readonly noise: number;
  /** Share of the sightings, and of the whole frames, that are missing. */
  readonly dropOuts: number;
  /** How often in a minute two balls exchange their names, for up to three seconds. */
  readonly swaps: number;
  /** How often in a minute a ball is not seen for up to three seconds. */
  readonly blind: number;
  /** Share of the frames with something that is no ball. */
  readonly ghosts: number;
}

export const NO_FAULTS: CameraFaults = { noise: 0, dropOuts: 0, swaps: 0, blind: 0, ghosts: 0 };

interface Burst {
  readonly until: number;
  readonly names: readonly string[];
}

/** A made-up camera over a table: what it makes of what is there. */
export class MadeUpCamera {
  readonly #table: Table;
  readonly #faults: CameraFaults;
  readonly #random: Random;
  #seq = 0;
  #last = 0;
  #swap: Burst = { until: 0, names: [] };
  #blind: Burst = { until: 0, names: [] };

  constructor(table: Table, faults: CameraFaults, random: Random) {
    this.#table = table;
    this.#faults = faults;
    this.#random = random;
  }

  /**
   * The frame of a moment; undefined where it is lost.
   * @param at seconds by the camera's clock, later than the one before
   */
  see(at: number, balls: ReadonlyMap<string, Point>, isCovered: boolean): CameraFrame | undefined {
    const { noise, dropOuts, swaps, blind, ghosts } = this.#faults;
    const random = this.#random;
    const passed = (at - this.#last) / 60;
    this.#last = at;
    this.#seq += 1;
    const names = [...balls.keys()];
    const some = () => names[Math.floor(random.uniform() * names.length)] ?? '';
    if (random.uniform() < swaps * passed && names.length > 1)
      this.#swap = { until: at + 3 * random.uniform(), names: [some(), some()] };
    if (random.uniform() < blind * passed && names.length > 0)
      this.#blind = { until: at + 3 * random.uniform(), names: [some()] };
    const called = (name: string) => {
      const [a, b] = this.#swap.names;
      if (at > this.#swap.until || a === undefined || b === undefined) return name;
      return name === a ? b : name === b ? a : name;
    };
    const isHidden = (name: string) => at <= this.#blind.until && this.#blind.names.includes(name);
    const seen = [...balls].flatMap(([name, place]): SeenBall[] => {
      if (isHidden(name) || random.uniform() < dropOuts) return [];
      return [
        {
          name: called(name),
          at: { x: place.x + noise * random.normal(), y: place.y + noise * random.normal() },
          confidence: 1 - 0.2 * random.uniform(),
        },
      ];
    });
    const ghost: readonly SeenBall[] =
      random.uniform() < ghosts
        ? [
            {
              name: some() || 'cue',
              at: { x: this.#table.length * random.uniform(), y: this.#table.width * random.uniform() },
              confidence: random.uniform(),
            },
          ]
        : [];
    if (random.uniform() < dropOuts / 2) return undefined;
    return { seq: this.#seq, at, isCovered, balls: [...seen, ...ghost] };
  }
}
