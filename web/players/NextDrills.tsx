import { useWords } from '../words/useWords.ts';
import { Button, Group, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { nextDrillsQuery } from '../api/players.ts';
import { Loading } from '../controls/Loading.tsx';
import { nextDrillWords } from '../words/nextDrillWords.ts';

interface NextDrillsProps {
  readonly playerId: string;
  readonly titleOf: (drill: string) => string;
}

const SHOWN = 3;

/** What to practise next, ranked, each with its reason; taking it is the coach's choice. */
export function NextDrills({ playerId, titleOf }: NextDrillsProps) {
  const { skillName } = useWords();
  const next = useQuery(nextDrillsQuery(playerId));
  const shown = (next.data ?? []).slice(0, SHOWN);
  if (next.data === undefined)
    return <Loading what="what to practise next" error={next.error} height={190} />;
  if (shown.length === 0) return null;
  return (
    <section className="card" aria-labelledby="next-title">
      <Title order={2} size="h4" id="next-title">
        What to practise next
      </Title>
      <ol style={{ margin: '6px 0 0', paddingLeft: 20 }}>
        {shown.map((proposal) => (
          <li key={proposal.drill} style={{ marginTop: 4 }}>
            <Group justify="space-between" wrap="nowrap" align="start">
              <div>
                <Link to={`/drills/${proposal.drill}?stage=${proposal.stage}`}>
                  <b>{titleOf(proposal.drill)}</b>, stage {proposal.stage}
                </Link>
                <Text size="sm">{nextDrillWords(proposal, skillName)}</Text>
              </div>
              <Button
                component={Link}
                size="compact-sm"
                variant="default"
                className="no-print"
                style={{ flexShrink: 0 }}
                to={`/lesson/round?drill=${proposal.drill}&stage=${proposal.stage}&player=${playerId}`}
              >
                Play it
              </Button>
            </Group>
          </li>
        ))}
      </ol>
    </section>
  );
}
