import { Button, Group, Select, Text, TextInput, Title } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { todayInClub } from '../words/clubTime.ts';
import { useState } from 'react';
import { dayNumber, WEEK_DAYS } from '../../core/programme/days.ts';
import { beforeMatches, spreadBlock } from '../../core/programme/spreadBlock.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { ITEM_KINDS, type ProgrammeDocument, type ProgrammeItem } from '../../core/records/programme.ts';

interface BlockFormProps {
  readonly document: ProgrammeDocument;
  readonly drills: readonly ListedDrill[];
  readonly onAdd: (items: readonly ProgrammeItem[]) => void;
}

const newId = () => crypto.randomUUID();

/** The week of a programme that it is now, from 1; the first before it begins, the last once it is over. */
function weekNow({ startDay, weeks }: ProgrammeDocument): number {
  const days = dayNumber(todayInClub()) - dayNumber(startDay);
  return Math.min(weeks, Math.max(1, 1 + Math.floor(days / WEEK_DAYS)));
}

/** "This drill, forty minutes, twice a week, five weeks", or before each match: the entries are spread over the weeks. */
export function BlockForm({ document, drills, onAdd }: BlockFormProps) {
  const [slug, setSlug] = useState<string | null>(null);
  const [stage, setStage] = useState(1);
  const [minutes, setMinutes] = useState(20);
  const [kind, setKind] = useState<ProgrammeItem['kind']>('homework');
  const [times, setTimes] = useState(2);
  // A programme that runs already goes on with this week.
  const [thisWeek] = useState(() => weekNow(document));
  const [fromWeek, setFromWeek] = useState(thisWeek);
  const [weeks, setWeeks] = useState(document.weeks - thisWeek + 1);
  const [note, setNote] = useState('');
  const [told, setTold] = useState('');
  const drill = drills.find((entry) => entry.document.slug === slug)?.document;
  const number = (label: string, value: number, set: (next: number) => void, most: number) => (
    <NumberEntry whole label={label} min={1} max={most} value={value} onEnter={set} />
  );
  function add() {
    if (drill === undefined) return;
    const block = { drill: drill.slug, stage, minutes, kind, timesAWeek: times, fromWeek, weeks, note };
    const today = todayInClub();
    const spread = kind === 'before a match' ? beforeMatches : spreadBlock;
    const items = spread(document, block, newId, today);
    onAdd(items);
    setTold(
      items.length === 0
        ? 'Nothing was added: no match day is to come, or no day is left.'
        : `${items.length === 1 ? '1 entry' : `${items.length} entries`} added.`,
    );
  }
  return (
    <form
      className="card"
      aria-labelledby="block-title"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Title order={2} size="h4" id="block-title">
        Add practice
      </Title>
      <Select
        label="Drill"
        searchable
        data={drills
          .filter(({ archived }) => !archived)
          .map((entry) => ({ value: entry.document.slug, label: entry.document.title }))}
        value={slug}
        onChange={(value) => {
          setSlug(value);
          setStage(1);
          setMinutes(drills.find((entry) => entry.document.slug === value)?.document.minutes ?? minutes);
        }}
      />
      <Group grow mt={6}>
        <Select
          label="Stage"
          allowDeselect={false}
          disabled={drill === undefined}
          data={(drill?.stages ?? []).map(({ title }, i) => ({ value: String(i + 1), label: title }))}
          value={String(stage)}
          onChange={(value) => setStage(Number(value ?? 1))}
        />
        {number('Minutes', minutes, setMinutes, 240)}
      </Group>
      <Select
        label="As"
        mt={6}
        allowDeselect={false}
        data={[...ITEM_KINDS]}
        value={kind}
        onChange={(value) => setKind(ITEM_KINDS.find((each) => each === value) ?? kind)}
      />
      {kind !== 'before a match' && (
        <Group grow mt={6}>
          {number('Times a week', times, setTimes, WEEK_DAYS)}
          {number('From week', fromWeek, setFromWeek, document.weeks)}
          {number('Weeks', weeks, setWeeks, document.weeks)}
        </Group>
      )}
      <TextInput
        label="Note"
        mt={6}
        maxLength={300}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <Button
        type="submit"
        mt="sm"
        fullWidth
        disabled={drill === undefined || minutes < 1 || times < 1 || weeks < 1}
      >
        Spread it over the weeks
      </Button>
      <Text size="sm" role="status" mt={4}>
        {told}
      </Text>
    </form>
  );
}
