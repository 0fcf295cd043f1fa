import { LineKey } from '../table/LineKey.tsx';
import { Alert, Button, Group, Tabs, Text, TextInput, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { problemsOf } from '../../core/drill/problems.ts';
import { layOutWhatCan } from '../../core/drill/layout.ts';
import { drillSchema, type Drill } from '../../core/records/drill.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { drillsQuery } from '../api/drills.ts';
import { planQuery } from '../planner/solved.ts';
import { call } from '../api/client.ts';
import { clock } from '../words/dates.ts';
import { usePlayback } from '../table/usePlayback.ts';
import { chooseShipped } from '../table/tableChoice.ts';
import { arrowStep } from '../table/arrowStep.ts';
import { UndoRedo } from '../controls/UndoRedo.tsx';
import { BallsPanel } from './BallsPanel.tsx';
import { DesignerTable, type Tool } from './DesignerTable.tsx';
import { DesignerTools } from './DesignerTools.tsx';
import { dropDraft, keepDraft, type Draft } from '../controls/draftStore.ts';
import { placeBall, placeFor, shown, withTitle, type Part } from './edits.ts';
import { change, redo, startHistory, undo } from '../controls/history.ts';
import { problemsInWords } from './problemWords.ts';
import { RulesPanel } from './RulesPanel.tsx';
import { StagesPanel } from './StagesPanel.tsx';
import { StrokePart } from './StrokePart.tsx';
import { TaskPanel } from './TaskPanel.tsx';
import { TextPanel } from './TextPanel.tsx';
import { TryPanel } from './TryPanel.tsx';

interface DesignerProps {
  /** Under which the draft is kept on this device. */
  readonly draftName: string;
  readonly start: Pick<Draft, 'drill' | 'basedOn'>;
  /** What was left unsaved here before. */
  readonly kept: Draft | undefined;
}

const TITLE_TAKEN = { field: 'slug', words: 'title: another drill has this one already' };

/** How many things that are missing are told at once. */
const SHOWN = 4;

/** A drill in the making: set on the table, its stroke played at once, every change kept and undone at will. */
export function Designer({ draftName, start: first, kept }: DesignerProps) {
  // What it began with stays what it began with, whatever is fetched anew meanwhile.
  const [start] = useState(first);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [basedOn, setBasedOn] = useState(kept?.basedOn ?? start.basedOn);
  const [history, setHistory] = useState(() => startHistory(kept?.drill ?? start.drill));
  const [keptAt, setKeptAt] = useState(kept?.at);
  const [selected, setSelected] = useState(history.present.balls[0]?.id ?? '');
  const [chosenPart, setPart] = useState<Part>('base');
  const [tool, setTool] = useState<Tool>('move');
  const [snap, setSnap] = useState(true);
  const [failure, setFailure] = useState<string>();
  const drill = history.present;
  // A stage that was chosen may be undone.
  const part = chosenPart === 'base' || chosenPart > drill.stages.length ? 'base' : chosenPart;
  const edit = (next: Drill, step?: string) => setHistory((before) => change(before, next, step));

  // From the first change on everything is kept, also that it was undone.
  const touched = useRef(kept !== undefined);
  useEffect(() => {
    if (drill === start.drill && !touched.current) return;
    touched.current = true;
    const at = Date.now();
    void keepDraft(draftName, { drill, basedOn, at }).then(() => setKeptAt(at));
  }, [draftName, drill, basedOn, start]);

  const listed = useQuery(drillsQuery);
  // A drill that is saved already keeps its name.
  const taken = basedOn === null && (listed.data ?? []).some(({ document }) => document.slug === drill.slug);
  const problems = [...problemsOf(drill), ...(taken ? [TITLE_TAKEN] : [])];
  const missing = problemsInWords(problems);
  const ready = problems.length === 0;
  const stage = part === 'base' ? drill.stages.length : part;
  const view = shown(drill, part);
  // The stroke can be played before the text is written.
  const playable = problems.every(({ field }) => /title$|^slug|^purpose|^advice|^targets/.test(field));
  const position = playable && isPositionDrill(view) ? view : undefined;
  const { on } = chooseShipped(drill.table);
  const plan = useQuery({ ...planQuery(position, on), placeholderData: (before) => before });
  const current = position === undefined ? undefined : plan.data;
  const playback = usePlayback(current);

  async function save() {
    setFailure(undefined);
    try {
      const document = drillSchema.validateSync(drill);
      await call('PUT', `/drills/${document.slug}`, { document, basedOn });
      await dropDraft(draftName);
      await queries.invalidateQueries({ queryKey: drillsQuery.queryKey });
      await navigate(`/drills/${document.slug}`);
    } catch (error) {
      setFailure(error instanceof Error ? error.message : 'the save failed');
    }
  }

  async function startAgain() {
    await dropDraft(draftName);
    touched.current = false;
    setBasedOn(start.basedOn);
    setHistory((before) => change(before, start.drill, undefined));
    setKeptAt(undefined);
  }

  function key(event: KeyboardEvent) {
    const preset = TABLE_PRESETS[drill.table];
    const ball = layOutWhatCan(view, preset).find((each) => each.id === selected);
    const to = ball && arrowStep(event, ball, preset.length);
    if (to !== undefined) {
      edit(placeBall(drill, part, selected, placeFor(drill, part, selected, to, false)));
      event.preventDefault();
    }
    if (event.key === 'n') {
      const index = view.balls.findIndex((each) => each.id === selected);
      setSelected(view.balls[(index + 1) % view.balls.length]?.id ?? '');
    }
  }

  function pageKey(event: KeyboardEvent) {
    const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
    if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    setHistory(event.shiftKey ? redo : undo);
    event.preventDefault();
  }

  const panel = { drill, edit };
  return (
    <div className="designer" onKeyDown={pageKey} role="presentation">
      <div>
        <Title order={1} className="visually-hidden">
          Designer
        </Title>
        <Group align="end" gap={8} mb={6} wrap="nowrap">
          <TextInput
            label="Title"
            style={{ flex: 1 }}
            value={drill.title}
            onChange={(event) => edit(withTitle(drill, event.currentTarget.value, basedOn !== null), 'title')}
          />
          <UndoRedo
            size="sm"
            past={history.past}
            future={history.future}
            onUndo={() => setHistory(undo)}
            onRedo={() => setHistory(redo)}
          />
          <Button disabled={!ready} onClick={() => void save()}>
            {basedOn === null ? 'Save' : `Save as revision ${basedOn + 1}`}
          </Button>
        </Group>
        <DesignerTools
          drill={drill}
          part={part}
          tool={tool}
          snap={snap}
          onPart={setPart}
          onTool={setTool}
          onSnap={setSnap}
        />
        <DesignerTable
          drill={drill}
          part={part}
          tool={tool}
          snap={snap}
          plan={current}
          stage={stage}
          positions={playback.positions}
          selected={selected}
          onSelect={setSelected}
          onEdit={edit}
          onKey={key}
        />
        {current !== undefined && <LineKey cueBall objectBall window wanted />}
        <Group justify="space-between" mt={4} align="start" wrap="nowrap">
          <div role="status" aria-label="What is missing" style={{ flex: 1 }}>
            {missing.slice(0, SHOWN).map((words) => (
              <Text key={words} size="sm" c="var(--jr-coral-text)">
                {words}
              </Text>
            ))}
            {missing.length > SHOWN && (
              <Text size="sm" c="dimmed">
                and {missing.length - SHOWN} more
              </Text>
            )}
            {playable && plan.isError && position !== undefined && (
              <Text size="sm" c="var(--jr-coral-text)">
                {plan.error.message}
              </Text>
            )}
            {ready && !plan.isError && <Text size="sm">Everything is there.</Text>}
          </div>
          <Text size="sm" c="dimmed">
            {keptAt === undefined
              ? 'Nothing to keep yet'
              : `Draft kept here at ${clock(new Date(keptAt).toISOString())}`}
          </Text>
        </Group>
        {failure !== undefined && (
          <Alert color="coral" variant="outline" title="Not saved; your draft is kept" mt={6}>
            {failure}
          </Alert>
        )}
        {keptAt !== undefined && (
          <Button mt={6} size="xs" variant="default" onClick={() => void startAgain()}>
            {start.basedOn === null ? 'Start afresh' : 'Back to the saved text'}
          </Button>
        )}
      </div>
      <Tabs defaultValue="balls" keepMounted={false}>
        <Tabs.List grow>
          {['balls', 'task', 'rules', 'stages', 'text', 'try'].map((name) => (
            <Tabs.Tab key={name} value={name} px={8}>
              {name.charAt(0).toUpperCase() + name.slice(1)}
            </Tabs.Tab>
          ))}
        </Tabs.List>
        <Tabs.Panel value="balls" pt={8}>
          <BallsPanel {...panel} part={part} selected={selected} onSelect={setSelected} />
        </Tabs.Panel>
        <Tabs.Panel value="task" pt={8}>
          <TaskPanel {...panel} />
          <StrokePart {...panel} onPlay={playback.play} ready={current !== undefined} shot={current?.shot} />
        </Tabs.Panel>
        <Tabs.Panel value="rules" pt={8}>
          <RulesPanel {...panel} />
        </Tabs.Panel>
        <Tabs.Panel value="stages" pt={8}>
          <StagesPanel {...panel} onPart={setPart} />
        </Tabs.Panel>
        <Tabs.Panel value="text" pt={8}>
          <TextPanel {...panel} />
        </Tabs.Panel>
        <Tabs.Panel value="try" pt={8}>
          <TryPanel drill={playable ? drill : undefined} stage={stage} on={on} />
        </Tabs.Panel>
      </Tabs>
    </div>
  );
}
