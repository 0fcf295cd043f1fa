import {
  Button,
  Chip,
  Group,
  SegmentedControl,
  Select,
  SimpleGrid,
  Stack,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useAddress } from '../controls/useAddress.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { PracticeNeed } from '../../core/drill/practiceNeed.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { FAMILIES, SKILLS } from '../../core/records/drill.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { drillsQuery } from '../api/drills.ts';
import { playersQuery } from '../api/players.ts';
import { ago } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { scoringInWords } from '../words/drillWords.ts';
import { percent } from '../words/units.ts';
import { capital } from '../words/vocabulary.ts';
import { chooseDrills, MARKS, type DrillChoice } from './chooseDrills.ts';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { saveDrillsFile } from './drillFiles.ts';
import { FavouriteButton } from './FavouriteButton.tsx';
import { ImportDialog } from './ImportDialog.tsx';
import { usePracticeNeeds } from './usePracticeNeeds.ts';

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

/** Which stage the pictures show, and a click leads to. */
const STAGES = [
  { value: 'first', label: 'first stages' },
  { value: 'last', label: 'last stages' },
];

function choiceOf(params: URLSearchParams): DrillChoice {
  return {
    words: params.get('q') ?? '',
    family: FAMILIES.find((family) => family === params.get('family')),
    skill: SKILLS.find((skill) => skill === params.get('skill')),
    table: PRESET_IDS.find((preset) => preset === params.get('on')),
    minutes: params.has('time') ? Number(params.get('time')) : undefined,
    balls: params.has('balls') ? Number(params.get('balls')) : undefined,
    only: MARKS.filter((mark) => params.getAll('only').includes(mark)),
  };
}

/** The drills, to choose from: what is wanted stands in the address, so that a choice can be shared. */
export function DrillList() {
  const drills = useQuery(drillsQuery);
  const players = useQuery(playersQuery);
  const viewer = useViewer();
  const [importing, importDialog] = useDisclosure(false);
  const { params, set: put } = useAddress();
  const choice = choiceOf(params);
  const needs = usePracticeNeeds(drills.data ?? [], params.get('for'));
  if (drills.data === undefined) return <Loading what="the drills" error={drills.error} />;
  const shown = chooseDrills(drills.data, choice, needs);
  const set = (name: string, value: string | null) => put({ [name]: value });
  const setMarks = (marks: string[]) => put({ only: marks });
  return (
    <Stack gap="sm">
      <Group justify="space-between">
        <Title order={1}>Drills</Title>
        <Group gap={8}>
          {viewer.role === 'coach' && (
            <>
              <Button component={Link} to="/drills/new">
                New drill
              </Button>
              <Button variant="default" onClick={importDialog.open}>
                From a file
              </Button>
            </>
          )}
          <Button
            variant="default"
            disabled={shown.length === 0}
            onClick={() => saveDrillsFile(shown.map(({ document }) => document))}
          >
            To a file
          </Button>
        </Group>
      </Group>
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
          w={180}
          value={choice.words}
          onChange={(event) => set('q', event.currentTarget.value)}
        />
        <Select
          aria-label="Kind of table"
          placeholder="any table"
          clearable
          w={190}
          data={PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name }))}
          value={choice.table ?? null}
          onChange={(value) => set('on', value)}
        />
        <Select
          aria-label="Skill"
          placeholder="any skill"
          clearable
          w={170}
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
        <Select
          aria-label="Balls to set"
          placeholder="any balls"
          clearable
          w={150}
          data={BALLS}
          value={choice.balls === undefined ? null : String(choice.balls)}
          onChange={(value) => set('balls', value)}
        />
        <Text c="dimmed" data-testid="count">
          {shown.length === 1 ? '1 drill' : `${shown.length} drills`}
        </Text>
      </Group>
      <Group gap={8}>
        {players.data !== undefined && players.data.length > 0 && (
          <Select
            aria-label="For whom"
            placeholder="for nobody in particular"
            clearable
            searchable
            w={240}
            data={players.data
              .filter((each) => !each.archived)
              .map(({ id, name }) => ({ value: id, label: name }))}
            value={params.get('for')}
            onChange={(value) => set('for', value)}
          />
        )}
        <SegmentedControl
          size="xs"
          aria-label="Which stages"
          data={STAGES}
          value={params.get('stage') === 'last' ? 'last' : 'first'}
          onChange={(value) => set('stage', value === 'last' ? value : null)}
        />
        <Chip.Group multiple value={[...choice.only]} onChange={setMarks}>
          {MARKS.filter((mark) => params.has('for') || (mark !== 'due' && mark !== 'suits')).map((mark) => (
            <Chip key={mark} value={mark} size="sm" color="indigo" variant="outline">
              {mark === 'suits' ? 'Suits them' : capital(mark)}
            </Chip>
          ))}
        </Chip.Group>
      </Group>
      {shown.length === 0 && <Text>No drills match. Remove a filter.</Text>}
      <SimpleGrid cols={{ base: 1, sm: 2, md: 4 }} spacing="sm">
        {shown.map((entry) => (
          <DrillCard
            key={entry.document.slug}
            entry={entry}
            stage={params.get('stage') === 'last' ? entry.document.stages.length : 1}
            need={needs.get(entry.document.slug)}
          />
        ))}
      </SimpleGrid>
      <ImportDialog opened={importing} onClose={importDialog.close} />
    </Stack>
  );
}

interface DrillCardProps {
  /** Number of the stage that is shown. */
  readonly stage: number;
  readonly entry: ListedDrill;
  readonly need: PracticeNeed | undefined;
}

function DrillCard({ entry, stage, need }: DrillCardProps) {
  const { document } = entry;
  return (
    <div className="drill-card">
      <Link to={`/drills/${document.slug}${stage === 1 ? '' : `?stage=${stage}`}`} className="card card-link">
        <DrillDrawing drill={atStage(document, stage)} stage={stage} small />
        <Text fw={700} size="lg" mt={4} pr={40}>
          {document.title}
        </Text>
        <Text size="xs" c="dimmed">
          {capital(document.family)}, {TABLE_PRESETS[document.table].name}, {document.minutes} minutes
          {entry.own ? ', our own' : ''}
        </Text>
        <Text size="sm" mt={4}>
          {document.purpose}
        </Text>
        <Text size="xs" c="dimmed" mt={4}>
          {scoringInWords(document)}
        </Text>
        {need?.last !== undefined && (
          <Text size="xs" mt={4} fw={700}>
            Last {ago(new Date(need.last.at).toISOString())} with {percent(need.last.share)} of the best
            {need.due ? ': due' : ''}
          </Text>
        )}
      </Link>
      <FavouriteButton entry={entry} />
    </div>
  );
}
