import { Button, Group, Select } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { OpenRound } from '../../core/records/openRound.ts';
import { call } from '../api/client.ts';
import { playersQuery } from '../api/players.ts';
import { ReasonDialog } from '../controls/ReasonDialog.tsx';

/** For a round that was entered wrongly: it is put away, or given to whom it belongs. Both can be taken back. */
export function RoundCare({ round }: { readonly round: OpenRound['round'] }) {
  const [asked, setAsked] = useState<'away' | 'other'>();
  const [playerId, setPlayerId] = useState<string | null>(null);
  const players = useQuery(playersQuery);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const close = () => setAsked(undefined);

  async function change(path: string, body: object) {
    await call('PUT', `/rounds/${round.id}/${path}`, body);
    await queries.invalidateQueries();
    await navigate(`/players/${round.player.id}`);
  }

  return (
    <Group gap={8} className="no-print">
      <Button variant="default" size="compact-sm" onClick={() => setAsked('other')}>
        It was somebody else’s
      </Button>
      <Button variant="default" size="compact-sm" onClick={() => setAsked('away')}>
        Put the round away
      </Button>
      <ReasonDialog
        opened={asked === 'away'}
        title={`Put this round of ${round.player.name} away?`}
        action="Put it away"
        onClose={close}
        onDo={(reason) => change('removed', { removed: true, reason })}
      >
        It counts nowhere any more. Under “Coaches and club” it can be brought back.
      </ReasonDialog>
      <ReasonDialog
        opened={asked === 'other'}
        title="Whose round was it?"
        action="Give it to them"
        incomplete={playerId === null}
        onClose={close}
        onDo={(reason) => change('player', { playerId, reason })}
      >
        <Select
          label="Player"
          searchable
          value={playerId}
          onChange={setPlayerId}
          data={(players.data ?? [])
            .filter(({ id, archived }) => !archived && id !== round.player.id)
            .map(({ id, name }) => ({ value: id, label: name }))}
        />
      </ReasonDialog>
    </Group>
  );
}
