import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drillSchema, type Drill } from '../records/drill.ts';
import { COUNTING_METHODS } from '../records/drillText/counting.ts';
import { TASK_KINDS } from '../records/drillText/task.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { blankDrill, FIRST_SCORING, firstScoring, firstTask, nextStage, readDraft, slugOf } from './draft.ts';
import { methodsOf } from './methodsOf.ts';
import { problemsOf } from './problems.ts';
import { roundProgress } from './round.ts';

const named = (change: Partial<Drill> = {}): Drill => ({
  ...blankDrill('pool-9ft'),
  title: 'Slack water',
  slug: 'slack-water',
  purpose: 'Something.',
  ...change,
});
const fields = (drill: Drill) => problemsOf(drill).map(({ field }) => field);

describe('what keeps a drill from being used', () => {
  it('is nothing for the drills that ship', () => {
    for (const name of readdirSync('library')) {
      const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${name}`, 'utf8')));
      expect(problemsOf(drill), name).toEqual([]);
    }
  });

  it.each(PRESET_IDS)('is only what a coach must write, in a new drill for %s', (id) => {
    const missing = ['slug', 'title', 'purpose'];
    expect([...new Set(fields(blankDrill(id)))].sort()).toEqual(missing.sort());
    expect(fields({ ...named(), table: id, balls: blankDrill(id).balls, task: blankDrill(id).task })).toEqual(
      [],
    );
  });

  it.each([
    ['a ball that is not there', { task: firstTask('position', ['1', '7']) }, 'task.next.ball', '7'],
    [
      'a thickness of a ball that is not there',
      { targets: [{ kind: 'thickness', ball: '9', from: 0.4, to: 0.6 }] },
      'targets[0]',
      'no ball 9',
    ],
    [
      'a ball that is placed and racked',
      {
        balls: named().balls.filter(({ id }) => id !== '2'),
        rack: { kind: 'nine' },
      },
      'rack',
      'ball 1 is placed and racked',
    ],
    [
      'a ball that is placed and thrown',
      {
        thrown: {
          balls: ['2', '3'],
          area: { from: { along: 0.1, across: 0.1 }, to: { along: 0.9, across: 0.9 } },
          apart: 1,
        },
      },
      'thrown',
      'ball 2 is thrown and placed',
    ],
    [
      'a count of something else than the task asks for',
      { scoring: FIRST_SCORING['break-score'] },
      'scoring',
      'break score does not count',
    ],
    ['no planned stroke', { plan: null }, 'plan', 'planned stroke'],
    ['nowhere to land', { task: firstTask('land', ['1']) }, 'targets', 'where the cue ball should stop'],
    [
      'targets that count nothing',
      {
        targets: [
          {
            kind: 'rectangle',
            from: { along: 0.1, across: 0.1 },
            to: { along: 0.2, across: 0.2 },
            points: 1,
          },
        ],
      },
      'targets',
      'count nothing here',
    ],
    ['no bands', { stages: [{ ...named().stages[0]!, bands: [] }] }, 'stages[0].bands', 'no landing'],
    [
      'an order of a ball that is not there',
      {
        task: { kind: 'clear', order: { kind: 'listed', balls: ['1', '2', '9'] } },
        scoring: FIRST_SCORING['balls-made'],
      },
      'task.order',
      'no ball 9',
    ],
    [
      'two balls at one place',
      { balls: [...named().balls, { id: '3', at: { share: { along: 0.8, across: 0.7 } } }] },
      'balls',
      'ball 3: overlaps ball 1',
    ],
    [
      'a ball off the cloth',
      { balls: [...named().balls, { id: '3', at: { share: { along: 0.3, across: 0.001 } } }] },
      'balls',
      'outside the cushions',
    ],
    [
      'rings on a spot that the table does not have',
      {
        task: firstTask('land', ['1']),
        targets: [{ kind: 'rings', at: { spot: 'blue' }, rings: [{ radius: 2, points: 1 }] }],
      },
      'targets',
      'no such spot',
    ],
    [
      'diamonds on a table without',
      {
        alsoOn: ['snooker-12ft' as const],
        balls: [...named().balls, { id: '3', at: { diamonds: { along: 2, across: 1 } } }],
      },
      'balls',
      'no diamonds',
    ],
  ] as const)('is named for %s', (_, change, field, words) => {
    const problems = problemsOf(named(change as unknown as Partial<Drill>));
    expect(problems).toHaveLength(1);
    expect(problems[0]!.field).toBe(field);
    expect(problems[0]!.words).toContain(words);
  });

  it('looks at every stage and at every kind of table', () => {
    const stage = { ...named().stages[0]!, title: 'Crowded' };
    const moved = [{ id: '2', at: { share: { along: 0.8, across: 0.7 } } }];
    const problems = problemsOf(
      named({ alsoOn: ['pool-7ft'], stages: [named().stages[0]!, { ...stage, moved }] }),
    );
    expect(problems.map(({ words }) => words)).toEqual([
      'balls on the 9-ft pool, Crowded: ball 2: overlaps ball 1',
      'balls on the 7-ft pool, Crowded: ball 2: overlaps ball 1',
    ]);
  });
});

describe('a draft that was kept', () => {
  it('is read though something is still missing', () => {
    const draft = blankDrill('pool-9ft');
    expect(readDraft(JSON.parse(JSON.stringify(draft)))).toEqual(draft);
    const stage = nextStage(draft);
    const longer = { ...draft, stages: [...draft.stages, stage], skills: [], advice: [''] };
    expect(readDraft(longer)).toEqual(longer);
    expect(readDraft(named())).toEqual(named());
  });

  it.each([
    ['nothing', undefined],
    ['null', null],
    ['a text', 'draft'],
    ['an empty thing', {}],
    ['a drill without a task', { ...blankDrill('pool-9ft'), task: undefined }],
    ['a drill of no family', { ...blankDrill('pool-9ft'), family: 'dancing' }],
    ['a drill whose title is a number', { ...blankDrill('pool-9ft'), title: 7 }],
    ['a drill of another time', { ...blankDrill('pool-9ft'), version: 9 }],
  ])('is not read from %s', (_, value) => {
    expect(readDraft(value)).toBeUndefined();
  });
});

describe('a new drill', () => {
  it('can be counted in every way with the settings that it begins with', () => {
    for (const method of COUNTING_METHODS) {
      const scoring = FIRST_SCORING[method];
      expect(scoring.method).toBe(method);
      // By the first kind of task that it belongs to; breaks are counted at snooker.
      const table = method === 'break-points' ? 'snooker-12ft' : 'pool-9ft';
      const { balls } = blankDrill(table);
      const kind = TASK_KINDS.find((each) =>
        methodsOf({ table, task: firstTask(each, ['1', '2']) }).includes(method),
      );
      if (kind === undefined) throw new Error(`${method} belongs to no task`);
      const ids = balls.map(({ id }) => id).filter((id) => id !== 'cue');
      const drill = named({ table, balls, scoring, task: firstTask(kind, ids) });
      expect(problemsOf(drill)).toEqual([]);
      expect(roundProgress(drill, 1, []).result.complete).toBe(false);
    }
  });

  it('gives away points in a kick at snooker, by the rules, and none of a foul’s value elsewhere', () => {
    expect(firstScoring('kick', blankDrill('snooker-12ft'))).toMatchObject({ penalty: 4 });
    expect(firstScoring('kick', blankDrill('pool-9ft'))).toEqual(FIRST_SCORING.kick);
    expect(firstScoring('lives', blankDrill('snooker-12ft'))).toEqual(FIRST_SCORING.lives);
  });

  it('can ask for everything that a drill can ask for', () => {
    for (const kind of TASK_KINDS) {
      const task = firstTask(kind, ['1', '2']);
      expect(task.kind).toBe(kind);
      const [usual] = methodsOf({ table: 'pool-9ft', task });
      const scoring = FIRST_SCORING[usual!];
      expect(fields(named({ task, scoring })).filter((field) => field !== 'targets')).toEqual([]);
    }
  });

  it('gets a stage more like its last one, without a title', () => {
    const drill = named();
    expect(nextStage(drill)).toEqual({ ...drill.stages[0], title: '' });
    expect(fields({ ...drill, stages: [...drill.stages, nextStage(drill)] })).toContain('stages[1].title');
  });

  it.each([
    ['Slack water', 'slack-water'],
    ['  Où va-t-elle? ', 'ou-va-t-elle'],
    ['Nine & Eight, 2nd try', 'nine-eight-2nd-try'],
    ['...', ''],
    ['New!', 'new-drill'],
    ['a'.repeat(80), 'a'.repeat(60)],
    [`${'b'.repeat(59)} c`, 'b'.repeat(59)],
  ])('called %j has the address %j', (title, slug) => {
    expect(slugOf(title)).toBe(slug);
  });
});
