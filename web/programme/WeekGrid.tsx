import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import dayjs from 'dayjs';
import { addDays, WEEK_DAYS } from '../../core/programme/days.ts';
import { countDone, type ItemState } from '../../core/programme/donePlanned.ts';
import type { ProgrammeDocument, ProgrammeItem } from '../../core/records/programme.ts';

interface WeekGridProps {
  readonly document: ProgrammeDocument;
  readonly states: ReadonlyMap<string, ItemState>;
  readonly today: string;
  readonly titleOf: (drill: string) => string;
  readonly chosen: string | undefined;
  readonly editable: boolean;
  readonly onChoose: (item: string) => void;
  readonly onMove: (item: string, day: string) => void;
}

/** A pointer must move so far before it is a drag, px: a tap chooses. */
const DRAG_PX = 6;
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** The weeks of a programme, a row each; entries are dragged to other days. */
export function WeekGrid(props: WeekGridProps) {
  const { document, states, editable, onMove } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_PX } }),
    useSensor(KeyboardSensor),
  );
  return (
    <DndContext
      sensors={editable ? sensors : []}
      onDragEnd={({ active, over }) => {
        const item = document.items.find(({ id }) => id === active.id);
        if (item !== undefined && over !== null && over.id !== item.day) onMove(item.id, String(over.id));
      }}
    >
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
                <DayCell key={day} day={day} {...props} />
              ))}
            </div>
          );
        })}
      </div>
    </DndContext>
  );
}

function DayCell({ day, ...props }: WeekGridProps & { readonly day: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const { document, today } = props;
  const match = document.matchDays.includes(day);
  const name = [isOver ? 'day over' : 'day', day === today ? 'today' : ''].join(' ');
  return (
    <div ref={setNodeRef} role="cell" className={name} aria-label={dayjs(day).format('dddd D MMMM')}>
      <span className="day-name">
        {dayjs(day).format('ddd D MMM')}
        {match ? ', match' : ''}
      </span>
      {document.items
        .filter((item) => item.day === day)
        .map((item) => (
          <ItemCard key={item.id} item={item} {...props} />
        ))}
    </div>
  );
}

const STATE_WORDS: Readonly<Record<ItemState['kind'], string>> = {
  scored: 'scored',
  ticked: 'done',
  open: '',
  missed: 'left out',
};

function ItemCard({
  item,
  states,
  titleOf,
  chosen,
  editable,
  onChoose,
}: WeekGridProps & { readonly item: ProgrammeItem }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: item.id,
    disabled: !editable,
  });
  const state = states.get(item.id)?.kind ?? 'open';
  const moved = transform === null ? undefined : `translate(${transform.x}px, ${transform.y}px)`;
  return (
    <button
      ref={setNodeRef}
      type="button"
      // Who may not drag may still choose: to them it is a plain button.
      {...(editable ? attributes : {})}
      {...listeners}
      aria-pressed={item.id === chosen}
      className={`programme-item ${state}${item.id === chosen ? ' chosen' : ''}`}
      style={{ transform: moved, zIndex: isDragging ? 10 : undefined, position: 'relative' }}
      onClick={() => onChoose(item.id)}
    >
      <b>{titleOf(item.drill)}</b>
      <span className="muted">
        stage {item.stage}, {item.minutes} min{item.kind === 'practice' ? '' : `, ${item.kind}`}
      </span>
      {item.note !== '' && <span className="print-only">{item.note}</span>}
      {STATE_WORDS[state] !== '' && <span>{STATE_WORDS[state]}</span>}
    </button>
  );
}
