import { DndContext, useDroppable } from '@dnd-kit/core';
import dayjs from 'dayjs';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { addDays, WEEK_DAYS } from '../../core/programme/days.ts';
import { countDone, type ItemState } from '../../core/programme/donePlanned.ts';
import type { ProgrammeDocument, ProgrammeItem } from '../../core/records/programme.ts';
import { useDragSensors } from '../controls/useDragSensors.ts';
import { spokenDay } from '../words/dates.ts';
import { ItemCard } from './ItemCard.tsx';

interface WeekGridProps {
  readonly document: ProgrammeDocument;
  readonly states: ReadonlyMap<string, ItemState>;
  readonly today: string;
  readonly titleOf: (drill: string) => string;
  readonly chosen: string | undefined;
  readonly editable: boolean;
  /** Opens an entry, or closes the one that is open. */
  readonly onChoose: (item: string | undefined) => void;
  readonly onMove: (item: string, day: string) => void;
  /** What is shown of the entry that is open. */
  readonly panel: (item: ProgrammeItem) => ReactNode;
}

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** The weeks of a programme, a row each; entries are dragged to other days, or moved there by the keyboard. */
export function WeekGrid(props: WeekGridProps) {
  const { document, states, editable, onMove } = props;
  const sensors = useDragSensors();
  const [told, setTold] = useState('');
  const moved = useRef<string>(undefined);
  // On another day it is another element: the keyboard stays with the entry.
  useEffect(() => {
    if (moved.current === undefined) return;
    window.document.getElementById(`entry-${moved.current}`)?.focus();
    moved.current = undefined;
  }, [document]);
  function moveBy(item: ProgrammeItem, days: number) {
    const day = addDays(item.day, days);
    const end = addDays(document.startDay, WEEK_DAYS * document.weeks);
    if (day < document.startDay || day >= end) {
      setTold(`${spokenDay(day)} is not in this programme`);
      return;
    }
    moved.current = item.id;
    onMove(item.id, day);
    setTold(`Moved to ${spokenDay(day)}`);
  }
  return (
    <DndContext
      sensors={editable ? sensors : []}
      onDragEnd={({ active, over }) => {
        const item = document.items.find(({ id }) => id === active.id);
        if (item !== undefined && over !== null && over.id !== item.day) onMove(item.id, String(over.id));
      }}
    >
      <div role="status" className="visually-hidden">
        {told}
      </div>
      <div className="weeks" role="table" aria-label="Weeks of the programme">
        <div role="row" className="week week-head">
          <div role="columnheader">Week</div>
          {WEEKDAYS.map((name) => (
            <div key={name} role="columnheader">
              {name}
            </div>
          ))}
        </div>
        {Array.from({ length: document.weeks }, (_, i) => {
          const monday = addDays(document.startDay, WEEK_DAYS * i);
          const days = WEEKDAYS.map((_name, k) => addDays(monday, k));
          const items = document.items.filter(({ day }) => days.includes(day));
          const { planned, done, plannedMinutes } = countDone(items, states);
          return (
            <div role="row" className="week" key={monday}>
              <div role="rowheader" className="week-sum">
                <b>{i + 1}</b>
                {planned > 0 && (
                  <span className="muted">
                    {done} of {planned}
                    <br />
                    {plannedMinutes} min
                  </span>
                )}
              </div>
              {days.map((day) => (
                <DayCell key={day} day={day} onMoveBy={moveBy} {...props} />
              ))}
            </div>
          );
        })}
      </div>
    </DndContext>
  );
}

interface DayCellProps extends WeekGridProps {
  readonly day: string;
  readonly onMoveBy: (item: ProgrammeItem, days: number) => void;
}

function DayCell({ day, onMoveBy, ...props }: DayCellProps) {
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const { document, today, states, titleOf, chosen, editable, onChoose, panel } = props;
  const match = document.matchDays.includes(day);
  const name = [isOver ? 'day over' : 'day', day === today ? 'today' : ''].join(' ');
  return (
    <div ref={setNodeRef} role="cell" className={name} aria-label={spokenDay(day)}>
      <span className="day-name">
        {dayjs(day).format('ddd D MMM')}
        {match ? ', match' : ''}
      </span>
      {document.items
        .filter((item) => item.day === day)
        .map((item) => (
          <ItemCard
            key={item.id}
            item={item}
            title={titleOf(item.drill)}
            state={states.get(item.id)?.kind ?? 'open'}
            opened={item.id === chosen}
            editable={editable}
            panel={panel}
            onChoose={onChoose}
            onMoveBy={(days) => onMoveBy(item, days)}
          />
        ))}
    </div>
  );
}
