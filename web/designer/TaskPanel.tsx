import { CallTask } from './task/CallTask.tsx';
import { SafetyTask } from './task/SafetyTask.tsx';
import { DoubleTask } from './task/DoubleTask.tsx';
import { PlantTask } from './task/PlantTask.tsx';
import { KickTask } from './task/KickTask.tsx';
import { BreakTask } from './task/BreakTask.tsx';
import { ClearTask } from './task/ClearTask.tsx';
import { LandTask } from './task/LandTask.tsx';
import { PositionTask } from './task/PositionTask.tsx';
import { Stack } from '@mantine/core';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import { judgesLeave, opponentLevel } from '../../core/player/opponent.ts';
import { firstScoring, firstTask } from '../../core/drill/draft.ts';
import { methodsOf } from '../../core/drill/methodsOf.ts';
import { objectBalls } from '../../core/drill/round.ts';
import type { Drill } from '../../core/records/drill.ts';
import { TASK_KINDS, type TaskKind } from '../../core/records/drillText/task.ts';
import type { PanelProps } from './panel.ts';
import { OneOf } from '../controls/fields.tsx';

type Task = Drill['task'];

const KIND_WORDS: Readonly<Record<TaskKind, string>> = {
  position: 'pot and come on to the next',
  land: 'pot and land in targets',
  clear: 'clear the table',
  break: 'break',
  kick: 'kick to a ball',
  plant: 'pot by way of a ball',
  double: 'pot by way of cushions',
  safety: 'leave nothing',
  call: 'foretell',
};

const FAMILY_OF: Readonly<Record<TaskKind, Drill['family']>> = {
  position: 'position',
  land: 'position',
  clear: 'order',
  break: 'break',
  kick: 'kick',
  plant: 'plant',
  double: 'plant',
  safety: 'safety',
  call: 'judgement',
};

/** Another kind of task, with a count that belongs to it. */
function withTask(drill: Drill, kind: TaskKind): Drill {
  const next = { ...drill, family: FAMILY_OF[kind], task: firstTask(kind, objectBalls(drill)) };
  const methods = methodsOf(next);
  const fits = (scoring: Drill['scoring'] | null) => scoring === null || methods.includes(scoring.method);
  const [usual] = methods;
  return {
    ...next,
    scoring: fits(next.scoring) || usual === undefined ? next.scoring : firstScoring(usual, next),
    stages: next.stages.map((stage) => (fits(stage.scoring) ? stage : { ...stage, scoring: null })),
  };
}

/** What is asked: which kind of task, and what belongs to it. */
export function TaskPanel({ drill, edit }: PanelProps) {
  const { task } = drill;
  const put = (next: Task) => edit({ ...drill, task: next });
  const kinds = TASK_KINDS.map((kind) => KIND_WORDS[kind]);
  return (
    <Stack gap={8}>
      <OneOf
        label="The player is to"
        value={KIND_WORDS[task.kind]}
        values={kinds}
        onChange={(words) => {
          const kind = TASK_KINDS.find((each) => KIND_WORDS[each] === words) ?? 'position';
          edit(withTask(drill, kind));
        }}
      />
      <TaskFields drill={drill} task={task} put={put} edit={edit} />
      {judgesLeave(drill) && (
        <OneOf
          label="The leave is judged by what would be made of it by"
          value={opponentLevel(drill)}
          values={LEVEL_NAMES}
          wordOf={(level) => `a ${level} player`}
          onChange={(opponent) => edit({ ...drill, opponent })}
        />
      )}
    </Stack>
  );
}

interface TaskFieldsProps {
  readonly drill: Drill;
  readonly task: Task;
  readonly put: (task: Task) => void;
  readonly edit: PanelProps['edit'];
}

/** What belongs to a task, one module a kind. */
function TaskFields({ drill, task, put, edit }: TaskFieldsProps) {
  switch (task.kind) {
    case 'position':
      return <PositionTask drill={drill} task={task} put={put} />;
    case 'land':
      return <LandTask drill={drill} task={task} put={put} />;
    case 'clear':
      return <ClearTask drill={drill} task={task} put={put} edit={edit} />;
    case 'break':
      return <BreakTask drill={drill} task={task} put={put} />;
    case 'kick':
      return <KickTask drill={drill} task={task} put={put} />;
    case 'plant':
      return <PlantTask drill={drill} task={task} put={put} />;
    case 'double':
      return <DoubleTask drill={drill} task={task} put={put} />;
    case 'safety':
      return <SafetyTask drill={drill} task={task} put={put} />;
    case 'call':
      return <CallTask drill={drill} task={task} put={put} />;
  }
}
