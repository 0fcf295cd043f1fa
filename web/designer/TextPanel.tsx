import { MultiSelect, Select, Stack, Textarea } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { CAUTIONS, SCHOOLS, SKILLS } from '../../core/records/drill.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { capital } from '../words/vocabulary.ts';
import type { PanelProps } from './panel.ts';

const options = (values: readonly string[]) => values.map((value) => ({ value, label: capital(value) }));
const tables = PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name }));

/** What the drill is for, in words, and for which tables. */
export function TextPanel({ drill, edit }: PanelProps) {
  return (
    <Stack gap={8}>
      <Textarea
        label="What it is for"
        autosize
        minRows={2}
        value={drill.purpose}
        onChange={(event) => edit({ ...drill, purpose: event.currentTarget.value }, 'purpose')}
      />
      <Textarea
        label="Advice, a line each"
        autosize
        minRows={2}
        value={drill.advice.join('\n')}
        onChange={(event) => {
          const lines = event.currentTarget.value.split('\n');
          edit({ ...drill, advice: event.currentTarget.value === '' ? [] : lines }, 'advice');
        }}
      />
      <MultiSelect
        label="Trains"
        size="xs"
        data={options(SKILLS)}
        value={[...drill.skills]}
        onChange={(chosen) => edit({ ...drill, skills: SKILLS.filter((skill) => chosen.includes(skill)) })}
      />
      <Select
        label="Written for"
        size="xs"
        allowDeselect={false}
        data={tables}
        value={drill.table}
        onChange={(value) => {
          const table = PRESET_IDS.find((id) => id === value) ?? drill.table;
          edit({ ...drill, table, alsoOn: drill.alsoOn.filter((id) => id !== table) });
        }}
      />
      <MultiSelect
        label="Also on"
        size="xs"
        data={tables.filter(({ value }) => value !== drill.table)}
        value={[...drill.alsoOn]}
        onChange={(chosen) => edit({ ...drill, alsoOn: PRESET_IDS.filter((id) => chosen.includes(id)) })}
      />
      <NumberEntry
        whole
        label="Minutes"
        size="xs"
        min={1}
        max={120}
        value={drill.minutes}
        onEnter={(minutes) => edit({ ...drill, minutes }, 'minutes')}
      />
      <MultiSelect
        label="Two schools on"
        size="xs"
        data={options(SCHOOLS)}
        value={[...drill.schools]}
        onChange={(chosen) =>
          edit({ ...drill, schools: SCHOOLS.filter((school) => chosen.includes(school)) })
        }
      />
      <MultiSelect
        label="Cautions"
        size="xs"
        data={options(CAUTIONS)}
        value={[...drill.cautions]}
        onChange={(chosen) =>
          edit({ ...drill, cautions: CAUTIONS.filter((caution) => chosen.includes(caution)) })
        }
      />
    </Stack>
  );
}
