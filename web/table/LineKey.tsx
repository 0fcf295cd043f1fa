import { Group, Text } from '@mantine/core';
import type { ReactNode } from 'react';
import { colour } from '../theme.ts';

function Sample({ children, text }: { readonly children: ReactNode; readonly text: string }) {
  return (
    <Group gap={8} wrap="nowrap">
      <svg width={34} height={16} viewBox="0 0 34 16" aria-hidden>
        {children}
      </svg>
      <Text size="sm">{text}</Text>
    </Group>
  );
}

interface LineKeyProps {
  readonly cueBall: string;
  readonly objectBall: string;
  readonly window: string;
  readonly landings?: boolean;
}

/** The key to the lines on the table. */
export function LineKey({ cueBall, objectBall, window, landings = false }: LineKeyProps) {
  return (
    <Group gap="lg" role="group" aria-label="Key to the lines">
      <Sample text={cueBall}>
        <path d="M1 8H33" stroke={colour('indigo')} strokeWidth={3} />
      </Sample>
      <Sample text={objectBall}>
        <path
          d="M2 8H33"
          stroke={colour('ink')}
          strokeWidth={3}
          strokeDasharray="0.1 6"
          strokeLinecap="round"
        />
      </Sample>
      <Sample text={window}>
        <rect
          x={1}
          y={2}
          width={32}
          height={12}
          rx={3}
          fill={colour('gold')}
          fillOpacity={0.45}
          stroke={colour('rail-ink')}
        />
      </Sample>
      <Sample text="wanted landing">
        <path d="M17 1L22 8L17 15L12 8Z" fill="none" stroke={colour('indigo')} strokeWidth={2} />
      </Sample>
      {landings && (
        <Sample text="landings, in order">
          <path d="M10 8H24M17 1V15" stroke={colour('ink')} strokeWidth={2} />
        </Sample>
      )}
    </Group>
  );
}
