import { List, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { revisionsQuery } from '../api/drills.ts';
import { shortDay } from '../words/dates.ts';

/** What became of a drill's text: rounds stay with the revision by which they were played. */
export function RevisionList({ slug }: { readonly slug: string }) {
  const revisions = useQuery(revisionsQuery(slug));
  if (revisions.data === undefined || revisions.data.length < 2) return null;
  return (
    <section className="card" aria-labelledby="revisions-title">
      <Title order={2} size="h4" id="revisions-title">
        Revisions
      </Title>
      <List size="sm" mt={4}>
        {revisions.data.map(({ revision, title, writtenBy, writtenAt, rounds }) => (
          <List.Item key={revision}>
            {revision}: {title}, {shortDay(writtenAt)}
            {writtenBy === null ? '' : ` by ${writtenBy}`}, {rounds === 1 ? '1 round' : `${rounds} rounds`}
          </List.Item>
        ))}
      </List>
      <Text size="xs" c="dimmed" mt={4}>
        Rounds keep the text by which they were played; those of another revision are not compared with these.
      </Text>
    </section>
  );
}
