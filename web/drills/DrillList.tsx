import { Chip, Group, Select, SimpleGrid, Stack, Text, TextInput, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { atStage } from '../../core/drill/stage.ts';
import type { DrillEntry } from '../../core/records/club.ts';
import { FAMILIES, SKILLS } from '../../core/records/drill.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { drillsQuery } from '../api/queries.ts';
import { Loading } from '../app/Loading.tsx';
import { scoringInWords } from '../words/drillWords.ts';
import { capital } from '../words/vocabulary.ts';
import { chooseDrills, type DrillChoice } from './chooseDrills.ts';
import { DrillDrawing } from './DrillDrawing.tsx';

const TIMES = [
  { value: '10', label: 'up to 10 minutes' },
  { value: '20', label: 'up to 20 minutes' },
  { value: '40', label: 'up to 40 minutes' },
];

function choiceOf(params: URLSearchParams): DrillChoice {
  return {
    words: params.get('q') ?? '',
    family: FAMILIES.find((family) => family === params.get('family')),
    skill: SKILLS.find((skill) => skill === params.get('skill')),
    table: PRESET_IDS.find((preset) => preset === params.get('on')),
    minutes: params.has('time') ? Number(params.get('time')) : undefined,
  };
}

/** The drills, to choose from: what is wanted stands in the address, so that a choice can be shared. */
export function DrillList() {
  const drills = useQuery(drillsQuery);
  const [params, setParams] = useSearchParams();
  if (drills.data === undefined) return <Loading what="the drills" error={drills.error} />;
  const choice = choiceOf(params);
  const shown = chooseDrills(drills.data, choice);
  const set = (name: string, value: string | null) =>
    setParams(
      (before) => {
        if (value === null || value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return (
    <Stack gap="sm">
      <Title order={1}>Drills</Title>
      <Group gap={8}>
        <Chip.Group
          value={choice.family ?? 'all'}
          onChange={(value) => set('family', value === 'all' ? null : value)}
        >
          <Chip value="all" size="sm" color="teal">
            All
          </Chip>
          {FAMILIES.map((family) => (
            <Chip key={family} value={family} size="sm" color="teal">
              {capital(family)}
            </Chip>
          ))}
        </Chip.Group>
      </Group>
      <Group gap={8} align="end">
        <TextInput
          aria-label="Search the drills"
          placeholder="Search"
          w={220}
          value={choice.words}
          onChange={(event) => set('q', event.currentTarget.value)}
        />
        <Select
          aria-label="Kind of table"
          placeholder="any table"
          clearable
          w={210}
          data={PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name }))}
          value={choice.table ?? null}
          onChange={(value) => set('on', value)}
        />
        <Select
          aria-label="Skill"
          placeholder="any skill"
          clearable
          w={180}
          data={SKILLS.map((skill) => ({ value: skill, label: capital(skill) }))}
          value={choice.skill ?? null}
          onChange={(value) => set('skill', value)}
        />
        <Select
          aria-label="Time"
          placeholder="any time"
          clearable
          w={170}
          data={TIMES}
          value={choice.minutes === undefined ? null : String(choice.minutes)}
          onChange={(value) => set('time', value)}
        />
        <Text c="dimmed" data-testid="count">
          {shown.length === 1 ? '1 drill' : `${shown.length} drills`}
        </Text>
      </Group>
      {shown.length === 0 && <Text>No drill is like this. Take one of the conditions away.</Text>}
      <SimpleGrid cols={{ base: 1, sm: 2, md: 4 }} spacing="sm">
        {shown.map((entry) => (
          <DrillCard key={entry.document.slug} entry={entry} />
        ))}
      </SimpleGrid>
    </Stack>
  );
}

function DrillCard({ entry }: { readonly entry: DrillEntry }) {
  const { document } = entry;
  return (
    <Link to={`/drills/${document.slug}`} className="card card-link">
      <DrillDrawing drill={atStage(document, document.stages.length)} stage={1} small />
      <Text fw={700} size="lg" mt="xs">
        {document.title}
      </Text>
      <Text size="xs" c="dimmed">
        {capital(document.family)}, {TABLE_PRESETS[document.table].name}, {document.minutes} minutes
      </Text>
      <Text size="sm" mt={4}>
        {document.purpose}
      </Text>
      <Text size="xs" c="dimmed" mt={4}>
        {scoringInWords(document)}
      </Text>
    </Link>
  );
}
