import { Text } from '@mantine/core';
import type { RatedLine } from '../../../core/shot/kicks/kickFamilies.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import { aimWords, missWords, outcomeWords } from '../../words/kickWords.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { tapeLength } from '../../words/lengths.ts';

/** Where to aim, what comes of the middle of a line, and what a miss meets. */
export function LineFacts({ line, preset }: { readonly line: RatedLine; readonly preset: TablePreset }) {
  const { vocabulary } = useWords();
  const { aim, widthAtAim, middle, below, above } = line;
  const width = widthAtAim === undefined ? '' : `, ${tapeLength(widthAtAim)} wide there`;
  return (
    <Text size="sm" data-testid="line-facts">
      {aim !== undefined && `${capital(aimWords(aim, preset, vocabulary))}${width}. `}
      In the middle it {outcomeWords(middle, vocabulary)}. {missWords(below, above)}
    </Text>
  );
}
