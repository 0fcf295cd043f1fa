import { SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { drillsQuery } from '../api/queries.ts';
import { Loading } from '../app/Loading.tsx';
import { capital } from '../words/vocabulary.ts';
import { useWords } from '../words/useWords.ts';
import { DrillDrawing } from './DrillDrawing.tsx';

/** All drills, by table, each with a small picture of its layout. */
export function DrillList() {
  const drills = useQuery(drillsQuery);
  const { term } = useWords();
  if (drills.data === undefined) return <Loading what="the drills" error={drills.error} />;
  return (
    <Stack>
      <Title order={1}>Drills</Title>
      {PRESET_IDS.map((preset) => (
        <section key={preset} aria-labelledby={`drills-${preset}`}>
          <Title order={2} size="h3" id={`drills-${preset}`} mb="xs">
            Position, {TABLE_PRESETS[preset].name}
          </Title>
          <SimpleGrid cols={{ base: 1, sm: 2, md: 3 }}>
            {drills.data
              .filter((entry) => entry.document.table === preset)
              .map(({ document }) => (
                <Link key={document.slug} to={`/drills/${document.slug}`} className="card card-link">
                  <DrillDrawing drill={document} stage={1} />
                  <Text fw={700} size="lg" mt="xs">
                    {document.title}
                  </Text>
                  <Text size="sm">
                    {capital(term(document.technique))}, {document.scoring.shots} shots
                  </Text>
                  <Text size="sm" c="dimmed" mt={4}>
                    {document.purpose}
                  </Text>
                </Link>
              ))}
          </SimpleGrid>
        </section>
      ))}
    </Stack>
  );
}
