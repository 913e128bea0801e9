import { isInside } from '../../measure/chords';
import { stepsOf } from '../../measure/polygon';
import { type LengthUnit, toMm } from '../../measure/unit';
import type { Loop, Point } from '../../measure/vector';
import { insetLoop } from '../faces/ceilingFaces';
import type { SoffitBody } from '../faces/soffits';
import type { Problem } from '../problem';
import type { Room } from '../schema';
import type { Wall } from '../walls';
import { crossingIn, stepsMeet } from './checkOutline';

/** Whether columns stand free in the room, and under one ceiling. */
export function checkColumns(
  room: Room,
  walls: readonly Wall[],
  bodies: readonly SoffitBody[],
  unit: LengthUnit,
): readonly Problem[] {
  const loops = (room.columns ?? []).map(({ outline }) =>
    outline.map(([x, y]): Point => [toMm(x, unit), toMm(y, unit)]),
  );
  if (loops.length === 0) return [];
  const outline = walls.map(({ from }) => from);
  const tray = room.ceiling.shape === 'tray' ? insetLoop(walls, toMm(room.ceiling.inset, unit)) : undefined;
  const soffits = bodies.flatMap(({ plan }) => plan);
  return loops.flatMap((loop, index): readonly Problem[] => {
    const refuse = (reason: string) => [{ path: `columns[${index}]`, reason }];
    if (crossingIn(loop)) return refuse('crosses itself');
    if (!loop.every((point) => isInside(point, [outline])) || meet(loop, outline))
      return refuse('does not stand free in the room; what stands against a wall belongs to the outline');
    const other = loops.findIndex((candidate, at) => at < index && apartNot(candidate, loop));
    if (other >= 0) return refuse(`stands in column ${other + 1}`);
    if (tray && meet(loop, tray)) return refuse('stands across the side of the tray');
    if (soffits.some((soffit) => apartNot(soffit, loop))) return refuse('stands under a soffit');
    return [];
  });
}

const meet = (a: Loop, b: Loop): boolean => stepsOf(a).some((one) => stepsOf(b).some((other) => stepsMeet(one, other)));

const apartNot = (a: Loop, b: Loop): boolean =>
  meet(a, b) || (b[0] !== undefined && isInside(b[0], [a])) || (a[0] !== undefined && isInside(a[0], [b]));
