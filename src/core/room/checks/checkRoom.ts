import { formatLength } from '../../measure/formatLength';
import { TOLERANCE_MM } from '../../measure/unit';
import { slopesOf } from '../faces/roof';
import { soffitBodies } from '../faces/soffits';
import type { Problem } from '../problem';
import { resolveHang } from '../resolveHang';
import type { Room, RoomDefaults } from '../schema';
import { wallsOf } from '../walls';
import { checkBehindWalls } from './checkBehindWalls';
import { checkBounds } from './checkBounds';
import { checkCeiling } from './checkCeiling';
import { checkColumns } from './checkColumns';
import { checkIds } from './checkIds';
import { checkNames } from './checkNames';
import { checkOutline } from './checkOutline';
import { checkSize } from './checkSize';
import { checkSoffits } from './checkSoffits';
import { checkWallParts } from './checkWallParts';

/**
 * What no schema can see: whether the outline is a room, whether the ceiling fits it, and whether openings, niches,
 * soffits, zones and columns fit their walls. Paths are relative to the room (`openings[1].width`).
 */
export function checkRoom(room: Room, house: RoomDefaults): readonly Problem[] {
  const { unit } = house;
  const wild = checkBounds(room, unit);
  if (wild.length > 0) return wild;
  const outline = checkOutline(room.outline, unit);
  if (outline.length > 0) return outline;
  const walls = wallsOf(room.outline, unit);
  const ids = checkIds(room, walls.length);
  if (ids.length > 0) return ids;
  const shape = [...checkCeiling(room, walls, unit), ...checkHang(room, house)];
  if (shape.length > 0) return shape;
  const large = checkSize(room, walls, house);
  if (large.length > 0) return large;
  const slopes = slopesOf(room, walls, unit);
  const bodies = soffitBodies(room, walls, slopes, unit);
  const parts = [
    ...checkWallParts(room, walls, slopes, bodies, unit),
    ...checkSoffits(room, walls, slopes, bodies, unit),
    ...checkColumns(room, walls, bodies, unit),
  ];
  if (parts.length > 0) return parts;
  const behind = checkBehindWalls(room, walls, unit);
  return behind.length > 0 ? behind : checkNames(room, house);
}

function checkHang(room: Room, house: RoomDefaults): readonly Problem[] {
  const { boards, framing } = resolveHang(house, room);
  const short = boards.find(({ lengths }) => Math.max(...lengths) < framing - TOLERANCE_MM);
  return short
    ? [
        {
          path: 'hang.framing',
          reason: `is wider than the longest board (${formatLength(Math.max(...short.lengths), house.unit)})`,
        },
      ]
    : [];
}
