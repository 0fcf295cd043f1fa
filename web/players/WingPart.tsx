import { Text } from '@mantine/core';
import { Link } from 'react-router';
import type { WingRecord } from '../../core/scoring/wingBall.ts';
import { diagnosisWords, wingRecordWords } from '../words/wingWords.ts';

/** What became of the wing ball, and what that says of the rack. */
export function WingPart({ record }: { readonly record: WingRecord }) {
  return (
    <Text size="sm" mt={6} data-testid="wing-record">
      {wingRecordWords(record)} {diagnosisWords(record)}{' '}
      {record.tends !== undefined && <Link to="/lab/break">Try gaps in the lab</Link>}
    </Text>
  );
}
