import { Select } from '@mantine/core';
import { LEVEL_NAMES, type LevelName } from '../../core/player/levels.ts';
import { OneOf } from '../controls/fields.tsx';

export interface PlayerFieldsProps {
  readonly level: LevelName;
  readonly onLevel: (level: LevelName) => void;
  /** Undefined until they are known. */
  readonly players: readonly { readonly id: string; readonly name: string }[] | undefined;
  /** A player whose fitted errors count instead of the level's. */
  readonly player: string | null;
  readonly onPlayer: (id: string | null) => void;
}

/** For whom it is computed: a level, or a player as fitted from the rounds played. */
export function PlayerFields({ level, onLevel, players, player, onPlayer }: PlayerFieldsProps) {
  return (
    <>
      <OneOf label="A player of" value={level} values={LEVEL_NAMES} onChange={onLevel} />
      <Select
        label="as fitted to"
        size="xs"
        clearable
        placeholder="the level"
        data={(players ?? []).map(({ id, name }) => ({ value: id, label: name }))}
        value={player}
        onChange={onPlayer}
      />
    </>
  );
}
