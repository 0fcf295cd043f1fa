import { useHotkeys } from '@mantine/hooks';
import { useState } from 'react';
import type { Turn } from '../../../core/evening/ask.ts';
import { change, redo, startHistory, undo, type History } from '../../controls/history.ts';

type Turns = readonly Turn[];

/** A proposal that is changed by hand, with what can be undone; another proposal begins anew. */
export interface EditedTurns {
  readonly turns: Turns;
  readonly past: readonly unknown[];
  readonly future: readonly unknown[];
  readonly undo: () => void;
  readonly redo: () => void;
  /** Number of the turn that is looked at. */
  readonly chosen: number | undefined;
  readonly choose: (index: number | undefined) => void;
  readonly change: (index: number, turn: Turn) => void;
  readonly remove: (index: number) => void;
  /** To a free place, or in exchange for who is there. */
  readonly move: (index: number, table: string, from: number) => void;
}

interface Editing {
  readonly planned: Turns;
  readonly history: History<Turns>;
  readonly chosen: number | undefined;
}

const NONE: Turns = [];

export function useTurns(planned: Turns = NONE): EditedTurns {
  const begin = (): Editing => ({ planned, history: startHistory(planned), chosen: undefined });
  const [stored, setStored] = useState(begin);
  const now = stored.planned === planned ? stored : begin();
  const edit = (make: (editing: Editing) => Partial<Editing>) =>
    setStored((before) => {
      const editing = before.planned === planned ? before : begin();
      return { ...editing, ...make(editing) };
    });
  const set = (make: (turns: Turns) => Turns) =>
    edit(({ history }) => ({ history: change(history, make(history.present), undefined) }));
  const back = () => edit(({ history }) => ({ history: undo(history) }));
  const forth = () => edit(({ history }) => ({ history: redo(history) }));
  const choose = (chosen: number | undefined) => edit(() => ({ chosen }));
  useHotkeys([['Escape', () => choose(undefined)]]);
  const turns = now.history.present;
  return {
    turns,
    past: now.history.past,
    future: now.history.future,
    undo: back,
    redo: forth,
    chosen: now.chosen !== undefined && now.chosen < turns.length ? now.chosen : undefined,
    choose,
    change: (index, turn) => set((all) => all.map((each, i) => (i === index ? turn : each))),
    remove: (index) => {
      set((all) => all.filter((_, i) => i !== index));
      choose(undefined);
    },
    move: (index, table, from) =>
      set((all) => {
        const moved = all[index];
        if (moved === undefined) return all;
        return all.map((each, i) => {
          if (i === index) return { ...each, table, from };
          return each.table === table && each.from === from
            ? { ...each, table: moved.table, from: moved.from }
            : each;
        });
      }),
  };
}
