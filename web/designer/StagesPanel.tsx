import { Button, Group, Stack, Text, TextInput } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { nextStage } from '../../core/drill/draft.ts';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { PanelProps } from './panel.ts';
import { withStage, type Part } from './edits.ts';
import { ConditionChips } from './RulesPanel.tsx';

type Stage = Drill['stages'][number];

const MOST_STAGES = 9;
const MOST_BANDS = 5;

/** The stages, from easy to hard: each changes something of the base. */
export function StagesPanel({ drill, edit, onPart }: PanelProps & { readonly onPart: (part: Part) => void }) {
  const byWindow = drill.scoring.method === 'zone-points' && drill.task.kind === 'position';
  return (
    <Stack gap={12}>
      <Text size="sm" c="dimmed">
        Balls moved or taken off while a stage is chosen above the table change that stage alone.
      </Text>
      {drill.stages.map((stage, i) => {
        const put = (change: Partial<Stage>, step?: string) =>
          edit(
            withStage(drill, i + 1, (before) => ({ ...before, ...change })),
            step,
          );
        return (
          <section key={i} className="card" aria-label={`Stage ${i + 1}`}>
            <Group gap={8} align="end" wrap="nowrap">
              <TextInput
                label={`Stage ${i + 1}`}
                size="xs"
                style={{ flex: 1 }}
                value={stage.title}
                onChange={(event) => put({ title: event.currentTarget.value }, `stage ${i}`)}
              />
              {drill.stages.length > 1 && (
                <Button
                  size="xs"
                  variant="default"
                  onClick={() => {
                    onPart('base');
                    edit({ ...drill, stages: drill.stages.filter((_, k) => k !== i) });
                  }}
                >
                  Take away
                </Button>
              )}
            </Group>
            {byWindow && <Bands bands={stage.bands} onChange={(bands) => put({ bands }, `bands ${i}`)} />}
            <Marks marks={stage.marks} onChange={(marks) => put({ marks }, `marks ${i}`)} />
            <ConditionChips
              label="Conditions besides"
              value={stage.conditions}
              onChange={(conditions) => put({ conditions })}
            />
            {(stage.without.length > 0 || stage.moved.length > 0) && (
              <Group gap={8} mt={6}>
                <Text size="xs">
                  {stage.without.length > 0 ? `Without ${stage.without.join(', ')}. ` : ''}
                  {stage.moved.length > 0 ? `Moved: ${stage.moved.map(({ id }) => id).join(', ')}.` : ''}
                </Text>
                <Button size="compact-xs" variant="default" onClick={() => put({ without: [], moved: [] })}>
                  As in all stages
                </Button>
              </Group>
            )}
          </section>
        );
      })}
      {drill.stages.length < MOST_STAGES && (
        <Button
          size="xs"
          variant="default"
          onClick={() => edit({ ...drill, stages: [...drill.stages, nextStage(drill)] })}
        >
          One stage more
        </Button>
      )}
    </Stack>
  );
}

interface MarksProps {
  readonly marks: Stage['marks'];
  readonly onChange: (marks: Stage['marks']) => void;
}

/** What the coach expects of a round, by the player's level; empty where nothing is expected. */
function Marks({ marks, onChange }: MarksProps) {
  const othersOf = (level: string) => marks.filter((mark) => mark.level !== level);
  return (
    <Group gap={4} align="end" mb={6} wrap="nowrap" role="group" aria-label="Marks of the coach">
      {LEVEL_NAMES.map((level) => (
        <NumberEntry
          key={level}
          label={level}
          size="xs"
          digits={2}
          min={0}
          value={marks.find((mark) => mark.level === level)?.score ?? null}
          onEnter={(score) => onChange([...othersOf(level), { level, score }])}
          onClear={() => onChange(othersOf(level))}
        />
      ))}
    </Group>
  );
}

interface BandsProps {
  readonly bands: Stage['bands'];
  readonly onChange: (bands: Stage['bands']) => void;
}

/** What a landing earns by the chance of the next pot. */
function Bands({ bands, onChange }: BandsProps) {
  const last = bands.at(-1);
  const put = (k: number, change: Partial<Stage['bands'][number]>) =>
    onChange(bands.map((band, i) => (i === k ? { ...band, ...change } : band)));
  return (
    <div role="group" aria-label="Bands" style={{ margin: '6px 0' }}>
      {bands.map((band, k) => (
        <Group key={k} gap={8} mt={2}>
          <NumberEntry
            aria-label={`Band ${k + 1}, chance in percent`}
            size="xs"
            w={90}
            min={0}
            max={100}
            unit="%"
            value={100 * band.chance}
            onEnter={(value) => put(k, { chance: value / 100 })}
          />
          <NumberEntry
            whole
            aria-label={`Band ${k + 1}, points`}
            size="xs"
            w={70}
            min={1}
            max={100}
            value={band.points}
            onEnter={(points) => put(k, { points })}
          />
          <Text size="xs">points</Text>
          <Button
            size="compact-xs"
            variant="default"
            aria-label={`Take band ${k + 1} away`}
            onClick={() => onChange(bands.filter((_, i) => i !== k))}
          >
            −
          </Button>
        </Group>
      ))}
      {bands.length < MOST_BANDS && (
        <Button
          size="compact-xs"
          variant="default"
          mt={4}
          onClick={() =>
            onChange([
              ...bands,
              { chance: Math.min(1, (last?.chance ?? 0.4) + 0.1), points: (last?.points ?? 0) + 1 },
            ])
          }
        >
          One band more
        </Button>
      )}
    </div>
  );
}
