import { useEffect, useSyncExternalStore, useState } from 'react';

/**
 * The time of a replay, kept outside of React's state: sixty times a second only what moves asks for it, and the rest
 * of the screen stays as it is.
 */
export class Replay {
  readonly #listeners = new Set<() => void>();
  #duration = 0;
  #t: number | undefined;
  #playing = false;
  #rate = 1;
  #frame = 0;

  /** Seconds into the shot; undefined while the balls stand where they are set. */
  readonly time = (): number | undefined => this.#t;
  readonly playing = (): boolean => this.#playing;
  readonly rate = (): number => this.#rate;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  setDuration(duration: number): void {
    this.#duration = duration;
  }

  play(): void {
    if ((this.#t ?? 0) >= this.#duration) this.#t = 0;
    this.#playing = true;
    let last = performance.now();
    const draw = (now: number) => {
      this.#t = Math.min(this.#duration, (this.#t ?? 0) + (Math.max(0, now - last) / 1000) * this.#rate);
      last = now;
      if (this.#t >= this.#duration) this.#playing = false;
      else this.#frame = requestAnimationFrame(draw);
      this.#tell();
    };
    cancelAnimationFrame(this.#frame);
    this.#frame = requestAnimationFrame(draw);
    this.#tell();
  }

  pause(): void {
    cancelAnimationFrame(this.#frame);
    this.#playing = false;
    this.#tell();
  }

  /** Back to the balls as they are set. */
  reset(): void {
    if (this.#t === undefined && !this.#playing) return;
    this.#t = undefined;
    this.pause();
  }

  seek(t: number): void {
    this.#t = Math.min(this.#duration, Math.max(0, t));
    this.pause();
  }

  setRate(rate: number): void {
    this.#rate = rate;
    this.#tell();
  }

  #tell(): void {
    this.#listeners.forEach((listener) => listener());
  }
}

/** A replay of a shot of some length, seconds. */
export function useReplay(duration: number): Replay {
  const [replay] = useState(() => new Replay());
  useEffect(() => replay.setDuration(duration), [replay, duration]);
  useEffect(() => () => replay.pause(), [replay]);
  return replay;
}

/** What a component needs of a replay; it is drawn again only when that changes. */
export function useReplayed<T>(replay: Replay, read: (replay: Replay) => T): T {
  return useSyncExternalStore(replay.subscribe, () => read(replay));
}
