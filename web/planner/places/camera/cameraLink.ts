import { CameraWatch, type CameraReading, type LyingBall } from '../../../../core/camera/watch.ts';
import { distance } from '../../../../core/math/point.ts';
import { LONGEST_LINE, readFrame } from '../../../../core/records/cameraFrame.ts';
import type { Table } from '../../../../core/table/table.ts';
import { CameraError, greet, type Pairing } from './pairing.ts';

/** It is read so often what the camera says, ms. */
const READ_MS = 200;
/** After a loss it is tried again after so long, ms. */
const AGAIN_MS = 2_000;

/** What is known of a camera at a moment. */
export interface LinkState {
  readonly reading: CameraReading;
  /** Why nothing comes; undefined while frames come. */
  readonly trouble: string | undefined;
  /** Lines that were no frames, and were dropped. */
  readonly refused: number;
}

const NOTHING: CameraReading = { state: 'waiting', balls: [], doubts: [], isAfterShot: false };

/** A connection to a paired camera, that comes back by itself. What is no frame is dropped and counted. */
export class CameraLink {
  readonly #pairing: Pairing;
  readonly #table: Table;
  readonly #tell: (state: LinkState) => void;
  readonly #watch: CameraWatch;
  readonly #end = new AbortController();
  readonly #timer: ReturnType<typeof setInterval>;
  #ahead = 0;
  #refused = 0;
  #told: readonly LyingBall[] = [];
  #trouble: string | undefined;

  constructor(pairing: Pairing, table: Table, tell: (state: LinkState) => void) {
    this.#pairing = pairing;
    this.#table = table;
    this.#tell = tell;
    this.#watch = new CameraWatch(table);
    this.#timer = setInterval(() => this.#read(), READ_MS);
    void this.#run();
  }

  /** Balls that are known to be there before the next shot. */
  expect(names: readonly string[]): void {
    this.#watch.expect(names);
  }

  /** What lies there was entered; undefined while nothing is sure to lie still. */
  begin(balls: readonly LyingBall[] | undefined): void {
    this.#watch.begin(balls);
    this.#read();
  }

  close(): void {
    clearInterval(this.#timer);
    this.#end.abort();
  }

  #read(): void {
    const reading = this.#trouble === undefined ? this.#watch.read(Date.now() / 1000 + this.#ahead) : NOTHING;
    // What trembles by less than a millimetre is not told anew: what is offered is what is taken.
    if (!areSame(this.#told, reading.balls)) this.#told = reading.balls;
    this.#tell({
      reading: { ...reading, balls: this.#told },
      trouble: this.#trouble,
      refused: this.#refused,
    });
  }

  async #run(): Promise<void> {
    const isClosed = () => this.#end.signal.aborted;
    while (!isClosed()) {
      try {
        await this.#listen();
      } catch (error) {
        if (isClosed()) return;
        this.#trouble =
          error instanceof CameraError ? error.message : 'The camera is gone; it is tried again.';
      }
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }

  async #listen(): Promise<void> {
    const { address, token } = this.#pairing;
    const { ahead } = await greet(address, this.#table);
    this.#ahead = ahead;
    const response = await fetch(`${address}/frames`, {
      signal: this.#end.signal,
      headers: { authorization: `Bearer ${token}` },
    });
    if (response.status === 401)
      throw new CameraError('The camera does not know this device any more: pair it again.');
    if (!response.ok || response.body === null) throw new CameraError('The camera sends nothing.');
    this.#trouble = undefined;
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let rest = '';
    for (;;) {
      const { done, value } = await reader.read();
      if (done) throw new CameraError('The camera is gone; it is tried again.');
      const lines = (rest + value).split('\n');
      rest = lines.pop() ?? '';
      // A line without an end is not waited for for ever.
      if (rest.length > LONGEST_LINE) rest = '';
      for (const line of lines) this.#take(line);
    }
  }

  #take(line: string): void {
    try {
      if (!this.#watch.add(readFrame(line, this.#table))) this.#refused += 1;
    } catch (error) {
      // What a broken camera sends is theirs: it is counted, and the next line is read.
      if (!(error instanceof Error)) throw error;
      this.#refused += 1;
    }
  }
}

/** Balls that lie as near as this to where they were told to lie, metres, lie there. */
const TREMBLE = 0.001;

function areSame(before: readonly LyingBall[], now: readonly LyingBall[]): boolean {
  return (
    before.length === now.length &&
    now.every(({ name, at }, i) => {
      const told = before[i];
      return told?.name === name && distance(told.at, at) < TREMBLE;
    })
  );
}
