import { Alert, Anchor, Button, FileButton, Group, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { call } from '../api/client.ts';
import { keptBackupsQuery } from '../api/club.ts';
import { deviceZone } from '../words/clubTime.ts';
import { dayAndClock } from '../words/dates.ts';
import { useViewer } from '../api/viewer.ts';
import { summaryOfBackup, type BackupSummary } from './backupSummary.ts';

const CSV = ['players', 'rounds', 'attempts', 'shots', 'calls', 'programmes', 'columns'] as const;
const BACKUP = '/api/export/backup';

/** Everything of the club to take away, and to bring back. */
export function RecordsPage() {
  const viewer = useViewer();
  if (viewer.role !== 'coach') return <Text>The club’s records are its coaches’ to take away.</Text>;
  return (
    <Stack>
      <div>
        <Anchor component={Link} to="/players">
          Players
        </Anchor>
        <Title order={1}>Records and backup</Title>
      </div>
      <SimpleGrid cols={{ base: 1, md: 2 }}>
        <section className="card" aria-labelledby="csv-title">
          <Title order={2} size="h3" id="csv-title">
            For a spreadsheet
          </Title>
          <Text mb="sm">
            Everything that was written down, as CSV with a head line. Lengths in metres; times in UTC, and by
            the club’s clock. What each column means stands in columns.csv.
          </Text>
          <Group gap="xs">
            {CSV.map((name) => (
              <Button
                key={name}
                component="a"
                href={`/api/export/csv/${name}.csv?zone=${encodeURIComponent(viewer.rules.zone ?? deviceZone())}`}
                download
                variant="default"
              >
                {name}.csv
              </Button>
            ))}
          </Group>
        </section>
        <section className="card" aria-labelledby="backup-title">
          <Title order={2} size="h3" id="backup-title">
            The whole club
          </Title>
          <Text mb="sm">
            One JSON file with everything of {viewer.club}: people, tables, drills, lessons, rounds,
            programmes, reports. Sign-ins are in it, their passwords as hashes: keep the file like a key.
          </Text>
          <Button component="a" href={BACKUP} download>
            Take a backup
          </Button>
          <Nightly />
          <Restore />
        </section>
      </SimpleGrid>
    </Stack>
  );
}

/** The backups that the server makes by itself. */
function Nightly() {
  const backups = useQuery(keptBackupsQuery);
  if (backups.data === undefined) return null;
  const { nightly, kept } = backups.data;
  if (!nightly) return <Text mt="md">This server makes no backups by itself.</Text>;
  return (
    <Stack gap={4} mt="md">
      <Title order={3} size="h5">
        Made at night
      </Title>
      {kept.length === 0 ? (
        <Text>The first one is made within a few minutes of the start; then one a night.</Text>
      ) : (
        <Text>
          {kept.map(({ name, madeAt, bytes }, i) => (
            <span key={name}>
              {i > 0 && ', '}
              <Anchor href={`/api/export/backups/${name}`} download>
                {dayAndClock(madeAt)}
              </Anchor>{' '}
              ({megabytes(bytes)})
            </span>
          ))}
        </Text>
      )}
    </Stack>
  );
}

const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e6 ? 2 : 0)} MB`;

/** A file's text; those of the server are packed. */
async function textOf(file: File): Promise<string> {
  if (!file.name.endsWith('.gz')) return file.text();
  return new Response(file.stream().pipeThrough(new DecompressionStream('gzip'))).text();
}

interface Chosen {
  readonly name: string;
  readonly text: string;
  readonly summary: BackupSummary;
}

/** A backup from a file in the place of the club; what is here now is taken away first. */
function Restore() {
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<Chosen>();
  const [refused, setRefused] = useState('');
  const restore = useMutation({
    mutationFn: async ({ text }: Chosen) => {
      const body: unknown = JSON.parse(text);
      await call('POST', '/export/restore', body);
    },
    onSuccess: () => {
      queries.clear();
      window.location.assign('/sign-in');
    },
  });
  async function choose(file: File | null) {
    if (file === null) return;
    setChosen(undefined);
    setRefused('');
    const text = await textOf(file).catch(() => '');
    const summary = summaryOfBackup(text);
    if (summary === undefined) setRefused(`${file.name} is no backup of a club.`);
    else setChosen({ name: file.name, text, summary });
  }
  return (
    <Stack gap="xs" mt="md">
      <Text>
        A backup is brought back in the place of everything that is here. Take one of today first, so that you
        can go back.
      </Text>
      <FileButton accept="application/json,.json,.gz" onChange={(file) => void choose(file)}>
        {(props) => (
          <Button {...props} variant="default" style={{ alignSelf: 'start' }}>
            Choose a backup
          </Button>
        )}
      </FileButton>
      {refused !== '' && (
        <Text role="alert" c="var(--jr-coral-text)">
          {refused}
        </Text>
      )}
      {chosen !== undefined && (
        <Alert color="coral" title={`${chosen.summary.club}, of ${chosen.summary.madeAt}`}>
          <Text data-testid="backup-summary">
            {chosen.summary.people} people, {chosen.summary.rounds} rounds, {chosen.summary.attempts}{' '}
            attempts. They take the place of the club as it is here now.
          </Text>
          <Button mt="xs" color="coral" loading={restore.isPending} onClick={() => restore.mutate(chosen)}>
            Bring it back
          </Button>
        </Alert>
      )}
      {restore.isError && (
        <Text role="alert" c="var(--jr-coral-text)">
          Nothing was changed: {restore.error.message}.
        </Text>
      )}
    </Stack>
  );
}
