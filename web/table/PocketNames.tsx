import { pocketWords } from '../words/places.ts';
import { useWords } from '../words/useWords.ts';
import { useProjection } from './context.ts';
import { Halo } from './marks.tsx';

/** How far from a pocket its name stands, towards the middle of the table, metres. */
const INSIDE = 0.13;

/** The pockets' names beside them: for a drawing beside words that talk of them. */
export function PocketNames() {
  const { vocabulary } = useWords();
  const projection = useProjection();
  const { table, width, height } = projection;
  return table.pockets.map(({ name, mouth }) => {
    const isEnd = !name.startsWith('middle');
    const towards = (at: number, size: number) => (at < size / 2 ? at + INSIDE : at - INSIDE);
    const x = isEnd ? towards(mouth.x, table.length) : mouth.x;
    const [u, v] = projection.toDrawing({ x, y: towards(mouth.y, table.width) });
    const size = Math.max(width, height) / 55;
    const text = pocketWords(name, vocabulary);
    return <Halo key={name} x={u} y={v} size={size} text={text} middle />;
  });
}
