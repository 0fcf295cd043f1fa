import { familyWords } from '../words/said.ts';
import { useWords } from '../words/useWords.ts';
import { Button, Group, SimpleGrid, Stack, Text, Title } from '@mantine/core';
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
import { ago } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { scoringInWords } from '../words/drillWords.ts';
import { percent } from '../words/units.ts';
import { capital } from '../words/vocabulary.ts';
import { chooseDrills, MARKS, type DrillChoice } from './chooseDrills.ts';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { saveDrillsFile } from './drillFiles.ts';
import { DrillFilters } from './DrillFilters.tsx';
import { FavouriteButton } from './FavouriteButton.tsx';
import { ImportDialog } from './ImportDialog.tsx';
import { usePracticeNeeds } from './usePracticeNeeds.ts';

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
  const viewer = useViewer();
  const [importing, importDialog] = useDisclosure(false);
  const { params } = useAddress();
  const choice = choiceOf(params);
  const needs = usePracticeNeeds(drills.data ?? [], params.get('for'));
  if (drills.data === undefined) return <Loading what="the drills" error={drills.error} />;
  const shown = chooseDrills(drills.data, choice, needs);
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
      <DrillFilters choice={choice} count={shown.length} />
      {shown.length === 0 && <Text>No drills match. Remove a filter.</Text>}
      <SimpleGrid cols={{ base: 1, sm: 2, md: 4 }} spacing={{ base: 6, sm: 'sm' }}>
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
  const { say, vocabulary } = useWords();
  return (
    <div className="drill-card">
      <Link to={`/drills/${document.slug}${stage === 1 ? '' : `?stage=${stage}`}`} className="card card-link">
        <div className="drill-card-picture">
          <DrillDrawing drill={atStage(document, stage)} stage={stage} small />
        </div>
        <Text fw={700} size="lg" mt={4} pr={40}>
          {document.title}
        </Text>
        <Text size="xs" c="dimmed">
          {capital(familyWords(document.family, vocabulary))}, {TABLE_PRESETS[document.table].name},{' '}
          {document.minutes} minutes
          {entry.own ? ', our own' : ''}
        </Text>
        <Text size="sm" mt={4} className="drill-card-more">
          {say(document.purpose)}
        </Text>
        <Text size="xs" c="dimmed" mt={4} className="drill-card-more">
          {say(scoringInWords(document))}
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
