import { formatLength } from '../../measure/formatLength';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import { dot } from '../../measure/vector';
import { insetLoop } from '../faces/ceilingFaces';
import { distanceFrom } from '../faces/roof';
import type { Problem } from '../problem';
import type { Ceiling, Room } from '../schema';
import type { Wall } from '../walls';
import { crossingIn, wallName } from './checkOutline';

const PARALLEL = Math.cos(Math.PI / 180);
const STEEPEST = 20;
const NARROWEST_TRAY_MM = 50;

/** Whether the ceiling fits the walls that it is said to rise from. */
export function checkCeiling(room: Room, walls: readonly Wall[], unit: LengthUnit): readonly Problem[] {
  const { ceiling } = room;
  switch (ceiling.shape) {
    case 'flat':
    case 'open':
      return [];
    case 'shed':
      return checkSlope('ceiling.low', ceiling.low, walls, unit, (_low, depth) => steepness(ceiling.rise, depth, unit));
    case 'gable':
      return checkGable(ceiling, walls, unit);
    case 'knee':
      return checkKnee(ceiling, room, walls, unit);
    case 'tray':
      return checkTray(ceiling, walls, unit);
  }
}

function steepness(rise: number, run: number, unit: LengthUnit): readonly Problem[] {
  return toMm(rise, unit) > STEEPEST * run
    ? [{ path: 'ceiling.rise', reason: `of ${formatLength(toMm(rise, unit), unit)} is no rise of a ceiling` }]
    : [];
}

/** A slope starts at a wall that is there, with the whole room before it. */
function checkSlope(
  path: string,
  index: number,
  walls: readonly Wall[],
  unit: LengthUnit,
  further: (wall: Wall, depth: number) => readonly Problem[],
): readonly Problem[] {
  const wall = walls[index];
  if (!wall) return [{ path, reason: noSuchWall(walls) }];
  const depths = walls.map(({ from }) => distanceFrom(wall, from));
  const behind = -Math.min(...depths);
  if (behind > 1) {
    const reach = formatLength(behind, unit);
    return [{ path, reason: `the room reaches ${reach} behind ${wallName(wall)}, so the slope cannot start there` }];
  }
  return further(wall, Math.max(...depths));
}

export const noSuchWall = (walls: readonly Wall[]): string =>
  `the room has ${walls.length} walls, numbered from 0 to ${walls.length - 1} in the file`;

function checkGable(
  { eaves, rise }: Extract<Ceiling, { shape: 'gable' }>,
  walls: readonly Wall[],
  unit: LengthUnit,
): readonly Problem[] {
  const [one, other] = [walls[eaves[0]], walls[eaves[1]]];
  const found = eaves.flatMap((eave, index) => checkSlope(`ceiling.eaves[${index}]`, eave, walls, unit, () => []));
  if (found.length > 0 || !one || !other) return found;
  if (dot(one.inward, other.inward) > -PARALLEL)
    return [
      { path: 'ceiling.eaves', reason: `${wallName(one)} and ${wallName(other)} do not face each other in parallel` },
    ];
  return steepness(rise, distanceFrom(one, other.from) / 2, unit);
}

function checkKnee(
  ceiling: Extract<Ceiling, { shape: 'knee' }>,
  room: Room,
  walls: readonly Wall[],
  unit: LengthUnit,
): readonly Problem[] {
  if (ceiling.knee >= room.height)
    return [{ path: 'ceiling.knee', reason: 'must be lower than the room, or there is nothing to slope' }];
  const twice = ceiling.eaves.findIndex((eave, index) => ceiling.eaves.indexOf(eave) < index);
  if (twice >= 0) return [{ path: `ceiling.eaves[${twice}]`, reason: 'is named twice' }];
  return ceiling.eaves.flatMap((eave, index) =>
    checkSlope(`ceiling.eaves[${index}]`, eave, walls, unit, (_wall, depth) =>
      toMm(ceiling.run, unit) > depth + TOLERANCE_MM
        ? [
            {
              path: 'ceiling.run',
              reason: `of ${formatLength(toMm(ceiling.run, unit), unit)} is longer than the room is deep there (${formatLength(depth, unit)})`,
            },
          ]
        : [],
    ),
  );
}

function checkTray(
  { inset }: Extract<Ceiling, { shape: 'tray' }>,
  walls: readonly Wall[],
  unit: LengthUnit,
): readonly Problem[] {
  const inner = insetLoop(walls, toMm(inset, unit));
  const lost = walls.find((wall, index) => {
    const [from, to] = [inner[index], inner[(index + 1) % inner.length]];
    if (!from || !to) return true;
    return (to[0] - from[0]) * wall.along[0] + (to[1] - from[1]) * wall.along[1] < NARROWEST_TRAY_MM;
  });
  if (!lost && !crossingIn(inner)) return [];
  const where = lost ? `nothing is left of it along ${wallName(lost)}` : 'its sides would cross';
  return [
    { path: 'ceiling.inset', reason: `a tray set in ${formatLength(toMm(inset, unit), unit)} does not fit: ${where}` },
  ];
}
