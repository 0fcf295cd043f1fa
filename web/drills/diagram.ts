import { saveAs } from 'file-saver';

/** Width of a diagram as a picture of dots, pixels. */
const PNG_WIDTH = 1600;

/** A drawing of the page as a file of its own: the scheme's colours stand in it as they are shown. */
export function diagramText(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true);
  if (!(copy instanceof SVGSVGElement)) throw new TypeError('diagramText: this is no drawing');
  const { width, height } = drawing.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  copy.setAttribute('font-family', 'sans-serif');
  for (const name of ['class', 'style', 'tabindex']) copy.removeAttribute(name);
  const colours = getComputedStyle(document.documentElement);
  return copy.outerHTML.replaceAll(/var\((--[\w-]+)\)/g, (_, name: string) =>
    colours.getPropertyValue(name).trim(),
  );
}

export function saveSvg(drawing: SVGSVGElement, name: string): void {
  saveAs(new Blob([diagramText(drawing)], { type: 'image/svg+xml' }), `${name}.svg`);
}

export async function savePng(drawing: SVGSVGElement, name: string): Promise<void> {
  const { width, height } = drawing.viewBox.baseVal;
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(diagramText(drawing))}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = PNG_WIDTH;
  canvas.height = Math.round((PNG_WIDTH * height) / width);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (blob !== null) saveAs(blob, `${name}.png`);
}
