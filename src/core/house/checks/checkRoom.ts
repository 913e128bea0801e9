import { formatLength } from '../../measure/formatLength';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import { slopesOf } from '../faces/roof';
import { soffitBodies } from '../faces/soffits';
import type { Problem } from '../problem';
import { resolveHang } from '../resolveHang';
import type { HouseHead, Room } from '../schema';
import { wallsOf } from '../walls';
import { checkCeiling } from './checkCeiling';
import { checkColumns } from './checkColumns';
import { checkNames } from './checkNames';
import { checkOutline } from './checkOutline';
import { checkSoffits } from './checkSoffits';
import { checkWallParts } from './checkWallParts';

const LOWEST_ROOM_MM = 50;
const TALLEST_ROOM_MM = 15_000;

/**
 * What no schema can see: whether the outline is a room, whether the ceiling fits it, and whether openings, niches,
 * soffits, zones and columns fit their walls. Paths are relative to the room (`openings[1].width`).
 */
export function checkRoom(room: Room, house: Pick<HouseHead, 'unit' | 'hang'>): readonly Problem[] {
  const { unit } = house;
  const outline = checkOutline(room.outline, unit);
  if (outline.length > 0) return outline;
  const walls = wallsOf(room.outline, unit);
  const shape = [...checkHeight(room, unit), ...checkCeiling(room, walls, unit)];
  if (shape.length > 0) return shape;
  const slopes = slopesOf(room, walls, unit);
  const bodies = soffitBodies(room, walls, slopes, unit);
  const parts = [
    ...checkWallParts(room, walls, slopes, bodies, unit),
    ...checkSoffits(room, walls, bodies, unit),
    ...checkColumns(room, walls, bodies, unit),
    ...checkHang(room, house),
  ];
  return parts.length > 0 ? parts : checkNames(room, house);
}

function checkHeight(room: Room, unit: LengthUnit): readonly Problem[] {
  const height = toMm(room.height, unit);
  if (height >= LOWEST_ROOM_MM && height <= TALLEST_ROOM_MM) return [];
  return [{ path: 'height', reason: `of ${formatLength(height, unit)} is no height of a room` }];
}

function checkHang(room: Room, house: Pick<HouseHead, 'unit' | 'hang'>): readonly Problem[] {
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
