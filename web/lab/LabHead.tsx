import { Button, Group, Popover, Select, Stack, Switch, Title } from '@mantine/core';
import { memo } from 'react';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { ORDINARY_CONDITIONS, standardCard } from '../../core/table/card.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import type { Table } from '../../core/table/table.ts';
import { ConditionsChoices } from '../controls/ConditionsChoices.tsx';
import { conditionsInWords } from '../words/conditionWords.ts';
import { asPlayed, currentState } from '../table/tableChoice.ts';
import type { ChosenTable } from './labState.ts';
import { LabTabs } from '../controls/LabTabs.tsx';

interface LabHeadProps {
  readonly tables: readonly ClubTable[];
  readonly table: Table;
  readonly chosen: ChosenTable | undefined;
  readonly onChoose: (chosen: ChosenTable) => void;
  /** Left out where hops do not matter. */
  readonly onHop?: (hop: boolean) => void;
}

/** Which table, how it plays tonight, and whether balls may leave the bed. */
export const LabHead = memo(function LabHead({ tables, table, chosen, onChoose, onHop }: LabHeadProps) {
  const conditions = chosen?.conditions ?? ORDINARY_CONDITIONS;
  return (
    <Group justify="space-between" align="end">
      <Group gap="lg" align="end">
        <Title order={1}>Lab</Title>
        <LabTabs />
      </Group>
      <Group gap={8}>
        <Select
          aria-label="Table"
          size="sm"
          w={230}
          allowDeselect={false}
          data={[
            ...(chosen === undefined ? [{ value: 'own', label: `${table.preset.name}, own numbers` }] : []),
            {
              group: 'In the hall',
              items: tables.map(({ id, name }) => ({ value: id, label: name })),
            },
            {
              group: 'As they ship',
              items: PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name })),
            },
          ]}
          value={chosen?.key ?? 'own'}
          onChange={(key) => {
            const next = key === null ? undefined : chooseTable(key, tables);
            if (next !== undefined) onChoose(next);
          }}
        />
        <Popover position="bottom-end" width={320} trapFocus>
          <Popover.Target>
            <Button variant="default" disabled={chosen === undefined}>
              Conditions: {conditionsInWords(conditions)}
            </Button>
          </Popover.Target>
          <Popover.Dropdown>
            <Stack gap={8}>
              <ConditionsChoices
                conditions={conditions}
                onChange={(next) => {
                  if (chosen !== undefined) onChoose({ ...chosen, conditions: next });
                }}
              />
            </Stack>
          </Popover.Dropdown>
        </Popover>
        {onHop !== undefined && (
          <Switch
            label="Balls may hop"
            checked={table.parameters.bedRestitution > 0}
            onChange={(event) => onHop(event.currentTarget.checked)}
          />
        )}
      </Group>
    </Group>
  );
});

/** @param key the id of a club's table, or of a kind of table @returns undefined for neither */
export function chooseTable(key: string, tables: readonly ClubTable[]): ChosenTable | undefined {
  const ofClub = tables.find((each) => each.id === key);
  if (ofClub !== undefined) return { key, ...asPlayed(currentState(ofClub, Date.now())) };
  const preset = PRESET_IDS.find((each) => each === key);
  return preset && { key, card: standardCard(preset), conditions: null };
}
