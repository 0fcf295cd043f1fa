import { setTimeout } from 'node:timers/promises';

/**
 * The rhythm of one device of several. Devices do not shoot in step, and do not fall into it when all of them have
 * waited for the same: each has moments of its own.
 */
export class Beat {
  readonly #everyMs: number;
  readonly #offsetMs: number;

  /**
   * @param everyMs from one moment to the next
   * @param share where its moments lie between those of the first device, 0 to 1
   */
  constructor(everyMs: number, share: number) {
    this.#everyMs = everyMs;
    this.#offsetMs = share * everyMs;
  }

  /** Waits for the device's next moment. */
  async next(): Promise<void> {
    // All count from the start of the process.
    const since = performance.now() - this.#offsetMs;
    const ahead = (Math.floor(since / this.#everyMs) + 1) * this.#everyMs - since;
    await setTimeout(ahead);
  }
}
