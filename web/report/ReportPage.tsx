import { Anchor, Button, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { reportSchema, type Report, type ReportDocument } from '../../core/records/report.ts';
import { call } from '../api/client.ts';
import { playerProgressQuery } from '../api/players.ts';
import { reportQuery } from '../api/reports.ts';
import { longDay } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { NoteEditor } from '../controls/NoteEditor.tsx';
import { Goals } from './Goals.tsx';
import { WhatMoved } from './WhatMoved.tsx';
import { WhereTheyStand } from './WhereTheyStand.tsx';

/** A page or two for a player and their parents: where they stand, what moved, what comes next, the coach's words. */
export function ReportPage() {
  const { id = '' } = useParams();
  const report = useQuery(reportQuery(id));
  if (report.data === undefined) return <Loading what="the report" error={report.error} />;
  return <Paper key={id} report={report.data} />;
}

function Paper({ report }: { readonly report: Report }) {
  const viewer = useViewer();
  const queries = useQueryClient();
  const editable = viewer.role === 'coach';
  const [draft, setDraft] = useState(report.document);
  const { from, to, playerId } = draft;
  const progress = useQuery(
    playerProgressQuery(playerId, {
      from: dayjs(from).startOf('day').toISOString(),
      to: dayjs(to).endOf('day').toISOString(),
    }),
  );
  const saving = useMutation({
    mutationFn: async (document: ReportDocument) => {
      const basedOn = queries.getQueryData(reportQuery(report.id).queryKey)?.version ?? report.version;
      return reportSchema.validate(await call('PUT', `/reports/${report.id}`, { document, basedOn }));
    },
    onSuccess: (stored) => {
      queries.setQueryData(reportQuery(report.id).queryKey, stored);
    },
  });
  const changed = JSON.stringify(draft) !== JSON.stringify(report.document);
  return (
    <article className="report">
      <Group justify="space-between" className="no-print" mb="sm">
        <Anchor component={Link} to={`/players/${playerId}`}>
          {report.player.name}
        </Anchor>
        <Group gap="xs">
          {editable && (
            <>
              {(['from', 'to'] as const).map((name) => (
                <TextInput
                  key={name}
                  type="date"
                  aria-label={name === 'from' ? 'From' : 'To'}
                  value={draft[name]}
                  onChange={(event) => {
                    if (event.currentTarget.value !== '')
                      setDraft({ ...draft, [name]: event.currentTarget.value });
                  }}
                />
              ))}
              <Button
                disabled={!changed || from > to}
                loading={saving.isPending}
                onClick={() => saving.mutate(draft)}
              >
                {changed ? 'Keep the report' : 'Kept'}
              </Button>
            </>
          )}
          <Button variant="default" onClick={() => window.print()}>
            Print or PDF
          </Button>
        </Group>
      </Group>
      {saving.isError && (
        <Text role="alert" c="var(--jr-coral-text)" className="no-print">
          Not kept: {saving.error.message}. What you wrote is still here.
        </Text>
      )}
      <Group justify="space-between" align="end">
        <div>
          <Text c="dimmed">{viewer.club}</Text>
          <Title order={1}>{report.player.name}</Title>
        </div>
        <Text ta="right">
          {longDay(from)} to {longDay(to)}
          <br />
          <span className="muted">{report.writtenBy}</span>
        </Text>
      </Group>
      <Stack gap="md" mt="md">
        {(editable || draft.words !== '') && (
          <section aria-labelledby="words-title">
            <Title order={2} size="h3" id="words-title" mb={4}>
              In your coach’s words
            </Title>
            <NoteEditor
              label="Coach’s words"
              html={draft.words}
              editable={editable}
              onChange={(words) => setDraft((before) => ({ ...before, words }))}
            />
          </section>
        )}
        {progress.data === undefined ? (
          <Loading what="the figures" error={progress.error} />
        ) : (
          <>
            <WhereTheyStand progress={progress.data} />
            <WhatMoved playerId={playerId} progress={progress.data} from={from} to={to} />
          </>
        )}
        <Goals
          goals={draft.goals}
          playerId={playerId}
          editable={editable}
          onChange={(goals) => setDraft({ ...draft, goals: [...goals] })}
        />
      </Stack>
    </article>
  );
}
