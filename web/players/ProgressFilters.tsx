import { useAddress } from '../controls/useAddress.ts';
import { Group, Select } from '@mantine/core';
import { SKILLS } from '../../core/records/drill.ts';
import type { PlayerProgress } from '../../core/records/progress.ts';
import { filterOf, PERIODS } from './progressFilter.ts';

interface ProgressFiltersProps {
  readonly progress: PlayerProgress;
  readonly titleOf: (drill: string) => string;
}

/** What of a player's rounds is looked at; it stands in the address, so that it can be shared. */
export function ProgressFilters({ progress, titleOf }: ProgressFiltersProps) {
  const { params, set: put } = useAddress();
  const filter = filterOf(params);
  const set = (name: string, value: string | null) => put({ [name]: value, kind: null });
  const choices = [
    ['table', 'every table', progress.tables.map(({ id, name }) => ({ value: id, label: name }))],
    ['drill', 'every drill', progress.drills.map((slug) => ({ value: slug, label: titleOf(slug) }))],
    ['skill', 'every skill', SKILLS.map((skill) => ({ value: skill, label: skill }))],
  ] as const;
  return (
    <Group gap="xs" className="no-print" role="group" aria-label="What is looked at">
      <Select
        aria-label="Period"
        w={140}
        allowDeselect={false}
        data={PERIODS.map(({ value, label }) => ({ value, label }))}
        value={String(filter.days)}
        onChange={(value) => set('days', value)}
      />
      {choices.map(([name, placeholder, data]) => (
        <Select
          key={name}
          aria-label={name}
          w={190}
          clearable
          placeholder={placeholder}
          data={[...data]}
          value={filter[name] ?? null}
          onChange={(value) => set(name, value)}
        />
      ))}
    </Group>
  );
}
