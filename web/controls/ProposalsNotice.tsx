import { Text } from '@mantine/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { programmesQuery, proposalsQuery } from '../api/programmes.ts';

/** That the rounds of a player speak for other weeks to come, with the way there; nothing where they do not. */
export function ProposalsNotice({ playerId }: { readonly playerId: string }) {
  const programmes = useQuery(programmesQuery);
  const own = (programmes.data ?? []).filter(({ player, archived }) => player.id === playerId && !archived);
  const told = useQueries({ queries: own.map(({ id }) => proposalsQuery(id)) });
  return own.map(({ id, document }, i) => {
    const count = told[i]?.data?.proposals.length ?? 0;
    if (count === 0) return null;
    return (
      <Text key={id} className="card" data-testid="weeks-to-come">
        <Link to={`/programmes/${id}`}>{document.title}</Link>:{' '}
        {count === 1 ? 'one proposal' : `${count} proposals`} for the weeks to come.
      </Text>
    );
  });
}
