import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { atStage } from '../../core/drill/stage.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION, type LevelName } from '../../core/player/levels.ts';
import type { AttemptLog } from '../../core/records/attempt.ts';
import { parseDemoRounds, type DemoRound } from '../../core/records/demoRound.ts';
import type { Drill } from '../../core/records/drill.ts';
import { tableOfCard, type TableCard } from '../../core/table/card.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { virtualRounds, wholeRound } from '../../core/virtual/playRound.ts';
import { digestOf } from '../drills/library.ts';
import { clearanceLog, logOfOutcome } from './logs.ts';

/** A drill of the demo, who plays it and on which table. */
export interface DemoCourse {
  readonly document: Drill;
  readonly card: TableCard;
  readonly level: LevelName;
}

/** The demo's rounds that ship. @param folder where their file lies */
export async function readDemoRounds(folder: string): Promise<readonly DemoRound[]> {
  return parseDemoRounds(await readFile(path.join(folder, 'demo-rounds.jsonl'), 'utf8'));
}

/** What tells rounds apart: what was played where, by whom, on which throw, and by which physics. */
export function roundHead({ document, card, level }: DemoCourse, seed: number): Omit<DemoRound, 'logs'> {
  return {
    drill: document.slug,
    digest: digestOf(document),
    tableFingerprint: tableFingerprint(tableOfCard(card, null)),
    modelVersion: MODEL_VERSION,
    levelVersion: LEVEL_TABLE_VERSION,
    level,
    seed,
  };
}

/** The round of that head; undefined where it is not there. */
export function roundIn(
  rounds: readonly DemoRound[],
  { drill, digest, tableFingerprint: on, modelVersion, levelVersion, level, seed }: Omit<DemoRound, 'logs'>,
): DemoRound | undefined {
  return rounds.find(
    (round) =>
      round.drill === drill &&
      round.digest === digest &&
      round.tableFingerprint === on &&
      round.modelVersion === modelVersion &&
      round.levelVersion === levelVersion &&
      round.level === level &&
      round.seed === seed,
  );
}

/** Plays rounds of the first stage of a drill, planned once for all of them. */
export function demoPlayer(course: DemoCourse): (seed: number) => DemoRound {
  const { document, card, level } = course;
  const rounds = virtualRounds(document, { stage: 1, ladderStart: 0 }, tableOfCard(card, null), level);
  const isClearance = atStage(document, 1).task.kind === 'clear';
  return (seed) => {
    const logs = wholeRound(rounds, seed).attempts.map((outcome, i): AttemptLog => {
      const log = logOfOutcome(outcome, i);
      return isClearance ? clearanceLog(outcome, log) : log;
    });
    return { ...roundHead(course, seed), logs };
  };
}

/** A round that ships, where it is of this text, table and physics; else it is played now. */
export function roundsOf(
  course: DemoCourse,
  shipped: readonly DemoRound[],
): (seed: number) => readonly AttemptLog[] {
  let play: ((seed: number) => DemoRound) | undefined;
  return (seed) => {
    const there = roundIn(shipped, roundHead(course, seed));
    if (there !== undefined) return there.logs;
    play ??= demoPlayer(course);
    return play(seed).logs;
  };
}
