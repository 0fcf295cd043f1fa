import { createRandom, type Random } from '../random/random.ts';
import type { EveningAsk } from './ask.ts';
import { isFree, NOBODY, slotsOf, timetableOf, type Places, type Timetable } from './timetable.ts';

/** Steps of the search for each place of the timetable, and at most. */
const STEPS_A_PLACE = 250;
const MOST_STEPS = 16_000;
/** What a step may lose at first, in the timetable's worth; in the end nothing. */
const WARMTH = 0.25;

/**
 * Plans an evening: who plays what at which table when. A local search from a first timetable that is filled slot by slot
 * (simulated annealing; Kirkpatrick, Gelatt and Vecchi 1983); no student is ever at two tables at once.
 * @param seed the same seed plans the same
 * @throws RangeError for a turn of no minutes
 */
export function planEvening(ask: EveningAsk, seed: number): Timetable {
  if (!(ask.rules.turn > 0)) throw new RangeError('planEvening: a turn needs minutes');
  const search = new Search(ask);
  const random = createRandom(seed);
  const steps = Math.min(MOST_STEPS, STEPS_A_PLACE * search.places.length);
  for (let step = 0; step < steps; step++) search.step(random, WARMTH * (1 - step / steps) ** 2);
  search.polish();
  return timetableOf(ask, search.best);
}

class Search {
  places: number[];
  best: Places;
  readonly #ask: EveningAsk;
  readonly #slots: number;
  #worth: number;
  #bestWorth: number;

  constructor(ask: EveningAsk) {
    this.#ask = ask;
    this.#slots = slotsOf(ask);
    this.places = new Array<number>(this.#slots * ask.tables.length).fill(NOBODY);
    this.#worth = timetableOf(ask, this.places).worth;
    this.best = [...this.places];
    this.#bestWorth = this.#worth;
    this.polish();
  }

  /** One step: somebody else at a place, or two who change places; what loses too much is taken back. */
  step(random: Random, warmth: number): void {
    if (this.places.length === 0) return;
    const pick = (count: number) => Math.floor(random.uniform() * count);
    const cell = pick(this.places.length);
    const before = [...this.places];
    if (random.uniform() < 0.5) this.#put(cell, pick(this.#ask.students.length + 1) - 1);
    else this.#swap(cell, pick(this.places.length));
    const { worth } = timetableOf(this.#ask, this.places);
    const loss = this.#worth - worth;
    if (loss > 0 && random.uniform() >= Math.exp(-loss / Math.max(1e-9, warmth))) this.places = before;
    else this.#worth = worth;
    this.#keep();
  }

  /** From the best so far on, every place takes whoever is best there, until nothing gets better. */
  polish(): void {
    this.places = [...this.best];
    this.#worth = this.#bestWorth;
    for (let better = true; better;) {
      better = false;
      for (const cell of this.places.keys()) {
        for (let number = NOBODY; number < this.#ask.students.length; number++) {
          const before = [...this.places];
          this.#put(cell, number);
          const { worth } = timetableOf(this.#ask, this.places);
          if (worth > this.#worth + 1e-9) {
            this.#worth = worth;
            better = true;
          } else this.places = before;
        }
      }
    }
    this.#keep();
  }

  #keep(): void {
    if (this.#worth <= this.#bestWorth + 1e-9) return;
    this.best = [...this.places];
    this.#bestWorth = this.#worth;
  }

  /** Puts a student at a place, and takes them from any other table of that slot; not where they cannot stand. */
  #put(cell: number, number: number): void {
    const { students, tables } = this.#ask;
    const slot = Math.floor(cell / tables.length);
    const [student, table] = [students[number], tables[cell % tables.length]];
    if (number === NOBODY) this.places[cell] = NOBODY;
    if (student === undefined || table === undefined || !isFree(this.#ask, student, table, slot)) return;
    for (let t = 0; t < tables.length; t++) {
      const other = slot * tables.length + t;
      if (this.places[other] === number) this.places[other] = NOBODY;
    }
    this.places[cell] = number;
  }

  #swap(a: number, b: number): void {
    const [one, other] = [this.places[a] ?? NOBODY, this.places[b] ?? NOBODY];
    this.#put(a, NOBODY);
    this.#put(b, NOBODY);
    this.#put(a, other);
    this.#put(b, one);
  }
}
