import { ActionIcon, Button, Group, Select, Stack, Text } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { IconArrowDown, IconArrowUp, IconTrash } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { tablesOf } from '../../core/drill/stage.ts';
import type { LessonDocument } from '../../core/records/lesson.ts';
import { drillsQuery } from '../api/drills.ts';
import { tablesQuery } from '../api/tables.ts';
import { Sight } from '../controls/Sight.tsx';
import { clockAt } from '../words/eveningWords.ts';
import { moveBlock } from './lessonDraft.ts';

interface BlockListProps {
  readonly document: LessonDocument;
  readonly chosen: string | undefined;
  readonly editable: boolean;
  readonly nameOf: (playerId: string) => string;
  readonly onChoose: (id: string) => void;
  readonly onChange: (document: LessonDocument) => void;
}

/** The plan of a lesson: its blocks in their order. */
export function BlockList(props: BlockListProps) {
  const { document, chosen, editable, nameOf, onChoose, onChange } = props;
  const drills = useQuery(drillsQuery);
  const titleOf = (slug: string) =>
    drills.data?.find((entry) => entry.document.slug === slug)?.document.title ?? slug;
  const total = document.blocks.reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <section aria-label="Blocks" className="lesson-blocks">
      <Stack gap={6}>
        {document.blocks.map((block, i) => (
          <div key={block.id} className={block.id === chosen ? 'card block chosen' : 'card block'}>
            <button
              type="button"
              className="block-choose"
              aria-pressed={block.id === chosen}
              onClick={() => onChoose(block.id)}
            >
              <Sight
                size={16}
                fill={block.endedAt !== null ? 'teal' : block.startedAt !== null ? 'coral' : 'muted'}
              />
              <span>
                <b>{titleOf(block.drill)}</b>
                <br />
                {block.playerId !== undefined && (
                  <>
                    {clockAt(document.evening?.begins ?? '', block.from ?? 0)} {nameOf(block.playerId)}
                    <br />
                  </>
                )}
                <span className="muted">
                  stage {block.stage}, {block.minutes} min
                  {block.endedAt !== null ? ', done' : block.startedAt !== null ? ', on' : ''}
                </span>
              </span>
            </button>
            {editable && (
              <Group gap={2} wrap="nowrap">
                <ActionIcon
                  variant="subtle"
                  color="ink"
                  aria-label={`Block ${i + 1} earlier`}
                  disabled={i === 0}
                  onClick={() => onChange(moveBlock(document, block.id, -1))}
                >
                  <IconArrowUp size={18} />
                </ActionIcon>
                <ActionIcon
                  variant="subtle"
                  color="ink"
                  aria-label={`Block ${i + 1} later`}
                  disabled={i === document.blocks.length - 1}
                  onClick={() => onChange(moveBlock(document, block.id, 1))}
                >
                  <IconArrowDown size={18} />
                </ActionIcon>
                <ActionIcon
                  variant="subtle"
                  color="ink"
                  aria-label={`Take block ${i + 1} out`}
                  disabled={block.startedAt !== null}
                  onClick={() =>
                    onChange({
                      ...document,
                      blocks: document.blocks.filter(({ id }) => id !== block.id),
                    })
                  }
                >
                  <IconTrash size={18} />
                </ActionIcon>
              </Group>
            )}
          </div>
        ))}
        <Text size="sm" c="dimmed">
          {total} minutes planned.
        </Text>
        {editable && document.endedAt === null && document.blocks.length < 20 && (
          <AddBlock document={document} onChange={onChange} onAdded={onChoose} />
        )}
      </Stack>
    </section>
  );
}

const FIRST_MINUTES = 15;

interface AddBlockProps {
  readonly document: LessonDocument;
  readonly onChange: (document: LessonDocument) => void;
  readonly onAdded: (id: string) => void;
}

/** A drill that the lesson's table allows, and its minutes. */
function AddBlock({ document, onChange, onAdded }: AddBlockProps) {
  const drills = useQuery(drillsQuery);
  const tables = useQuery(tablesQuery);
  const preset = tables.data?.find(({ id }) => id === document.tableId)?.preset;
  const fitting = (drills.data ?? []).filter(
    (entry) => !entry.archived && preset !== undefined && tablesOf(entry.document).includes(preset),
  );
  const [slug, setSlug] = useState<string | null>(null);
  const [stage, setStage] = useState(1);
  const [minutes, setMinutes] = useState(FIRST_MINUTES);
  const entry = fitting.find((each) => each.document.slug === slug);
  return (
    <form
      className="card"
      aria-label="Add a block"
      onSubmit={(event) => {
        event.preventDefault();
        if (entry === undefined) return;
        const id = crypto.randomUUID();
        const block = {
          id,
          drill: entry.document.slug,
          stage,
          minutes,
          startedAt: null,
          endedAt: null,
          note: '',
        };
        onChange({ ...document, blocks: [...document.blocks, block] });
        onAdded(id);
        setSlug(null);
      }}
    >
      <Select
        label="Drill"
        searchable
        placeholder="Add a block"
        data={fitting.map(({ document: each }) => ({ value: each.slug, label: each.title }))}
        value={slug}
        onChange={(value) => {
          setSlug(value);
          setStage(1);
          const found = fitting.find((each) => each.document.slug === value);
          if (found !== undefined) setMinutes(found.document.minutes);
        }}
      />
      <Group gap={8} mt={6} grow align="end">
        <Select
          label="Stage"
          allowDeselect={false}
          disabled={entry === undefined}
          data={(entry?.document.stages ?? []).map((each, i) => ({
            value: String(i + 1),
            label: each.title,
          }))}
          value={String(stage)}
          onChange={(value) => setStage(Number(value ?? 1))}
        />
        <NumberEntry whole label="Minutes" min={1} max={240} value={minutes} onEnter={setMinutes} />
      </Group>
      <Button type="submit" mt={8} fullWidth variant="default" disabled={entry === undefined || minutes < 1}>
        Add the block
      </Button>
    </form>
  );
}
