const SVG_NAMESPACE = 'http://www.w3.org/2000/svg';
const PAPER = '#FFFDF8';
/** Sharp enough to print. */
const PIXELS_PER_POINT = 2;

/** What a picture gets from the style sheets of the page and would lose without them. */
const CARRIED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'paint-order',
  'opacity',
  'visibility',
  'display',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
] as const;

function carryStyles(from: Element, to: Element): void {
  if (to instanceof SVGElement) {
    const style = window.getComputedStyle(from);
    for (const name of CARRIED) to.style.setProperty(name, style.getPropertyValue(name));
  }
  Array.from(from.children).forEach((child, i) => carryStyles(child, to.children[i]!));
}

/** A drawing of the page as a picture that stands alone: its own size and looks, paper behind it, a title. */
export function svgFile(drawing: SVGSVGElement, title: string): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  carryStyles(drawing, copy);
  const { width, height } = drawing.getBoundingClientRect();
  copy.setAttribute('xmlns', SVG_NAMESPACE);
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  if (!copy.hasAttribute('viewBox'))
    copy.setAttribute('viewBox', `0 0 ${Math.round(width)} ${Math.round(height)}`);
  const heading = document.createElementNS(SVG_NAMESPACE, 'title');
  heading.textContent = title;
  const paper = document.createElementNS(SVG_NAMESPACE, 'rect');
  const [x = '0', y = '0', boxWidth = '100%', boxHeight = '100%'] = (
    copy.getAttribute('viewBox') ?? ''
  ).split(/[\s,]+/);
  Object.entries({ x, y, width: boxWidth, height: boxHeight, fill: PAPER }).forEach(([name, value]) =>
    paper.setAttribute(name, value),
  );
  copy.prepend(heading, paper);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}

/** The same in pixels. */
export async function pngFile(drawing: SVGSVGElement, title: string): Promise<Blob> {
  const { width, height } = drawing.getBoundingClientRect();
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgFile(drawing, title))}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * PIXELS_PER_POINT);
  canvas.height = Math.round(height * PIXELS_PER_POINT);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture could not be drawn.')))),
  );
}
