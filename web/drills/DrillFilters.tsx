import { familyWords } from '../words/said.ts';
import { useWords } from '../words/useWords.ts';
import { Button, Group, MultiSelect, Select, Text, TextInput } from '@mantine/core';
import { useDisclosure, useMediaQuery } from '@mantine/hooks';
import { IconSearch } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import { FAMILIES, SKILLS } from '../../core/records/drill.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { playersQuery } from '../api/players.ts';
import { useAddress } from '../controls/useAddress.ts';
import { capital } from '../words/vocabulary.ts';
import { MARKS, type DrillChoice } from './chooseDrills.ts';

const TIMES = [
  { value: '10', label: 'up to 10 minutes' },
  { value: '20', label: 'up to 20 minutes' },
  { value: '40', label: 'up to 40 minutes' },
];

const BALLS = [
  { value: '2', label: 'up to 2 balls' },
  { value: '5', label: 'up to 5 balls' },
  { value: '9', label: 'up to 9 balls' },
];

/** Filters beside the search words, as they stand in the address. */
const FILTERS = ['family', 'on', 'skill', 'time', 'balls', 'for', 'stage', 'only'] as const;

interface DrillFiltersProps {
  readonly choice: DrillChoice;
  /** Drills that are shown. */
  readonly count: number;
}

/** What is wanted of a drill, in one row; on a telephone the search words, and the filters when they are asked for. */
export function DrillFilters({ choice, count }: DrillFiltersProps) {
  const { skillName, vocabulary } = useWords();
  const players = useQuery(playersQuery);
  const { params, set: put } = useAddress();
  const isNarrow = useMediaQuery('(max-width: 700px)', false, { getInitialValueInEffect: false });
  const [isOpen, { toggle }] = useDisclosure(false);
  const set = (name: string, value: string | null) => put({ [name]: value });
  const used = FILTERS.filter((name) => params.has(name)).length;
  const select = (
    label: string,
    placeholder: string,
    name: string,
    data: readonly { readonly value: string; readonly label: string }[],
  ) => (
    <Select
      aria-label={label}
      placeholder={placeholder}
      clearable={params.has(name)}
      searchable={name === 'for'}
      comboboxProps={{ width: 'max-content', position: 'bottom-start' }}
      data={data}
      value={params.get(name)}
      onChange={(value) => set(name, value)}
    />
  );
  const marks = MARKS.filter((mark) => params.has('for') || (mark !== 'due' && mark !== 'suits'));
  const here = (players.data ?? []).filter((each) => !each.archived);
  const filters = (
    <>
      {select(
        'Family',
        'any family',
        'family',
        FAMILIES.map((id) => ({ value: id, label: capital(familyWords(id, vocabulary)) })),
      )}
      {select(
        'Kind of table',
        'any table',
        'on',
        PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name })),
      )}
      {select(
        'Skill',
        'any skill',
        'skill',
        SKILLS.map((id) => ({ value: id, label: capital(skillName(id)) })),
      )}
      {select('Time', 'any time', 'time', TIMES)}
      {select('Balls to set', 'any balls', 'balls', BALLS)}
      {here.length > 0 &&
        select(
          'For whom',
          'for whom',
          'for',
          here.map(({ id, name }) => ({ value: id, label: name })),
        )}
      {select('Which stages', 'first stages', 'stage', [{ value: 'last', label: 'last stages' }])}
      <MultiSelect
        aria-label="Only"
        placeholder={choice.only.length === 0 ? 'only …' : ''}
        comboboxProps={{ width: 'max-content', position: 'bottom-end' }}
        data={marks.map((mark) => ({ value: mark, label: mark === 'suits' ? 'Suits them' : capital(mark) }))}
        value={[...choice.only]}
        onChange={(only) => put({ only })}
      />
    </>
  );
  return (
    <>
      <Group gap={8} wrap="nowrap" align="start" className="drill-filters">
        <TextInput
          aria-label="Search the drills"
          placeholder="Search"
          leftSection={<IconSearch size={16} aria-hidden />}
          value={choice.words}
          onChange={(event) => set('q', event.currentTarget.value)}
        />
        {isNarrow ? (
          <Button variant="default" onClick={toggle} aria-expanded={isOpen} style={{ flexShrink: 0 }}>
            {used === 0 ? 'Filters' : `Filters (${used})`}
          </Button>
        ) : (
          filters
        )}
      </Group>
      {isNarrow && isOpen && <div className="drill-filters-open">{filters}</div>}
      <Group gap={8}>
        <Text c="dimmed" data-testid="count">
          {count === 1 ? '1 drill' : `${count} drills`}
        </Text>
        {(used > 0 || choice.words !== '') && (
          <Button
            variant="subtle"
            size="compact-sm"
            onClick={() => put(Object.fromEntries([...FILTERS, 'q'].map((name) => [name, null])))}
          >
            Remove the filters
          </Button>
        )}
      </Group>
    </>
  );
}
