import { useState } from 'react';
import { useAddress, type Address } from './useAddress.ts';
import { tablesOf } from '../../core/drill/stage.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import {
  chooseShipped,
  chooseState,
  currentState,
  tablesFor,
  type TableChoice,
} from '../table/tableChoice.ts';

/** The stage that an address names, from 1. @param otherwise where it names none: the first, or the one a player is at */
export function stageFrom(params: URLSearchParams, drill: Drill, otherwise = 1): number {
  const wanted = Math.trunc(Number(params.get('stage') ?? otherwise));
  return wanted >= 1 && wanted <= drill.stages.length ? wanted : 1;
}

/** The table that an address names, of those that fit; the first where it names none. */
export function tableFrom(params: URLSearchParams, fitting: readonly ClubTable[]): ClubTable | undefined {
  return fitting.find((each) => each.id === params.get('table')) ?? fitting[0];
}

/** How a drill is looked at: its stage and the club's table, both from the address, so that they can be shared. */
interface Setting {
  readonly stage: number;
  readonly fitting: readonly ClubTable[];
  /** Undefined where the club has no table that fits; then it is the kind of table as it ships. */
  readonly table: ClubTable | undefined;
  readonly choice: TableChoice;
  readonly params: URLSearchParams;
  readonly set: Address['set'];
}

export function useSetting(drill: Drill, tables: readonly ClubTable[]): Setting {
  const { params, set } = useAddress();
  const [now] = useState(() => Date.now());
  const fitting = tablesFor(tables, tablesOf(drill));
  const table = tableFrom(params, fitting);
  const choice =
    table === undefined ? chooseShipped(drill.table) : chooseState(table.id, currentState(table, now));
  return { stage: stageFrom(params, drill), fitting, table, choice, params, set };
}
