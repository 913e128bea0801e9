import { formatLength } from '../measure/formatLength';
import { parseLength } from '../measure/parseLength';
import { fromMm, type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';
import type { QuickRoom } from './parseQuickLine';
import type { Opening } from './schema';
import { wallsOf } from './walls';

/**
 * Writes a room as the line that `parseQuickLine` reads back into the same room.
 *
 * @example formatQuickLine(room, 'in')  // `Pantry: 7'6 x 5' x 8', door 28x80 wall 2`
 */
export function formatQuickLine(room: QuickRoom, unit: LengthUnit): string {
  const walls = wallsOf(room.outline, unit);
  const feet = (mm: number) => (unit === 'mm' ? String(fromMm(mm, 'mm')) : shortFeet(mm));
  const sizes = [walls[0]?.length ?? 0, walls[1]?.length ?? 0, toMm(room.height, unit)].map(feet).join(' x ');
  const items = room.openings.map((opening) => openingText(opening, walls[opening.wall]?.length ?? 0, unit));
  return [
    `${room.name}: ${sizes}`,
    ...items,
    ...(room.finish?.level === undefined ? [] : [`level ${room.finish.level}`]),
    ...(room.level === 'Ground floor' ? [] : [`on ${room.level}`]),
    ...(room.ceiling.shape === 'flat' ? [] : [`ceiling ${room.ceiling.shape}`]),
    ...(room.hang?.ceiling === undefined ? [] : [`ceiling ${room.hang.ceiling}`]),
    ...(room.hang?.walls === undefined ? [] : [`walls ${room.hang.walls}`]),
  ].join(', ');
}

/** `12'4 1/2`: as short as it reads back; what sixteenths cannot say stays decimal inches. */
function shortFeet(mm: number): string {
  const text = formatLength(mm, 'in').replace("' ", "'").replace(/"$/, '');
  const reading = parseLength(text, 'in');
  return reading.ok && Math.abs(reading.mm - mm) <= TOLERANCE_MM ? text : String(fromMm(mm, 'in'));
}

function openingText(opening: Opening, wallLength: number, unit: LengthUnit): string {
  const middle = (wallLength - toMm(opening.width, unit)) / 2;
  return [
    `${opening.kind} ${opening.width}x${opening.height}`,
    opening.sill === 0 && opening.kind !== 'window' ? '' : `@${opening.sill}`,
    `wall ${opening.wall + 1}`,
    Math.abs(toMm(opening.at, unit) - middle) <= TOLERANCE_MM
      ? ''
      : `at ${unit === 'in' ? inchesText(opening.at) : opening.at}`,
    opening.edge === 'casing' ? '' : opening.edge,
    opening.depth === undefined ? '' : `depth ${opening.depth}`,
  ]
    .filter(Boolean)
    .join(' ');
}

const inchesText = (inches: number): string =>
  Number.isInteger(inches) && inches >= 12 ? shortFeet(toMm(inches, 'in')) : String(inches);
