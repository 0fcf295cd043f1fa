import { Text } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { foulsNeeded } from '../../../core/tactics/frame.ts';
import { pointsOnTable } from '../../../core/tactics/pointsOnTable.ts';
import { MOST_LEAD } from './safetySetting.ts';

interface FrameScoreProps {
  /** Undefined where points alone count. */
  readonly lead: number | undefined;
  readonly onLead: (lead: number | undefined) => void;
  /** Ids of the balls on the table. */
  readonly objects: readonly string[];
}

/** The score of a frame at snooker, and what it means: points that are left, fouls that are needed. */
export function FrameScore({ lead, onLead, objects }: FrameScoreProps) {
  const left = pointsOnTable(objects);
  const needed = lead === undefined ? 0 : foulsNeeded(lead, left);
  return (
    <>
      <NumberEntry
        whole
        mt={8}
        label="Points ahead in the frame"
        description="Below 0 when behind. Empty: points count, not the frame."
        min={-MOST_LEAD}
        max={MOST_LEAD}
        value={lead ?? null}
        onEnter={onLead}
        onClear={() => onLead(undefined)}
      />
      {lead !== undefined && (
        <Text size="sm" mt={4} data-testid="frame-score">
          {left} {left === 1 ? 'point' : 'points'} left on the table.
          {needed > 0 && ` It takes ${needed} ${needed === 1 ? 'foul' : 'fouls'} by the opponent at least.`}
        </Text>
      )}
    </>
  );
}
