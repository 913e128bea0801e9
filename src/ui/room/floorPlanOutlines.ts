import { type LengthUnit, toMm } from '@/core/measure/unit';
import type { Point } from '@/core/measure/vector';
import type { Room } from '@/core/room/schema';

const GAP_MM = 500;

/** A room's outline where it stands on the floor plan; mm. */
export interface PlacedOutline<Item> {
  readonly item: Item;
  readonly points: readonly Point[];
  /** How far the outline is moved from its own coordinates. */
  readonly shift: Point;
}

/** Rooms with a place stand there; the others follow in a row below. */
export function floorPlanOutlines<Item extends { readonly room: Pick<Room, 'outline' | 'at'> }>(
  items: readonly Item[],
  unit: LengthUnit,
): readonly PlacedOutline<Item>[] {
  const outlines = items.map((item) => ({
    item,
    points: item.room.outline.map(([x, y]): Point => [toMm(x, unit), toMm(y, unit)]),
  }));
  const shifted = (item: Item, points: readonly Point[], [dx, dy]: Point): PlacedOutline<Item> => ({
    item,
    shift: [dx, dy],
    points: points.map(([x, y]): Point => [x + dx, y + dy]),
  });
  const standing = outlines.flatMap(({ item, points }) => {
    const { at } = item.room;
    return at ? [shifted(item, points, [toMm(at[0], unit), toMm(at[1], unit)])] : [];
  });
  const xs = standing.flatMap(({ points }) => points.map(([x]) => x));
  const below = Math.max(0, ...standing.flatMap(({ points }) => points.map(([, y]) => y + GAP_MM)));
  const left = xs.length > 0 ? Math.min(...xs) : 0;
  const widest = Math.max(12_000, ...xs.map((x) => x - left));
  let [x, y, tallest] = [left, below, 0];
  const row = outlines.flatMap(({ item, points }) => {
    if (item.room.at) return [];
    const [x0, y0] = [Math.min(...points.map(([px]) => px)), Math.min(...points.map(([, py]) => py))];
    const wide = Math.max(...points.map(([px]) => px)) - x0;
    if (x > left && x + wide > left + widest) [x, y, tallest] = [left, y + tallest + GAP_MM, 0];
    const placed = shifted(item, points, [x - x0, y - y0]);
    x += wide + GAP_MM;
    tallest = Math.max(tallest, Math.max(...points.map(([, py]) => py)) - y0);
    return [placed];
  });
  return [...standing, ...row];
}
