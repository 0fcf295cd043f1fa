import type { MadeUpCamera } from '../../core/camera/madeUp.ts';
import type { Random } from '../../core/random/random.ts';
import { frameLine } from '../../core/records/cameraFrame.ts';
import type { MadeLine } from './cameraApp.ts';
import type { Scene } from './scene.ts';

/** Frames a second. */
const RATE = 15;
/** Lines are kept for so long, seconds beyond the lag. */
const KEPT = 5;

/** Lines that are no frames, as broken programs and cables make them. */
const GARBAGE = [
  '{"camera":1,"seq":',
  'hello?',
  '{"camera":99,"seq":1,"at":1,"covered":false,"balls":[]}',
  '{"camera":1,"seq":1e400,"at":0,"covered":false,"balls":[]}',
  '{"camera":1,"seq":1,"at":0,"covered":false,"balls":[{"ball":"cue","x":99999,"y":1,"confidence":1}]}',
  '{"camera":1,"seq":1,"at":0,"covered":"no","balls":null}',
] as const;

interface Line {
  /** Seconds by which each line comes late. */
  readonly lag: number;
  /** Share of the lines that are no frames. */
  readonly garbage: number;
}

/** Makes the lines of a camera for as long as the program runs. */
export class LineMaker {
  #lines: readonly MadeLine[] = [];
  #timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly scene: Scene,
    private readonly camera: MadeUpCamera,
    private readonly line: Line,
    private readonly random: Random,
    private readonly now: () => number,
  ) {}

  start(): void {
    this.#timer = setInterval(() => this.#make(), 1000 / RATE);
  }

  stop(): void {
    clearInterval(this.#timer);
  }

  lines = (): readonly MadeLine[] => this.#lines;

  #make(): void {
    const at = this.now();
    const { lag, garbage } = this.line;
    const { balls, isCovered } = this.scene.at(at);
    const frame = this.camera.see(at, balls, isCovered);
    const out = at + lag;
    const made: MadeLine[] = frame === undefined ? [] : [{ line: frameLine(frame), out }];
    if (this.random.uniform() < garbage) {
      const broken = GARBAGE[Math.floor(this.random.uniform() * GARBAGE.length)] ?? '';
      made.push({ line: broken, out });
    }
    this.#lines = [...this.#lines.filter((each) => each.out > at - KEPT), ...made];
  }
}
