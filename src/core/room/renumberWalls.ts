import { withNames } from './ids';
import type { Ceiling, Room } from './schema';

/**
 * A room whose walls got other numbers: everything that stands on a wall, or is said of it by name, goes along.
 *
 * @param to the new number of a wall
 */
export function renumberWalls(room: Room, to: (wall: number) => number): Room {
  const onWall = <Part extends { readonly wall: number }>(part: Part): Part => ({ ...part, wall: to(part.wall) });
  const { walls } = room;
  // By their ids walls are called what they were, whatever their number.
  const name = (text: string) =>
    walls ? text : text.replace(/\bw(\d+)\b/g, (_, wall: string) => `w${to(Number(wall))}`);
  const moved = walls?.map((_, wall) => walls.findIndex((__, old) => to(old) === wall)).map((old) => walls[old] ?? '');
  return {
    ...withNames(room, name),
    ...(moved && { walls: moved }),
    ceiling: renumberedCeiling(room.ceiling, to),
    openings: room.openings.map(onWall),
    ...(room.soffits && { soffits: room.soffits.map(onWall) }),
    ...(room.niches && { niches: room.niches.map(onWall) }),
    ...(room.zones && { zones: room.zones.map(onWall) }),
    ...(room.existing && { existing: room.existing.map(to) }),
  };
}

function renumberedCeiling(ceiling: Ceiling, to: (wall: number) => number): Ceiling {
  switch (ceiling.shape) {
    case 'shed':
      return { ...ceiling, low: to(ceiling.low) };
    case 'gable':
      return { ...ceiling, eaves: [to(ceiling.eaves[0]), to(ceiling.eaves[1])] };
    case 'knee':
      return { ...ceiling, eaves: ceiling.eaves.map(to) };
    default:
      return ceiling;
  }
}
