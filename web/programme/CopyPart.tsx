import { Button, MultiSelect, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../api/client.ts';
import { playersQuery } from '../api/players.ts';
import { programmesQuery } from '../api/programmes.ts';

interface CopyPartProps {
  readonly id: string;
  /** Whose programme it is. */
  readonly playerId: string;
  /** Waits until all changes of it are stored: what is copied is what is seen. */
  readonly flush: () => Promise<void>;
}

/** The same weeks for other students, each with a programme of their own. */
export function CopyPart({ id, playerId, flush }: CopyPartProps) {
  const players = useQuery(playersQuery);
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<string[]>([]);
  const copying = useMutation({
    mutationFn: async (copies: readonly { id: string; playerId: string }[]) => {
      await flush();
      return call('POST', `/programmes/${id}/copies`, { copies });
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: programmesQuery.queryKey });
      setChosen([]);
    },
  });
  return (
    <form
      className="card"
      aria-labelledby="copy-title"
      onSubmit={(event) => {
        event.preventDefault();
        copying.mutate(chosen.map((each) => ({ id: crypto.randomUUID(), playerId: each })));
      }}
    >
      <Title order={2} size="h4" id="copy-title">
        Give it to others
      </Title>
      <MultiSelect
        label="Students"
        searchable
        hidePickedOptions
        maxValues={40}
        data={(players.data ?? [])
          .filter((player) => !player.archived && player.id !== playerId)
          .map((player) => ({ value: player.id, label: player.name }))}
        value={chosen}
        onChange={setChosen}
      />
      <Button
        type="submit"
        mt="xs"
        variant="default"
        disabled={chosen.length === 0}
        loading={copying.isPending}
      >
        Copy it to them
      </Button>
      <Text size="sm" role="status" mt={4} c={copying.isError ? 'var(--jr-coral-text)' : 'dimmed'}>
        {copying.isError ? `Not copied: ${copying.error.message}.` : copying.isSuccess ? 'Copied.' : ''}
      </Text>
    </form>
  );
}
