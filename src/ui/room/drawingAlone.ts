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

/** A drawing of the page with its look on itself: it needs neither the page nor its styles. */
export function drawingAlone(svg: SVGSVGElement): SVGSVGElement {
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
  for (const name of ['class', 'role', 'tabindex', 'aria-label']) copy.removeAttribute(name);
  return copy;
}
