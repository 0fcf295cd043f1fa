import { DayField } from '../controls/DayField.tsx';
import { Button, Group, Text, Title } from '@mantine/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { ProgrammeDocument } from '../../core/records/programme.ts';

interface MatchDaysProps {
  readonly document: ProgrammeDocument;
  readonly onChange: (document: ProgrammeDocument) => void;
}

/** The days on which the player has a match: practice can be planned before each. */
export function MatchDays({ document, onChange }: MatchDaysProps) {
  const [day, setDay] = useState('');
  const { matchDays } = document;
  return (
    <form
      className="card"
      aria-labelledby="matches-title"
      onSubmit={(event) => {
        event.preventDefault();
        if (day === '' || matchDays.includes(day)) return;
        onChange({ ...document, matchDays: [...matchDays, day].sort() });
        setDay('');
      }}
    >
      <Title order={2} size="h4" id="matches-title">
        Match days
      </Title>
      {matchDays.length === 0 && <Text size="sm">None yet.</Text>}
      {matchDays.map((each) => (
        <Group key={each} justify="space-between" mt={2}>
          <Text size="sm">{dayjs(each).format('ddd D MMM YYYY')}</Text>
          <Button
            size="compact-xs"
            variant="subtle"
            color="ink"
            aria-label={`No match on ${each}`}
            onClick={() => onChange({ ...document, matchDays: matchDays.filter((other) => other !== each) })}
          >
            Take out
          </Button>
        </Group>
      ))}
      <Group mt={6} align="end">
        <DayField aria-label="A match day" value={day} onChange={setDay} />
        <Button type="submit" variant="default" disabled={day === ''}>
          Add
        </Button>
      </Group>
    </form>
  );
}
