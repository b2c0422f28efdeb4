const SVG_NAMESPACE = 'http://www.w3.org/2000/svg';
const PAPER = '#FFFDF8';

/** A chart on the page as a picture that stands alone: its own size, paper behind it, a title, figures in common faces. */
export function chartFile(chart: SVGSVGElement, title: string): string {
  const copy = chart.cloneNode(true) as SVGSVGElement;
  const { width, height } = chart.getBoundingClientRect();
  copy.setAttribute('xmlns', SVG_NAMESPACE);
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  copy.setAttribute('viewBox', `0 0 ${Math.round(width)} ${Math.round(height)}`);
  copy.removeAttribute('style');
  const heading = document.createElementNS(SVG_NAMESPACE, 'title');
  heading.textContent = title;
  const paper = document.createElementNS(SVG_NAMESPACE, 'rect');
  paper.setAttribute('width', '100%');
  paper.setAttribute('height', '100%');
  paper.setAttribute('fill', PAPER);
  copy.prepend(heading, paper);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}
