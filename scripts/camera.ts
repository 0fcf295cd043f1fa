import { parseArgs } from 'node:util';
import { serve } from '@hono/node-server';
import { MadeUpCamera } from '../core/camera/madeUp.ts';
import { plannedStroke } from '../core/drill/plannedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { ballsOfSetUp, setUp } from '../core/drill/setUp.ts';
import { atStage } from '../core/drill/stage.ts';
import { executed } from '../core/player/execute.ts';
import { executionErrorOf, LEVEL_NAMES } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { buildTable } from '../core/table/table.ts';
import { PRESET_IDS } from '../core/table/preset.ts';
import { readLibrary } from '../server/drills/library.ts';
import { ballAt, cameraApp } from './camera/cameraApp.ts';
import { LineMaker } from './camera/makeLines.ts';
import { Scene } from './camera/scene.ts';
import { leaveWith, say, StartError } from './lib/report.ts';

/** Between the set-up and the stroke, and after the balls rest, seconds. */
const BEFORE = 4;
const AFTER = 6;

const USE = `npm run camera -- [--port 4620] [--drill harbour-turn --stage 1 --level team | --table pool-9ft]
  faults: --noise 3 (mm) --lag 0.5 (s) --drop-outs 0.1 --garbage 0.05 (shares) --swaps 4 --blind 4 (a minute) --ghosts 0.1 --seed 1`;

/** A made-up camera over a table, as a program of its own: it plays a drill over and over, or what it is told to play. */
try {
  const number = { type: 'string' } as const;
  const { values } = parseArgs({
    options: {
      port: number,
      drill: number,
      stage: number,
      level: number,
      table: number,
      noise: number,
      lag: number,
      'drop-outs': number,
      garbage: number,
      swaps: number,
      blind: number,
      ghosts: number,
      seed: number,
      help: { type: 'boolean' },
    },
  });
  if (values.help === true) throw new StartError(USE);
  const numberOf = (text: string | undefined, otherwise: number, most: number): number => {
    const value = Number(text ?? otherwise);
    if (!(value >= 0 && value <= most))
      throw new StartError(`${String(text)} is not 0 to ${String(most)}.\n${USE}`);
    return value;
  };
  const random = createRandom(numberOf(values.seed, 1, 1e9));
  const slug = values.drill;
  const drills = slug === undefined ? [] : await readLibrary('library');
  const found = drills.find((each) => each.slug === slug);
  if (slug !== undefined && found === undefined) throw new StartError(`There is no drill ${slug}.`);
  const drill = found === undefined ? undefined : atStage(found, numberOf(values.stage, 1, 9));
  const asked = drill?.table ?? values.table ?? 'pool-9ft';
  const preset = PRESET_IDS.find((id) => id === asked);
  if (preset === undefined) throw new StartError(`${asked} is not one of ${PRESET_IDS.join(', ')}.`);
  const table = buildTable(preset);
  const started = Date.now();
  const now = () => (Date.now() - started) / 1000;
  const layout =
    drill === undefined
      ? [ballAt(table, 'cue', 0.3 * table.length, 0.4 * table.width)]
      : ballsOfSetUp(setUp(drill, table.preset, 1));
  const scene = new Scene(layout);
  const camera = new MadeUpCamera(
    table,
    {
      noise: numberOf(values.noise, 2, 50) / 1000,
      dropOuts: numberOf(values['drop-outs'], 0, 1),
      swaps: numberOf(values.swaps, 0, 600),
      blind: numberOf(values.blind, 0, 600),
      ghosts: numberOf(values.ghosts, 0, 1),
    },
    random.fork(1),
  );
  const maker = new LineMaker(
    scene,
    camera,
    { lag: numberOf(values.lag, 0, 4), garbage: numberOf(values.garbage, 0, 1) },
    random.fork(2),
    now,
  );
  maker.start();
  const { app, code } = cameraApp({ table, scene, now, lines: maker.lines });
  const port = numberOf(values.port, 4620, 65_535);
  serve({ fetch: app.fetch, hostname: '127.0.0.1', port }, ({ port: at }) => {
    say(
      `A made-up camera over a ${table.preset.name}: http://127.0.0.1:${String(at)}, code ${code}. Ctrl-C ends it.`,
    );
    process.send?.({ port: at, code });
  });
  if (drill !== undefined && isPositionDrill(drill)) {
    const { shot } = plannedStroke(drill, table);
    const level = LEVEL_NAMES.find((name) => name === (values.level ?? 'team'));
    if (level === undefined)
      throw new StartError(`${String(values.level)} is not one of ${LEVEL_NAMES.join(', ')}.`);
    const error = executionErrorOf(level, table.preset.game);
    const turn = () => {
      scene.set(layout, now());
      setTimeout(() => {
        const seconds = scene.play(executed(shot, error, random), now());
        setTimeout(turn, (seconds + AFTER) * 1000);
      }, BEFORE * 1000);
    };
    turn();
  }
} catch (error) {
  leaveWith(error);
}
