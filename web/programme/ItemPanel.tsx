import { DayField } from '../controls/DayField.tsx';
import { Button, Checkbox, Group, Select, SimpleGrid, Text, TextInput, Title } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { spokenDay } from '../words/dates.ts';
import { todayInClub } from '../words/clubTime.ts';
import { Link } from 'react-router';
import { isTickable, type ItemState } from '../../core/programme/donePlanned.ts';
import type { Drill } from '../../core/records/drill.ts';
import { ITEM_KINDS, type ProgrammeItem } from '../../core/records/programme.ts';

interface ItemPanelProps {
  readonly item: ProgrammeItem;
  readonly state: ItemState | undefined;
  readonly drill: Drill | undefined;
  readonly playerId: string;
  readonly editable: boolean;
  readonly onTick: (done: boolean) => void;
  readonly onChange: (item: ProgrammeItem) => void;
  readonly onRemove: () => void;
}

/** One entry of a programme: ticking it off, scoring it; the coach moves and changes it. */
export function ItemPanel(props: ItemPanelProps) {
  const { item, state, drill, playerId, editable, onTick, onChange, onRemove } = props;
  // What was ticked before can be taken back.
  const canTick = state?.kind === 'ticked' || isTickable(item, todayInClub());
  return (
    <section aria-labelledby="item-title">
      <Title order={2} size="h4" id="item-title">
        {drill?.title ?? item.drill}
      </Title>
      <Text size="sm" c="dimmed">
        {spokenDay(item.day)}, stage {item.stage}, {item.minutes} minutes, {item.kind}
      </Text>
      {item.note !== '' && <Text mt={4}>{item.note}</Text>}
      {state?.kind === 'scored' ? (
        <Text mt={6}>
          Done: <Link to={`/lesson/rounds/${state.round}`}>the round that was scored</Link>.
        </Text>
      ) : (
        <Group mt={8}>
          <Checkbox
            label={canTick ? 'Done' : 'Done (on its day)'}
            disabled={!canTick}
            checked={state?.kind === 'ticked'}
            onChange={(event) => onTick(event.currentTarget.checked)}
          />
          <Button
            component={Link}
            to={`/lesson/round?drill=${item.drill}&stage=${item.stage}&player=${playerId}`}
            size="xs"
          >
            Score a round of it
          </Button>
        </Group>
      )}
      {editable && (
        <>
          <SimpleGrid cols={2} spacing="xs" mt={8}>
            <DayField within label="Day" value={item.day} onChange={(day) => onChange({ ...item, day })} />
            <NumberEntry
              whole
              label="Minutes"
              min={1}
              max={240}
              value={item.minutes}
              onEnter={(minutes) => onChange({ ...item, minutes })}
            />
            <Select
              label="Stage"
              allowDeselect={false}
              // One that lies outside would close the entry.
              comboboxProps={{ withinPortal: false }}
              data={(drill?.stages ?? []).map(({ title }, i) => ({ value: String(i + 1), label: title }))}
              value={String(item.stage)}
              onChange={(stage) => onChange({ ...item, stage: Number(stage ?? 1) })}
            />
            <Select
              label="As"
              allowDeselect={false}
              comboboxProps={{ withinPortal: false }}
              data={[...ITEM_KINDS]}
              value={item.kind}
              onChange={(kind) =>
                onChange({ ...item, kind: ITEM_KINDS.find((each) => each === kind) ?? item.kind })
              }
            />
          </SimpleGrid>
          <TextInput
            label="Note"
            mt={6}
            maxLength={300}
            // Another note of it that comes later is shown, not written over.
            key={item.note}
            defaultValue={item.note}
            onBlur={(event) => {
              if (event.currentTarget.value !== item.note)
                onChange({ ...item, note: event.currentTarget.value });
            }}
          />
          <Button mt="xs" size="xs" variant="default" onClick={onRemove}>
            Take it out
          </Button>
        </>
      )}
    </section>
  );
}
