import { List, Text, Title } from '@mantine/core';
import type { Drill, School } from '../../core/records/drill.ts';
import { CAUTION_WORDS } from '../words/cautionWords.ts';
import { marksInWords, rulesInWords, scoringInWords, taskInWords } from '../words/drillWords.ts';
import { useWords } from '../words/useWords.ts';
import { schoolCard } from './schools.ts';

/** What is asked, under which rules, and how it counts. */
export function DrillRules({ drill, stage }: { readonly drill: Drill; readonly stage: number }) {
  const { vocabulary, say } = useWords();
  const marks = marksInWords(drill.stages[stage - 1]?.marks ?? []);
  return (
    <section className="card">
      <Title order={2} size="h4">
        The task
      </Title>
      <Text mt={4}>{say(drill.purpose)}</Text>
      <Text mt={4} fw={700}>
        {taskInWords(drill, vocabulary)}
      </Text>
      <List mt="xs" size="sm" spacing={4}>
        {[...rulesInWords(drill), ...drill.advice].map((line) => (
          <List.Item key={line}>{say(line)}</List.Item>
        ))}
      </List>
      <Text size="sm" mt="xs">
        {say(scoringInWords(drill))}
      </Text>
      {marks !== undefined && <Text size="sm">{marks}</Text>}
      {drill.cautions.map((caution) => (
        <Text key={caution} size="sm" mt="xs" c="var(--jr-coral-text)">
          {CAUTION_WORDS[caution]}
        </Text>
      ))}
    </section>
  );
}

/** Where practitioners disagree: both sides in a line each. */
export function SchoolCards({ schools }: { readonly schools: readonly School[] }) {
  const { say } = useWords();
  return schools.map((school) => {
    const { question, one, other } = schoolCard(school);
    return (
      <section key={school} className="card" aria-label={question}>
        <Text size="sm" c="dimmed">
          Two schools: {say(question)}
        </Text>
        <Text size="sm">{say(one)}</Text>
        <Text size="sm">{say(other)}</Text>
      </section>
    );
  });
}
