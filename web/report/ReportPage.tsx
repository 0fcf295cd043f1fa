import { DayField } from '../controls/DayField.tsx';
import { Anchor, Button, Group, Stack, Text, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { boundsOfDay } from '../words/clubTime.ts';
import { Link, useParams } from 'react-router';
import type { Report } from '../../core/records/report.ts';
import { playerProgressQuery } from '../api/players.ts';
import { reportQuery } from '../api/reports.ts';
import { longDay } from '../words/dates.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { SavingNotice } from '../controls/SavingNotice.tsx';
import { reportDocuments } from '../outbox/documents.ts';
import { useVersioned } from '../outbox/useVersioned.ts';
import { NoteEditor } from '../controls/NoteEditor.tsx';
import { BreaksAndKicks } from './BreaksAndKicks.tsx';
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
  const { queryKey } = reportQuery(report.id);
  const { saving, refusal, settle, again, change, document } = useVersioned(
    reportDocuments,
    report.id,
    report,
    (stored: Report) => {
      void queries.cancelQueries({ queryKey });
      queries.setQueryData(queryKey, stored);
    },
  );
  const draft = document ?? report.document;
  const editable = viewer.role === 'coach';
  const { from, to, playerId } = draft;
  const progress = useQuery(
    playerProgressQuery(playerId, {
      from: boundsOfDay(from).from.toISOString(),
      to: boundsOfDay(to).to.toISOString(),
    }),
  );
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
                <DayField
                  key={name}
                  aria-label={name === 'from' ? 'From' : 'To'}
                  value={draft[name]}
                  onChange={(day) => {
                    const next = { ...draft, [name]: day };
                    if (next.from <= next.to) change(next);
                  }}
                />
              ))}
            </>
          )}
          <Button variant="default" onClick={() => window.print()}>
            Print or PDF
          </Button>
        </Group>
      </Group>
      {editable && (
        <SavingNotice
          saving={saving}
          refusal={refusal}
          onSettle={(keep) => void settle(keep)}
          onAgain={again}
        />
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
              onChange={(words) => change({ ...draft, words })}
            />
          </section>
        )}
        {progress.data === undefined ? (
          <Loading what="the figures" error={progress.error} />
        ) : (
          <>
            <WhereTheyStand progress={progress.data} />
            <BreaksAndKicks progress={progress.data} />
            <WhatMoved playerId={playerId} progress={progress.data} from={from} to={to} />
          </>
        )}
        <Goals
          goals={draft.goals}
          playerId={playerId}
          editable={editable}
          onChange={(goals) => change({ ...draft, goals: [...goals] })}
        />
      </Stack>
    </article>
  );
}
