import { Button, Select, Stack, Text, Title } from '@mantine/core';
import { CALL_KINDS, DIFFICULTIES } from '../../core/judgement/kinds.ts';
import { PRESET_IDS } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { DIFFICULTY_WORDS, kindWords } from '../words/callWords.ts';
import { useWords } from '../words/useWords.ts';
import type { Asking } from './callAsking.ts';

interface AskCardProps {
  readonly asking: Asking;
  /** Who may be chosen to call; undefined for a player, who calls for themselves. */
  readonly players: readonly { readonly id: string; readonly name: string }[] | undefined;
  readonly playerId: string | null;
  readonly onPlayer: (id: string | null) => void;
  readonly onChoose: (name: 'kind' | 'level' | 'table', value: string | null) => void;
  readonly pending: boolean;
  /** No position is set yet. */
  readonly first: boolean;
  readonly nothingFound: boolean;
  readonly onSet: () => void;
}

/** Which positions are set, and who calls them. */
export function AskCard(props: AskCardProps) {
  const { asking, players, playerId, onPlayer, onChoose, pending, first, nothingFound, onSet } = props;
  const { vocabulary } = useWords();
  return (
    <section className="card" aria-labelledby="call-ask">
      <Title order={2} size="h4" id="call-ask">
        Ask
      </Title>
      <Stack gap={8} mt={4}>
        <Select
          label="What"
          allowDeselect={false}
          data={CALL_KINDS.map((kind) => ({ value: kind, label: kindWords(kind, vocabulary) }))}
          value={asking.kind}
          onChange={(value) => onChoose('kind', value)}
        />
        <Select
          label="From"
          allowDeselect={false}
          data={[
            ...DIFFICULTIES.map((value) => ({ value, label: DIFFICULTY_WORDS[value] })),
            { value: 'library', label: 'The library’s drills' },
          ]}
          value={asking.difficulty}
          onChange={(value) => onChoose('level', value)}
        />
        <Select
          label="Table"
          allowDeselect={false}
          data={PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name }))}
          value={asking.preset}
          onChange={(value) => onChoose('table', value)}
        />
        {players !== undefined && (
          <Select
            label="Who calls"
            clearable
            placeholder="nobody: not kept"
            data={players.map(({ id, name }) => ({ value: id, label: name }))}
            value={playerId}
            onChange={onPlayer}
          />
        )}
        <Button size="lg" loading={pending} onClick={onSet}>
          {first ? 'Set a position' : 'Set another'}
        </Button>
        {nothingFound && (
          <Text size="sm" role="status">
            No position of this kind was found here: set another, or choose another level.
          </Text>
        )}
      </Stack>
    </section>
  );
}
