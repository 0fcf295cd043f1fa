import { Button, Group, Text, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Cue, CueDocument } from '../../core/records/cue.ts';
import { call } from '../api/client.ts';
import { cuesQuery } from '../api/cues.ts';
import { playersQuery } from '../api/players.ts';
import { useViewer } from '../api/viewer.ts';
import { Loading } from '../controls/Loading.tsx';
import { useDoing } from '../controls/useDoing.ts';
import { cueWords, squirtWords } from '../words/cueWords.ts';
import { CueForm } from './CueForm.tsx';

/** The cues of the house and of its players, as they are chosen in the log of a break. */
export function CuesPart() {
  const viewer = useViewer();
  const cues = useQuery(cuesQuery);
  const players = useQuery(playersQuery);
  const queries = useQueryClient();
  const { refused, perform } = useDoing();
  const [open, setOpen] = useState<Cue | 'new'>();
  const isCoach = viewer.role === 'coach';
  if (cues.data === undefined) return <Loading what="the cues" error={cues.error} />;
  const store = async (id: string, document: CueDocument, archived: boolean) => {
    await call('PUT', `/cues/${id}`, { document, archived });
    await queries.invalidateQueries({ queryKey: cuesQuery.queryKey });
  };
  const ownerOf = ({ ownerId }: CueDocument) =>
    ownerId === null
      ? 'of the house'
      : `of ${players.data?.find(({ id }) => id === ownerId)?.name ?? 'a player'}`;
  return (
    <section className="card" aria-labelledby="cues-title">
      <Group justify="space-between">
        <Title order={2} size="h3" id="cues-title">
          Cues
        </Title>
        {isCoach && open === undefined && (
          <Button size="compact-md" variant="default" onClick={() => setOpen('new')}>
            Another cue
          </Button>
        )}
      </Group>
      {cues.data.length === 0 && (
        <Text size="sm">
          No cue yet. The cues that stand here can be chosen when a break is logged, and are compared on the
          player’s page.
        </Text>
      )}
      <ul className="plain-list" aria-label="Cues">
        {cues.data.map((cue) => (
          <li key={cue.id}>
            <Group justify="space-between" gap={6} my={6}>
              <div style={{ flex: '1 1 220px' }}>
                <Text fw={600} c={cue.archived ? 'dimmed' : ''}>
                  {cue.document.name}, {ownerOf(cue.document)}
                  {cue.archived ? ', put away' : ''}
                </Text>
                <Text size="sm">
                  {[cueWords(cue.document), squirtWords(cue.document)]
                    .filter((part) => part !== '')
                    .join('; ')}
                </Text>
              </div>
              {isCoach && (
                <Group gap={6} wrap="nowrap">
                  <Button size="xs" variant="default" onClick={() => setOpen(cue)}>
                    Change
                  </Button>
                  <Button
                    size="xs"
                    variant="default"
                    onClick={() => void perform(() => store(cue.id, cue.document, !cue.archived))}
                  >
                    {cue.archived ? 'Bring back' : 'Put away'}
                  </Button>
                </Group>
              )}
            </Group>
          </li>
        ))}
      </ul>
      {refused !== '' && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {refused}
        </Text>
      )}
      {open !== undefined && (
        <CueForm
          key={open === 'new' ? 'new' : open.id}
          cue={open === 'new' ? undefined : open}
          owners={players.data ?? []}
          onStore={store}
          onClose={() => setOpen(undefined)}
        />
      )}
    </section>
  );
}
