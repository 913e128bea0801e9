/** What of an element's look is its own in a picture that stands alone. */
const LOOK = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'opacity',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
  'paint-order',
  'vector-effect',
] as const;

/** A drawing of the page as text that needs neither the page nor its styles. */
export function standingAlone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')];
  for (const [index, element] of from.entries()) {
    const own = to[index];
    if (!own) continue;
    const style = getComputedStyle(element);
    for (const name of LOOK) {
      const value = style.getPropertyValue(name);
      if (value) own.setAttribute(name, value);
    }
    own.removeAttribute('class');
  }
  const { width = 0, height = 0 } = svg.viewBox.baseVal ?? {};
  copy.removeAttribute('class');
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('font-family', 'sans-serif');
  copy.setAttribute('width', '1200');
  copy.setAttribute('height', String(Math.round((1200 * height) / Math.max(1, width))));
  return `<?xml version="1.0" encoding="UTF-8"?>\n${copy.outerHTML}\n`;
}
