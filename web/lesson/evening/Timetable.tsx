import { DndContext, KeyboardSensor, useDraggable, useDroppable, useSensor } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import type { Turn } from '../../../core/evening/ask.ts';
import type { Clash } from '../../../core/evening/clashes.ts';
import { useDragSensors } from '../../controls/useDragSensors.ts';
import { clashWords, clockAt } from '../../words/eveningWords.ts';

/** A turn as the timetable shows it. */
export interface ShownTurn {
  readonly key: string;
  readonly turn: Turn;
  readonly clashes: readonly Clash[];
  /** "being played", "played"; empty for one that is to come. */
  readonly state: string;
  /** What stands at its foot: a button to start it. */
  readonly foot?: ReactNode;
}

export interface EveningNames {
  readonly student: (id: string) => string;
  readonly table: (id: string) => string;
  readonly coach: (id: string) => string;
  readonly drill: (slug: string) => string;
}

interface TimetableProps {
  readonly begins: string;
  readonly tables: readonly string[];
  /** When rows begin, minutes after the beginning, beside those of the turns. */
  readonly slots: readonly number[];
  readonly turns: readonly ShownTurn[];
  readonly names: EveningNames;
  readonly chosen?: string | undefined;
  readonly onChoose?: (key: string) => void;
  /** Left out where nothing is moved. */
  readonly onMove?: (key: string, table: string, from: number) => void;
}

/** An evening: a column for each table, a row for each time; turns are dragged to other places. */
export function Timetable(props: TimetableProps) {
  const { begins, tables, slots, turns, names, onMove } = props;
  const drag = useDragSensors();
  const keyboard = useSensor(KeyboardSensor);
  const rows = [...new Set([...slots, ...turns.map(({ turn }) => turn.from)])].sort((a, b) => a - b);
  return (
    <DndContext
      sensors={onMove === undefined ? [] : [...drag, keyboard]}
      onDragEnd={({ active, over }) => {
        const [table, from] = String(over?.id ?? '').split('@');
        if (table !== undefined && from !== undefined) onMove?.(String(active.id), table, Number(from));
      }}
    >
      <div
        className="timetable"
        role="table"
        aria-label="Timetable"
        style={{ '--tables': tables.length } as React.CSSProperties}
      >
        <div role="row" className="timetable-row timetable-head">
          <div role="columnheader">Time</div>
          {tables.map((table) => (
            <div key={table} role="columnheader">
              {names.table(table)}
            </div>
          ))}
        </div>
        {rows.map((from) => (
          <div role="row" className="timetable-row" key={from}>
            <div role="rowheader" className="timetable-time">
              {clockAt(begins, from)}
            </div>
            {tables.map((table) => (
              <Place key={table} table={table} from={from} {...props} />
            ))}
          </div>
        ))}
      </div>
    </DndContext>
  );
}

function Place({
  table,
  from,
  ...props
}: TimetableProps & { readonly table: string; readonly from: number }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${table}@${from}` });
  const here = props.turns.filter(({ turn }) => turn.table === table && turn.from === from);
  const name = ['timetable-place', isOver ? 'over' : '', here.length === 0 ? 'empty' : ''].join(' ');
  return (
    <div ref={setNodeRef} role="cell" className={name}>
      {here.map((shown) => (
        <TurnCard key={shown.key} shown={shown} {...props} />
      ))}
    </div>
  );
}

function TurnCard({
  shown: { key, turn, clashes, state, foot },
  names,
  chosen,
  onChoose,
  onMove,
}: TimetableProps & { readonly shown: ShownTurn }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: key,
    disabled: onMove === undefined,
  });
  const moved = transform === null ? undefined : `translate(${transform.x}px, ${transform.y}px)`;
  const says = (
    <>
      <b>{names.student(turn.student)}</b>
      <span>{names.drill(turn.want.drill)}</span>
      <span className="muted">
        {turn.minutes} min{turn.want.kind === 'warm-up' ? ', to warm up' : ''}
        {turn.coach === undefined ? '' : `, with ${names.coach(turn.coach)}`}
      </span>
      <span className="muted timetable-table">{names.table(turn.table)}</span>
      {state !== '' && <span>{state}</span>}
      {clashes.map((clash) => (
        <span key={clash} className="timetable-clash">
          {clashWords(clash)}
        </span>
      ))}
    </>
  );
  const kind = [
    'turn',
    clashes.length > 0 ? 'clash' : '',
    key === chosen ? 'chosen' : '',
    state === '' ? '' : 'begun',
  ].join(' ');
  return (
    <div className={kind} style={{ transform: moved, zIndex: isDragging ? 10 : undefined }}>
      {onChoose === undefined ? (
        <div className="turn-says">{says}</div>
      ) : (
        <button
          ref={setNodeRef}
          type="button"
          {...(onMove === undefined ? {} : attributes)}
          {...listeners}
          aria-pressed={key === chosen}
          className="turn-says"
          onClick={() => onChoose(key)}
        >
          {says}
        </button>
      )}
      {foot}
    </div>
  );
}
