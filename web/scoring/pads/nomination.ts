import type { PadAction } from '../../controls/padAction.ts';
import { keyOfBall } from '../clearanceWords.ts';

/**
 * What is asked after a foul while several colours were on: which one was nominated, or that nobody said.
 * @param colours that were on @param answer with the colour, or null
 */
export function nominationActions(
  colours: readonly string[],
  answer: (ball: string | null) => void,
): readonly PadAction[] {
  return [
    ...keyOfBall(colours).map(({ id, key, name }): PadAction => ({
      key,
      label: `Nominated ${name}`,
      run: () => answer(id),
    })),
    { key: 'x', label: 'Nobody said', run: () => answer(null) },
  ];
}
