import { useDraggable } from '@dnd-kit/core';
import { Popover } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { useEffect, type KeyboardEvent, type ReactNode } from 'react';
import { WEEK_DAYS } from '../../core/programme/days.ts';
import type { ItemState } from '../../core/programme/donePlanned.ts';
import type { ProgrammeItem } from '../../core/records/programme.ts';

interface ItemCardProps {
  readonly item: ProgrammeItem;
  readonly title: string;
  readonly state: ItemState['kind'];
  readonly opened: boolean;
  readonly editable: boolean;
  readonly panel: (item: ProgrammeItem) => ReactNode;
  readonly onChoose: (item: string | undefined) => void;
  /** Moves it so many days on. */
  readonly onMoveBy: (days: number) => void;
}

const STATE_WORDS: Readonly<Record<ItemState['kind'], string>> = {
  scored: 'scored',
  ticked: 'done',
  open: '',
  missed: 'left out',
};

/** With Alt an arrow key moves an entry: sideways by a day, up and down by a week. */
const DAYS_BY_KEY: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowUp: -WEEK_DAYS,
  ArrowDown: WEEK_DAYS,
};

/** An entry of a programme; it opens where it stands. */
export function ItemCard(props: ItemCardProps) {
  const { item, title, state, opened, editable, panel, onChoose, onMoveBy } = props;
  const { listeners, setNodeRef, transform, isDragging } = useDraggable({ id: item.id, disabled: !editable });
  const isWide = useMediaQuery('(min-width: 900px)', true);
  const moved = transform === null ? undefined : `translate(${transform.x}px, ${transform.y}px)`;
  useEffect(() => {
    if (opened) document.getElementById(`entry-${item.id}`)?.scrollIntoView({ block: 'nearest' });
  }, [opened, item.id]);
  const onKeyDown = (event: KeyboardEvent) => {
    const days = DAYS_BY_KEY[event.key];
    if (!editable || !event.altKey || days === undefined) return;
    event.preventDefault();
    onMoveBy(days);
  };
  return (
    <Popover
      opened={opened}
      onChange={(open) => {
        if (!open) onChoose(undefined);
      }}
      width="min(340px, 94vw)"
      position={isWide ? 'right-start' : 'bottom-start'}
      shadow="md"
      trapFocus
      returnFocus
      withRoles={false}
      hideDetached={false}
    >
      <Popover.Target>
        <button
          ref={setNodeRef}
          id={`entry-${item.id}`}
          type="button"
          {...listeners}
          aria-haspopup="dialog"
          aria-expanded={opened}
          aria-keyshortcuts={editable ? 'Alt+ArrowLeft Alt+ArrowRight Alt+ArrowUp Alt+ArrowDown' : undefined}
          className={`programme-item ${state}${opened ? ' chosen' : ''}`}
          style={{ transform: moved, zIndex: isDragging ? 10 : undefined, position: 'relative' }}
          onClick={() => onChoose(opened ? undefined : item.id)}
          onKeyDown={onKeyDown}
        >
          <b>{title}</b>
          <span className="muted">
            stage {item.stage}, {item.minutes} min{item.kind === 'practice' ? '' : `, ${item.kind}`}
          </span>
          {item.note !== '' && <span className="print-only">{item.note}</span>}
          {STATE_WORDS[state] !== '' && <span>{STATE_WORDS[state]}</span>}
        </button>
      </Popover.Target>
      <Popover.Dropdown role="dialog" aria-label={title}>
        {opened && panel(item)}
      </Popover.Dropdown>
    </Popover>
  );
}
