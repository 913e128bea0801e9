import DxfParser from 'dxf-parser';
import type { Point } from '../measure/vector';

/** The units that drawings are made in. */
export const DRAWING_UNITS = ['in', 'ft', 'mm', 'cm', 'm'] as const;
export type DrawingUnit = (typeof DRAWING_UNITS)[number];

/** A line of a drawing: straight from point to point, bent ones in short straight steps; in the drawing's unit, y up. */
export interface DrawnLine {
  readonly layer: string;
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** Writing on a drawing, where it begins. */
export interface DrawnText {
  readonly text: string;
  readonly at: Point;
  readonly height: number;
}

/** What of a drawing may be rooms. */
export interface Drawing {
  /** What the drawing says that it is in. */
  readonly unit: DrawingUnit | undefined;
  readonly lines: readonly DrawnLine[];
  readonly texts: readonly DrawnText[];
  /** What is there besides, by its kind and layer: how often. */
  readonly others: readonly { readonly kind: string; readonly layer: string; readonly count: number }[];
}

export type DrawingRead =
  | { readonly ok: true; readonly drawing: Drawing }
  | { readonly ok: false; readonly reason: string };

/** A drawing of a whole house has a few megabytes; what is larger would take the memory of a phone. */
export const MOST_DXF_BYTES = 32_000_000;
/** A bend is walked in steps of at most so many degrees. */
const STEP_DEGREES = 10;
/** Units by the number that a drawing says. */
const UNITS: Readonly<Record<number, DrawingUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };

/**
 * Reads a drawing in DXF text.
 *
 * @returns what may be rooms, or why it cannot be read
 */
export function readDxf(text: string): DrawingRead {
  if (text.length > MOST_DXF_BYTES) return refused('is larger than 32 MB: keep the layer with the rooms only');
  if (text.includes('\0')) return refused('is binary: save it as DXF text');
  if (text.trim() === '') return refused('is empty');
  if (!/^\s*(?:999\b|0\s*\n\s*SECTION)/.test(text.slice(0, 5000)))
    return refused('is no DXF text: it does not begin with a section');
  let parsed: ReturnType<DxfParser['parseSync']>;
  try {
    parsed = new DxfParser().parseSync(text);
  } catch {
    return refused('ends in the middle, or is broken: it cannot be read to its end');
  }
  if (!parsed) return refused('holds nothing');
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  const others = new Map<string, { kind: string; layer: string; count: number }>();
  for (const entity of parsed.entities as readonly Entity[]) {
    const layer = entity.layer ?? '0';
    // Without one of its corners a room would be another room.
    if (isLine(entity) && !(entity.vertices ?? []).every(isPlace))
      return refused(`has a corner on layer ${layer} whose coordinates can’t be read`);
    const points = pointsOf(entity);
    if (points) lines.push({ layer, ...points });
    else if ((entity.type === 'TEXT' || entity.type === 'MTEXT') && entity.text) {
      const at = entity.startPoint ?? entity.position;
      const words = plainText(entity.text);
      if (at && isPlace(at) && words)
        texts.push({ text: words, at: [at.x, at.y], height: entity.textHeight ?? entity.height ?? 0 });
    } else {
      const key = `${entity.type} ${layer}`;
      const known = others.get(key) ?? { kind: entity.type, layer, count: 0 };
      known.count += 1;
      others.set(key, known);
    }
  }
  const said = parsed.header?.$INSUNITS;
  return {
    ok: true,
    drawing: {
      unit: typeof said === 'number' ? UNITS[said] : undefined,
      lines,
      texts,
      others: [...others.values()],
    },
  };
}

/** What the parser gives, as far as it is looked at. */
interface Entity {
  readonly type: string;
  readonly layer?: string;
  readonly shape?: boolean;
  readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
  readonly text?: string;
  readonly startPoint?: { readonly x: number; readonly y: number };
  readonly position?: { readonly x: number; readonly y: number };
  readonly textHeight?: number;
  readonly height?: number;
}

const isLine = ({ type }: Entity): boolean => type === 'LWPOLYLINE' || type === 'POLYLINE' || type === 'LINE';
const refused = (reason: string): DrawingRead => ({ ok: false, reason });
const isPlace = ({ x, y }: { readonly x: number; readonly y: number }): boolean =>
  Number.isFinite(x) && Number.isFinite(y);

/** A polyline, or a single line; nothing for what is neither. */
function pointsOf(entity: Entity): Pick<DrawnLine, 'points' | 'closed'> | undefined {
  if (!isLine(entity)) return undefined;
  const { vertices: own = [], shape } = entity;
  const points: Point[] = [];
  for (const [index, { x, y, bulge = 0 }] of own.entries()) {
    points.push([x, y]);
    const next = own[index + 1] ?? (shape ? own[0] : undefined);
    if (next && bulge !== 0 && Number.isFinite(bulge)) points.push(...bent([x, y], [next.x, next.y], bulge));
  }
  return { points, closed: shape === true };
}

/** The points between the ends of a bend; a bulge is the tangent of a quarter of its angle, positive to the left. */
function bent([x0, y0]: Point, [x1, y1]: Point, bulge: number): readonly Point[] {
  const sweep = 4 * Math.atan(bulge);
  const [dx, dy] = [x1 - x0, y1 - y0];
  // From the middle of the chord to the centre of the bend.
  const off = (1 - bulge * bulge) / (4 * bulge);
  const [cx, cy] = [(x0 + x1) / 2 - dy * off, (y0 + y1) / 2 + dx * off];
  const steps = Math.max(2, Math.ceil(Math.abs((sweep * 180) / Math.PI) / STEP_DEGREES));
  return Array.from({ length: steps - 1 }, (_, index): Point => {
    const turn = (sweep * (index + 1)) / steps;
    const [rx, ry] = [x0 - cx, y0 - cy];
    return [cx + rx * Math.cos(turn) - ry * Math.sin(turn), cy + rx * Math.sin(turn) + ry * Math.cos(turn)];
  });
}

/** Writing without what sets it: `\fserif|b0;Kitchen\P12 m²` is "Kitchen 12 m²". */
const plainText = (text: string): string =>
  text
    .replace(/\\P/g, ' ')
    .replace(/\\[A-Za-z][^;\\{}]*;/g, '')
    .replace(/[{}]/g, '')
    .replace(/%%[a-z]/gi, '')
    .replace(/\s+/g, ' ')
    .trim();
