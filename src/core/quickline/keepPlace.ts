import { type LengthUnit, TOLERANCE_MM } from '../measure/unit';
import type { Room } from '../room/schema';
import { isRectangle, type Wall, wallsOf } from '../room/walls';
import { frameOf } from './roomFrame';

type Placed = Pick<Room, 'outline' | 'columns'>;

/**
 * What a line says of a room put where the room stands: with the same walls the outline stays as it was stored; a
 * rectangle keeps its first corner and its turn on the plan, any other shape its first corner. Columns go along.
 *
 * @example keepPlace({ outline: [[5, 5], [9, 5], …] }, { outline: [[0, 0], [6, 0], [6, 3], [0, 3]] }, 'mm')
 *   // { outline: [[5, 5], [11, 5], [11, 8], [5, 8]] }
 */
export function keepPlace(stored: Placed, said: Placed, unit: LengthUnit): Placed {
  const [old, next] = [wallsOf(stored.outline, unit), wallsOf(said.outline, unit)];
  const rectangles = isRectangle(old) && isRectangle(next);
  const frame = rectangles || !isRectangle(old) ? frameOf(stored.outline, unit) : shiftOnly(stored.outline, unit);
  const own = frameOf(said.outline, unit);
  const moved = (point: readonly [number, number]) => frame.toPlan(own.toLine(point));
  return {
    outline: sameWalls(old, next, rectangles) ? stored.outline : said.outline.map(moved),
    ...(said.columns && { columns: said.columns.map((column) => ({ ...column, outline: column.outline.map(moved) })) }),
  };
}

/** A rectangle that became another shape keeps its first corner only. */
function shiftOnly(outline: Room['outline'], unit: LengthUnit) {
  const [x, y] = frameOf(outline, unit).toPlan([0, 0]);
  return { toPlan: ([dx, dy]: readonly [number, number]): [number, number] => [x + dx, y + dy] };
}

/** Whether walls have the same lengths and, unless it is told by those alone, the same directions. */
function sameWalls(old: readonly Wall[], next: readonly Wall[], turned: boolean): boolean {
  return (
    old.length === next.length &&
    old.every((wall, index) => {
      const other = next[index];
      if (!other || Math.abs(wall.length - other.length) > TOLERANCE_MM) return false;
      return turned || Math.hypot(wall.along[0] - other.along[0], wall.along[1] - other.along[1]) < 1e-4;
    })
  );
}
