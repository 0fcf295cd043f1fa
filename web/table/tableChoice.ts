import type { ClubTable, TableRef, TableState } from '../../core/records/clubTable.ts';
import { standardCard } from '../../core/table/card.ts';
import type { PresetId } from '../../core/table/preset.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';

/** A table to compute on: one of the club's in a state, or, without `ref`, a kind of table as it ships. */
export interface TableChoice {
  readonly ref: TableRef | undefined;
  readonly on: TableAsPlayed;
}

export function asPlayed(state: TableState): TableAsPlayed {
  return { card: state.card, conditions: state.conditions?.conditions ?? null };
}

/** The table as it is now: conditions noted last night hold no more. @param now ms since 1970 */
export function currentState({ state }: ClubTable, now: number): TableState {
  const { conditions } = state;
  const holds = conditions !== null && Date.parse(conditions.holdsUntil) > now;
  return holds ? state : { ...state, conditions: null };
}

export function chooseState(id: string, state: TableState): TableChoice {
  const { revision, conditions } = state;
  return { ref: { id, revision, conditionsId: conditions?.id ?? null }, on: asPlayed(state) };
}

export function chooseShipped(preset: PresetId): TableChoice {
  return { ref: undefined, on: { card: standardCard(preset), conditions: null } };
}

/** The tables in use that are of one of some kinds, those of the first kind first. */
export function tablesFor(tables: readonly ClubTable[], kinds: readonly PresetId[]): readonly ClubTable[] {
  return kinds.flatMap((kind) => tables.filter((table) => table.preset === kind && !table.archived));
}
