import { Button, Group, List, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ProgrammeDocument } from '../../core/records/programme.ts';
import { programmeProposalsSchema, type ProgrammeProposal } from '../../core/records/programmeProposal.ts';
import { call } from '../api/client.ts';
import { proposalsQuery } from '../api/programmes.ts';
import { ago } from '../words/dates.ts';
import { answerWords, proposalLines, proposalReason, proposalTitle } from '../words/proposalWords.ts';

interface ComingWeeksProps {
  readonly id: string;
  readonly document: ProgrammeDocument;
  readonly titleOf: (drill: string) => string;
  /** Stores what was changed here and is not stored yet. */
  readonly flush: () => Promise<unknown>;
}

/** What the rounds say of the weeks to come: each proposal waits for a yes or a no, and an answer can be taken back. */
export function ComingWeeks({ id, document, titleOf, flush }: ComingWeeksProps) {
  const queries = useQueryClient();
  const query = useQuery(proposalsQuery(id));
  const sending = useMutation({
    mutationFn: async ({ path, body }: { readonly path: string; readonly body: object }) => {
      await flush();
      return programmeProposalsSchema.validate(await call('PUT', `/programmes/${id}/${path}`, body));
    },
    onSuccess: (told) => queries.setQueryData(proposalsQuery(id).queryKey, told),
    // The weeks themselves have changed, or somebody else has changed them.
    onSettled: () => queries.invalidateQueries({ queryKey: ['programmes'] }),
  });
  if (query.data === undefined) return null;
  const { proposals, answers } = query.data;
  if (proposals.length === 0 && answers.length === 0) return null;
  const answer = (key: string, accepted: boolean) =>
    sending.mutate({ path: 'answer', body: { key, accepted, basedOn: query.data.version } });
  return (
    <section className="card no-print" aria-labelledby="coming-title">
      <Title order={2} size="h4" id="coming-title">
        The weeks to come
      </Title>
      <Stack gap="sm" mt={4}>
        {proposals.length === 0 && <Text>They may stay as they are.</Text>}
        {proposals.map((proposal) => (
          <Proposal
            key={proposal.key}
            proposal={proposal}
            title={proposalTitle(proposal, titleOf)}
            lines={proposalLines(proposal, document.items, titleOf)}
            busy={sending.isPending}
            onAnswer={(accepted) => answer(proposal.key, accepted)}
          />
        ))}
        {sending.isError && (
          <Text role="alert" c="var(--jr-coral-text)">
            Nothing was changed: {sending.error.message}.
          </Text>
        )}
        {answers.length > 0 && (
          <details>
            <summary>What was answered</summary>
            {answers.map((each) => (
              <Group key={each.key} justify="space-between" wrap="nowrap" mt={6} gap="xs">
                <Text size="sm">
                  {answerWords(each, titleOf)} <span className="muted">{ago(each.at)}</span>
                </Text>
                <Button
                  size="compact-sm"
                  variant="default"
                  style={{ flexShrink: 0 }}
                  disabled={sending.isPending}
                  onClick={() => sending.mutate({ path: 'answer/back', body: { key: each.key } })}
                >
                  Take it back
                </Button>
              </Group>
            ))}
          </details>
        )}
      </Stack>
    </section>
  );
}

interface ProposalProps {
  readonly proposal: ProgrammeProposal;
  readonly title: string;
  readonly lines: readonly string[];
  readonly busy: boolean;
  readonly onAnswer: (accepted: boolean) => void;
}

/** So many entries are listed one by one. */
const LINES = 4;

function Proposal({ proposal, title, lines, busy, onAnswer }: ProposalProps) {
  const more = lines.length - LINES;
  return (
    <div role="group" aria-label={title}>
      <Text fw={700}>{title}</Text>
      <Text size="sm">{proposalReason(proposal)}</Text>
      <List size="sm" mt={2}>
        {lines.slice(0, LINES).map((line) => (
          <List.Item key={line}>{line}</List.Item>
        ))}
        {more > 0 && <List.Item>{more === 1 ? '1 more' : `${more} more`}</List.Item>}
      </List>
      <Group gap={8} mt={6}>
        <Button size="sm" disabled={busy} onClick={() => onAnswer(true)}>
          Yes
        </Button>
        <Button size="sm" variant="default" disabled={busy} onClick={() => onAnswer(false)}>
          No
        </Button>
      </Group>
    </div>
  );
}
