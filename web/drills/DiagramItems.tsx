import { Menu } from '@mantine/core';
import { savePng, saveSvg } from './diagram.ts';

/** The drawing of the page: the first is the drill's. */
function drawingOfPage(): SVGSVGElement | undefined {
  return document.querySelector<SVGSVGElement>('svg.table-drawing') ?? undefined;
}

/** Saves the diagram that is shown. @param title name of the file */
export function DiagramItems({ title }: { readonly title: string }) {
  const save = (how: (drawing: SVGSVGElement, name: string) => unknown) => {
    const drawing = drawingOfPage();
    if (drawing !== undefined) void how(drawing, title);
  };
  return (
    <>
      <Menu.Item onClick={() => save(saveSvg)}>Diagram as SVG</Menu.Item>
      <Menu.Item onClick={() => save(savePng)}>Diagram as PNG</Menu.Item>
    </>
  );
}
