import { formatLength } from '../../measure/formatLength';
import { areaOfLoops, stepsOf } from '../../measure/polygon';
import { tidyLoops } from '../../measure/tidyLoops';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import type { Loop } from '../../measure/vector';
import type { SoffitBody } from '../faces/soffits';
import type { Problem } from '../problem';
import type { Room } from '../schema';
import type { Wall } from '../walls';
import { noSuchWall } from './checkCeiling';
import { wallName } from './checkOutline';

/** Whether soffits fit their walls, the ceiling and each other. */
export function checkSoffits(
  room: Room,
  walls: readonly Wall[],
  bodies: readonly SoffitBody[],
  unit: LengthUnit,
): readonly Problem[] {
  const mm = (length: number) => toMm(length, unit);
  const soffits = room.soffits ?? [];
  const found = soffits.flatMap(({ wall: index, from, to, depth }, at): readonly Problem[] => {
    const path = `soffits[${at}]`;
    const wall = walls[index];
    if (!wall) return [{ path: `${path}.wall`, reason: noSuchWall(walls) }];
    if (to <= from) return [{ path: `${path}.to`, reason: 'must lie right of where the soffit starts' }];
    if (mm(to) > wall.length + TOLERANCE_MM) {
      const over = formatLength(mm(to) - wall.length, unit);
      return [{ path: `${path}.to`, reason: `the soffit runs ${over} past the right end of ${wallName(wall)}` }];
    }
    if (room.ceiling.shape === 'tray' && depth > room.ceiling.inset)
      return [{ path: `${path}.depth`, reason: 'the soffit reaches in under the tray' }];
    return [];
  });
  if (found.length > 0) return found;
  const whole = areaOfLoops([walls.map(({ from }) => from)]);
  for (const { index, bottom, plan } of bodies) {
    const path = `soffits[${index}]`;
    if (bottom <= TOLERANCE_MM) return [{ path: `${path}.drop`, reason: 'the soffit hangs down to the floor' }];
    if (areaOfLoops(plan) >= whole - 1)
      return [{ path: `${path}.depth`, reason: 'the soffit fills the whole ceiling: give the room a lower height' }];
  }
  return checkApart(bodies);
}

/** Bodies at different heights that share ground or a side would need a step between them. */
function checkApart(bodies: readonly SoffitBody[]): readonly Problem[] {
  const rim = (loops: readonly Loop[]) =>
    loops.flatMap(stepsOf).reduce((length, [[ax, ay], [bx, by]]) => length + Math.hypot(bx - ax, by - ay), 0);
  for (const [index, body] of bodies.entries()) {
    for (const other of bodies.slice(0, index)) {
      const [apart, together] = [[...body.plan, ...other.plan], tidyLoops([...body.plan, ...other.plan])];
      if (Math.abs(rim(apart) - rim(together)) > 1 || areaOfLoops(together) < areaOfLoops(apart) - 1)
        return [
          {
            path: `soffits[${body.index}].drop`,
            reason: `the soffit meets soffit ${other.index + 1}, which hangs at another height`,
          },
        ];
    }
  }
  return [];
}
