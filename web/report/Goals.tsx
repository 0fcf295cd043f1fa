import { useWords } from '../words/useWords.ts';
import { Button, Group, Text, TextInput, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { drillsQuery } from '../api/drills.ts';
import { nextDrillsQuery } from '../api/players.ts';
import { nextDrillWords } from '../words/nextDrillWords.ts';

interface GoalsProps {
  readonly goals: readonly string[];
  readonly playerId: string;
  readonly editable: boolean;
  readonly onChange: (goals: readonly string[]) => void;
}

const MOST = 6;

/** What comes next: the coach's goals; for the coach proposals that can be taken over. */
export function Goals({ goals, playerId, editable, onChange }: GoalsProps) {
  const [text, setText] = useState('');
  if (!editable && goals.length === 0) return null;
  function add(goal: string) {
    const trimmed = goal.trim().slice(0, 160);
    if (trimmed !== '' && goals.length < MOST) onChange([...goals, trimmed]);
  }
  return (
    <section aria-labelledby="goals-title">
      <Title order={2} size="h3" id="goals-title">
        Next goals
      </Title>
      <ul>
        {goals.map((goal, i) => (
          <li key={`${i} ${goal}`}>
            {goal}{' '}
            {editable && (
              <Button
                size="compact-xs"
                variant="subtle"
                color="ink"
                className="no-print"
                aria-label={`Take the goal out: ${goal}`}
                onClick={() => onChange(goals.filter((_, k) => k !== i))}
              >
                Take out
              </Button>
            )}
          </li>
        ))}
      </ul>
      {editable && goals.length < MOST && (
        <div className="no-print">
          <form
            onSubmit={(event) => {
              event.preventDefault();
              add(text);
              setText('');
            }}
          >
            <Group align="end">
              <TextInput
                label="A goal"
                maxLength={160}
                style={{ flex: 1 }}
                value={text}
                onChange={(event) => setText(event.currentTarget.value)}
              />
              <Button type="submit" variant="default">
                Add the goal
              </Button>
            </Group>
          </form>
          <ProposedGoals playerId={playerId} onTake={add} />
        </div>
      )}
    </section>
  );
}

const PROPOSED = 2;

function ProposedGoals({
  playerId,
  onTake,
}: {
  readonly playerId: string;
  readonly onTake: (goal: string) => void;
}) {
  const { skillName } = useWords();
  const next = useQuery(nextDrillsQuery(playerId));
  const drills = useQuery(drillsQuery);
  return (next.data ?? []).slice(0, PROPOSED).map((proposal) => {
    const title =
      drills.data?.find((entry) => entry.document.slug === proposal.drill)?.document.title ?? proposal.drill;
    return (
      <Group key={proposal.drill} justify="space-between" mt={4} wrap="nowrap">
        <Text size="sm">
          {title}, stage {proposal.stage}: {nextDrillWords(proposal, skillName)}
        </Text>
        <Button
          size="compact-sm"
          variant="default"
          style={{ flexShrink: 0 }}
          onClick={() =>
            onTake(`Practise “${title}” at stage ${proposal.stage}, for ${skillName(proposal.skill)}`)
          }
        >
          Make it a goal
        </Button>
      </Group>
    );
  });
}
