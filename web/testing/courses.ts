import { readFileSync } from 'node:fs';
import { planShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { drillSchema } from '../../core/records/drill.ts';
import type { Course } from '../../core/scoring/course.ts';
import { buildTable } from '../../core/table/table.ts';

/** What a round of a drill of the library is played by, on the table it was made for. */
export function courseOf(slug: string, stage = 1): Course {
  const drill = atStage(
    drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))),
    stage,
  );
  const table = buildTable(drill.table);
  const plan = isPositionDrill(drill) ? planShot(drill, table) : undefined;
  return { counting: { drill, stage, preset: table.preset, plan }, ladderStart: 0 };
}
