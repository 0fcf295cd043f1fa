import type { PocketName } from '../../core/table/pockets.ts';
import { pocketWords } from '../words/places.ts';
import { useWords } from '../words/useWords.ts';
import { useProjection } from './context.ts';
import { Halo } from './marks.tsx';

/** How far from a pocket its name stands, towards the middle of the table, metres. */
const INSIDE = 0.13;

/** The pockets' names beside them: for a drawing beside words that talk of them. */
export function PocketNames() {
  const { table } = useProjection();
  return table.pockets.map(({ name }) => <NameOfPocket key={name} name={name} />);
}

/** The name of one pocket, on the cloth beside it. */
export function NameOfPocket({ name }: { readonly name: PocketName }) {
  const { vocabulary } = useWords();
  const projection = useProjection();
  const { table, width, height } = projection;
  const mouth = table.pockets.find((each) => each.name === name)?.mouth;
  if (mouth === undefined) return null;
  const towards = (at: number, size: number) => (at < size / 2 ? at + INSIDE : at - INSIDE);
  const x = name.startsWith('middle') ? mouth.x : towards(mouth.x, table.length);
  const [u, v] = projection.toDrawing({ x, y: towards(mouth.y, table.width) });
  const size = Math.max(width, height) / 55;
  return <Halo x={u} y={v} size={size} text={pocketWords(name, vocabulary)} middle />;
}
