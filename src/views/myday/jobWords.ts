import { firstWalls } from '@/core/joints/firstWalls';
import type { LengthUnit } from '@/core/measure/unit';
import type { Coat } from '@/core/method/coat';
import type { SmallWork } from '@/core/method/smallWork';
import { placesIn } from '@/core/room/ids';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import type { Task } from '@/core/work/tasksOf';
import { listWords, sidesWords } from '@/words/coatWords';
import { faceWords } from '@/words/faceWords';
import { areaWords, roughLength } from '@/words/lengthWords';
import { CLASS_NAMES, isJoint, SMALL_NAMES, smallAmount } from '@/words/stateWords';

/** How much of a class the coat covers, or a part of it: faces of a lower level may go without it. */
export function coatAmount(coat: Coat, room: RoomSnapshot, unit: LengthUnit, part = 1): string {
  const amount = amountIn(room, coat) * part;
  if (coat.class === 'fasteners') return `${Math.round(amount)} fasteners`;
  if (isJoint(coat.class)) return `${roughLength(amount, unit)} of ${CLASS_NAMES[coat.class].toLowerCase()}`;
  return amount < room.tally.paintedArea * 0.999 ? areaWords(amount, unit) : 'the whole surface';
}

/** On which faces pieces lie, in words: wall 2 and ceiling. */
export function facesOfPieces(ids: readonly string[], { room, pieces }: RoomSnapshot): string {
  const place = placesIn(room);
  const wanted = new Set(ids);
  const faces = new Set(pieces.filter(({ id }) => wanted.has(id)).map(({ face }) => faceWords(place(face))));
  return listWords([...faces]);
}

/** What a pass is about, in a few words. */
export const taskAmounts = (task: Task, room: RoomSnapshot, unit: LengthUnit): readonly string[] =>
  [...new Set(task.coats.map((coat) => coatAmount(coat, room, unit, coat.amount / amountIn(room, coat))))].slice(0, 3);

/** How much of the room gets a coat. */
const amountIn = ({ coats }: RoomSnapshot, { id }: Coat): number => coats.find((own) => own.id === id)?.amount ?? 0;

/**
 * Which sides of the angles are run, by the numbers of their walls, so that no two wet sides meet in a corner.
 *
 * @example sidesToRun(coat, room)  // 'first sides: those on walls 1 and 3'
 */
export function sidesToRun({ side, sides }: Coat, { room }: RoomSnapshot): string | undefined {
  if (side === undefined || sides === undefined) return undefined;
  const words = sidesWords(sides);
  if (side === 'left' || side === 'right') return words;
  const count = room.outline.length;
  const first = firstWalls(count);
  const walls =
    side === 'first' ? first : Array.from({ length: count }, (_, wall) => wall).filter((wall) => !first.includes(wall));
  const on = `${walls.length === 1 ? 'wall' : 'walls'} ${listWords(walls.map((wall) => String(wall + 1)))}`;
  if (sides !== 'ceiling' && sides !== 'wall') return `${words}: those on ${on}`;
  return side === 'first'
    ? `ceiling sides: the ceiling all along, in the corners ${on}`
    : `wall sides: under the ceiling all along, in the corners ${on}`;
}

/** Small work of a pass: factory edges in angles (14 ft), three-ways to point (8). */
export const smallWorkWords = (work: SmallWork, unit: LengthUnit): string =>
  `${SMALL_NAMES[work.kind].toLowerCase()} (${smallAmount(work, unit)})`;
