import { drawingAlone } from './drawingAlone';

const NAMESPACE = 'http://www.w3.org/2000/svg';
const PAGE = { width: 1200, margin: 48, picture: 820 } as const;
const ROW = 30;
const INK = '#2b2118';

/** What stands on the sheet of a room beside its picture. */
export interface SheetWords {
  readonly title: string;
  readonly below: string;
  /** What is counted: its name, how many pieces, how much. */
  readonly rows: readonly (readonly [string, string, string])[];
  readonly note: string | undefined;
}

/** The sheet of a room on one page, as text that needs neither the page nor its styles: picture, tally, note. */
export function sheetSvg(picture: SVGSVGElement, { title, below, rows, note }: SheetWords): string {
  const { width, margin } = PAGE;
  const page = document.createElementNS(NAMESPACE, 'svg');
  const write = (words: string, x: number, y: number, size: number, more: Readonly<Record<string, string>> = {}) => {
    const text = document.createElementNS(NAMESPACE, 'text');
    set(text, { x, y, 'font-size': size, fill: INK, ...more });
    text.textContent = words;
    page.append(text);
  };
  write(title, margin, 76, 40, { 'font-weight': '700' });
  write(below, margin, 112, 22);
  const drawing = drawingAlone(picture);
  set(drawing, { x: margin, y: 136, width: width - 2 * margin, height: PAGE.picture });
  page.append(drawing);
  let y = 136 + PAGE.picture + 56;
  for (const [name, count, amount] of rows) {
    write(name, margin, y, 20);
    write(count, 420, y, 20, { 'text-anchor': 'end' });
    write(amount, 590, y, 20, { 'text-anchor': 'end' });
    y += ROW;
  }
  const beside = 136 + PAGE.picture + 56;
  const lines = note === undefined ? [] : inLines(note, 42);
  for (const [index, line] of lines.entries()) write(line, 660, beside + index * ROW, 22);
  const height = Math.max(y, beside + lines.length * ROW) + margin;
  set(page, { xmlns: NAMESPACE, width, height, viewBox: `0 0 ${width} ${height}`, 'font-family': 'sans-serif' });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${page.outerHTML}\n`;
}

function set(element: Element, values: Readonly<Record<string, string | number>>): void {
  for (const [name, value] of Object.entries(values)) element.setAttribute(name, String(value));
}

/** Words in lines of so many characters; a longer word has a line of its own. */
export function inLines(text: string, most: number): readonly string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
