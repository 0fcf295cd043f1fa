import { Text, Title, UnstyledButton } from '@mantine/core';
import type { ReactNode } from 'react';
import type { TablePreset } from '../../../core/table/preset.ts';
import { cushionsWords, lineWords, seenWords } from '../../words/kickWords.ts';
import { LineFacts } from '../../planner/kick/LineFacts.tsx';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import type { LinesTold } from '../../workers/kickProtocol.ts';

interface LinesCardProps {
  readonly told: LinesTold | undefined;
  /** Whether what is told is of the table as it lies. */
  readonly current: boolean;
  readonly failed: Error | undefined;
  readonly target: string;
  readonly preset: TablePreset;
  readonly chosen: number;
  readonly onChoose: (line: number) => void;
  readonly tools: ReactNode;
}

/** The lines of the stroke, the surest first. */
export function LinesCard({
  told,
  current,
  failed,
  target,
  preset,
  chosen,
  onChoose,
  tools,
}: LinesCardProps) {
  const { vocabulary } = useWords();
  return (
    <section className="card" aria-labelledby="lines-title" aria-busy={!current}>
      <Title order={2} size="h4" id="lines-title">
        Lines of this stroke
      </Title>
      {failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          No lines could be found: {failed.message}. Move a ball to try again.
        </Text>
      )}
      {told !== undefined && (
        <Text size="sm" data-testid="seen">
          {seenWords(told.seen, target)}
        </Text>
      )}
      {told?.lines.length === 0 && (
        <Text size="sm">No line leads there with this stroke: try another pace, side, or more cushions.</Text>
      )}
      <ol className="plan-steps">
        {told?.lines.map((line, i) => (
          <li key={i}>
            <UnstyledButton className="plan-step" aria-pressed={i === chosen} onClick={() => onChoose(i)}>
              <Text fw={600} size="sm">
                {i + 1}. {capital(cushionsWords(line.cushions, vocabulary))}
              </Text>
              <Text size="xs" c="dimmed">
                {lineWords(line)}
              </Text>
            </UnstyledButton>
            {i === chosen && (
              <div>
                <LineFacts line={line} preset={preset} />
                {tools}
              </div>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
