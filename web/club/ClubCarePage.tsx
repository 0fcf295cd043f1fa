import { Anchor, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { useViewer } from '../api/viewer.ts';
import { AuditPart } from './AuditPart.tsx';
import { ClubNamePart } from './ClubNamePart.tsx';
import { ClubRulesPart } from './ClubRulesPart.tsx';
import { CoachesPart } from './CoachesPart.tsx';
import { FurtherClubs } from './FurtherClubs.tsx';
import { HallsPart } from './HallsPart.tsx';
import { RemovedRounds } from './RemovedRounds.tsx';

/** Who coaches here, where, and what was changed: for coaches. */
export function ClubCarePage() {
  const viewer = useViewer();
  if (viewer.role !== 'coach') return <Text>This is for the coaches of the club.</Text>;
  return (
    <Stack>
      <div>
        <Anchor component={Link} to="/players">
          Players
        </Anchor>
        <Title order={1}>Coaches and club</Title>
      </div>
      <SimpleGrid cols={{ base: 1, md: 2 }}>
        <Stack>
          <CoachesPart />
          <HallsPart />
        </Stack>
        <Stack>
          <ClubNamePart />
          <ClubRulesPart />
          {viewer.keeper && <FurtherClubs />}
        </Stack>
      </SimpleGrid>
      <RemovedRounds />
      <AuditPart />
    </Stack>
  );
}
