import { LRUCache } from 'lru-cache';
import type { TableRef, TableState } from '../../core/records/clubTable.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint, type Table } from '../../core/table/table.ts';
import { epochOf } from '../db/epochs.ts';
import type { Database } from '../db/pool.ts';
import { findTableState } from '../db/queries/tables.ts';

/** A table in a state in which it was or is played on. */
export interface PlayedTable {
  readonly state: TableState;
  readonly table: Table;
  readonly fingerprint: string;
}

function playedTable(state: TableState): PlayedTable {
  const table = tableOfCard(state.card, state.conditions?.conditions ?? null);
  return { state, table, fingerprint: tableFingerprint(table) };
}

/** States never change, so that every process may keep those it was asked for. */
const states = new LRUCache<string, PlayedTable>({ max: 500 });

/** The state of a club's table, read and checked once; undefined when the club has no such table or state. */
export async function stateOf(db: Database, clubId: string, key: TableRef): Promise<PlayedTable | undefined> {
  const text = [clubId, epochOf(clubId), key.id, key.revision, key.conditionsId].join('|');
  const known = states.get(text);
  if (known !== undefined) return known;
  const state = await findTableState(db, clubId, key.id, key.revision, key.conditionsId);
  if (state === undefined) return undefined;
  const played = playedTable(state);
  states.set(text, played);
  return played;
}
