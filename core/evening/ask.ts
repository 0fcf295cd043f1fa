import type { Want } from '../records/evening.ts';
import type { PresetId } from '../table/preset.ts';
import type { Stretch } from './strain.ts';

/** A student who comes, or is still to come. */
export interface EveningStudent {
  readonly id: string;
  readonly wants: readonly Want[];
  /** Minutes after the beginning at which they are there and free. */
  readonly from: number;
  /** What they have played tonight already, in order. */
  readonly played: readonly PlayedTurn[];
}

/** A turn that was played, or is. */
export interface PlayedTurn {
  readonly drill: string;
  readonly minutes: number;
  /** When it is over, minutes after the beginning. */
  readonly until: number;
}

/** When a turn that was played was at the table. */
export const stretchOf = ({ minutes, until }: PlayedTurn): Stretch => ({ from: until - minutes, minutes });

/** A table, and when it is free; minutes after the beginning. */
export interface EveningTable {
  readonly id: string;
  readonly preset: PresetId;
  readonly from: number;
}

/** What the club allows. */
export interface EveningRules {
  /** Minutes of a turn. */
  readonly turn: number;
  /** Minutes at the table without a rest, and on the whole evening, at most. */
  readonly restAfter: number;
  readonly most: number;
}

/** An evening to be planned. */
export interface EveningAsk {
  readonly students: readonly EveningStudent[];
  readonly tables: readonly EveningTable[];
  /** Coaches who are there: each watches one table at a time. */
  readonly coaches: readonly string[];
  /** What is planned of it, minutes after the beginning. */
  readonly from: number;
  readonly until: number;
  readonly rules: EveningRules;
}

/** A student's turn at a table. */
export interface Turn {
  readonly student: string;
  readonly table: string;
  /** Minutes after the beginning. */
  readonly from: number;
  readonly minutes: number;
  readonly want: Want;
  /** The coach who watches it; undefined for none. */
  readonly coach: string | undefined;
}
