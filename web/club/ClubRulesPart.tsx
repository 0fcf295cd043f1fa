import { Group, Select, Stack, Switch, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { STRAIN_BOUNDS, type ClubRules } from '../../core/records/clubRules.ts';
import { call } from '../api/client.ts';
import { viewerQuery } from '../api/account.ts';
import { useViewer } from '../api/viewer.ts';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { deviceZone } from '../words/clubTime.ts';

/** What the club has settled: its clock, and how much practice is enough. */
export function ClubRulesPart() {
  const { rules } = useViewer();
  const queries = useQueryClient();
  const saving = useMutation({
    mutationFn: (next: ClubRules) => call('PUT', '/club/rules', next),
    onSuccess: () => queries.invalidateQueries({ queryKey: viewerQuery.queryKey }),
  });
  /** A switch answers at once; where it was not saved it goes back. */
  const shown = saving.isPending ? saving.variables : rules;
  const save = (part: Partial<ClubRules>) => saving.mutate({ ...rules, ...part });
  const minutes = (label: string, name: 'restAfter' | 'most') => (
    <NumberEntry
      label={label}
      value={rules[name]}
      digits={0}
      min={STRAIN_BOUNDS[name][0]}
      max={STRAIN_BOUNDS[name][1]}
      onEnter={(value) => save({ [name]: Math.round(value) })}
    />
  );
  return (
    <section className="card" aria-labelledby="rules-title">
      <Title order={2} size="h3" id="rules-title">
        Clock and strain
      </Title>
      <Select
        label="Time zone of the club"
        description="Days and times are told by the clock on its wall, wherever you look from."
        searchable
        clearable
        placeholder="That of each device"
        nothingFoundMessage="No such zone"
        data={zones(rules.zone)}
        value={rules.zone}
        onChange={(zone) => save({ zone })}
      />
      <Group grow mt={8} align="start">
        {minutes('Rest after, minutes', 'restAfter')}
        {minutes('At most an evening, minutes', 'most')}
      </Group>
      <Text size="sm" c="dimmed" mt={4}>
        A new evening is planned by these; they can be changed for a single one.
      </Text>
      <Title order={3} size="h4" mt={12}>
        Pictures, cameras, screens
      </Title>
      <Text size="sm" c="dimmed" mb={4}>
        What looks at a table sees people, too. The club decides; ask the parents of those who are not of age.
      </Text>
      <Stack gap={6}>
        {LOOKING.map(([name, label]) => (
          <Switch
            key={name}
            label={label}
            checked={shown[name]}
            onChange={(event) => save({ [name]: event.currentTarget.checked })}
          />
        ))}
      </Stack>
      {saving.isError && (
        <Text role="alert" c="var(--jr-coral-text)">
          Nothing was changed: {saving.error.message}.
        </Text>
      )}
      {saving.isSuccess && <Text role="status">Saved.</Text>}
    </section>
  );
}

/** What a club may allow or not. */
const LOOKING = [
  ['pictures', 'A position may be read from a picture'],
  ['cameras', 'A camera may look on while a round is scored'],
  ['screens', 'A lesson may have a second screen'],
] as const;

/** All zones that the browser knows, with the club's and the device's own. */
function zones(own: string | null): readonly string[] {
  const all = new Set(['UTC', deviceZone(), ...Intl.supportedValuesOf('timeZone')]);
  if (own !== null) all.add(own);
  return [...all].toSorted();
}
