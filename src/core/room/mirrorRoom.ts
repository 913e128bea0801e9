import { fromMm, type LengthUnit, TOLERANCE_MM } from '../measure/unit';
import { placesIn } from './ids';
import { renumberWalls } from './renumberWalls';
import type { Room } from './schema';
import { turnedOutline } from './turnedOutline';
import { wallsOf } from './walls';

/**
 * A room as its mirror image, left for right: wall 0 stays wall 0, everything on a wall is measured from its other end,
 * and the framing is counted from there too. Mirrored twice it is the same room.
 */
export function mirrorRoom(room: Room, unit: LengthUnit): Room {
  const right = Math.max(...room.outline.map(([x]) => x)) + Math.min(...room.outline.map(([x]) => x));
  const flip = ([x, y]: readonly [number, number]): [number, number] => [tidy(right - x, unit), y];
  const outline = turnedOutline(room.outline.map(flip));
  const count = wallsOf(outline, unit).length;
  const lengths = wallsOf(room.outline, unit).map(({ length }) => fromMm(length, unit));
  const lengthOf = (wall: number) => lengths[wall] ?? 0;
  const swapped = <Part extends { readonly wall: number; readonly from: number; readonly to: number }>(
    part: Part,
  ): Part => ({
    ...part,
    from: tidy(lengthOf(part.wall) - part.to, unit),
    to: tidy(lengthOf(part.wall) - part.from, unit),
  });
  const moved = <Part extends { readonly wall: number; readonly at: number; readonly width: number }>(
    part: Part,
  ): Part => ({
    ...part,
    at: tidy(lengthOf(part.wall) - part.at - part.width, unit),
  });
  const { mirrored, ...plain } = room;
  const image = renumberWalls(
    {
      ...plain,
      outline,
      ...(room.columns && {
        columns: room.columns.map((column) => ({ ...column, outline: column.outline.map(flip).reverse() })),
      }),
      openings: room.openings.map(moved),
      ...(room.niches && { niches: room.niches.map(moved) }),
      ...(room.soffits && { soffits: room.soffits.map(swapped) }),
      ...(room.zones && { zones: room.zones.map(swapped) }),
      ...(room.beads?.edges && { beads: { ...room.beads, edges: sidesSwapped(room.beads.edges) } }),
      ...(room.hung && { hung: mirroredHangings(room, lengthOf) }),
    },
    (wall) => (count - wall) % count,
  );
  return mirrored ? image : { ...image, mirrored: true };
}

/** Without the noise of the subtraction, and never a hair outside the wall. */
const tidy = (length: number, unit: LengthUnit): number => {
  const rounded = Math.round(length * 1e6) / 1e6;
  return Math.abs(rounded) < (unit === 'in' ? TOLERANCE_MM / 25.4 : TOLERANCE_MM) ? 0 : rounded;
};

const sidesSwapped = <Value>(edges: Readonly<Record<string, Value>>): Record<string, Value> =>
  Object.fromEntries(
    Object.entries(edges).map(([name, value]) => [
      name.replace(/\.(left|right)\b/g, (_, side: string) => (side === 'left' ? '.right' : '.left')),
      value,
    ]),
  );

/** What was found on walls: butts are counted from the other end. */
function mirroredHangings(room: Room, lengthOf: (wall: number) => number): Room['hung'] {
  const places = placesIn(room);
  return Object.fromEntries(
    Object.entries(room.hung ?? {}).map(([id, face]) => {
      const wall = Number(/^w(\d+)$/.exec(places(id))?.[1] ?? -1);
      if (wall < 0) return [id, face];
      const length = lengthOf(wall);
      const courses = face.courses.map((course) => ({
        ...course,
        ...(face.run === 'across' && {
          butts: course.butts.map((at) => length - at).reverse(),
          ...(typeof course.backed !== 'boolean' && { backed: course.backed.map((at) => length - at).reverse() }),
          ...(typeof course.bevelled === 'object' && { bevelled: course.bevelled.map((at) => length - at).reverse() }),
        }),
      }));
      return [id, { ...face, courses: face.run === 'upright' ? courses.reverse() : courses }];
    }),
  );
}
