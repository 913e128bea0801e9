import { type LengthUnit, toMm } from '../../measure/unit';
import { signedArea } from '../../measure/vector';
import type { Problem } from '../problem';
import { resolveHang } from '../resolveHang';
import type { Room, RoomDefaults } from '../schema';
import { type Wall, wallsOf } from '../walls';
import { MOST_IN_HOUSE, MOST_IN_ROOM, MOST_WORK_IN_HOUSE } from './bounds';

/** About how many boards and screws a room takes: what its working out costs. */
export interface RoomSize {
  readonly boards: number;
  readonly screws: number;
}

/** A guess from above: walls and ceiling in the narrowest boards that the room may be hung with. */
export function sizeOf(room: Room, walls: readonly Wall[], house: RoomDefaults): RoomSize {
  const { boards, framing, screws } = resolveHang(house, room);
  const rise = 'rise' in room.ceiling ? room.ceiling.rise : 0;
  const height = toMm(room.height + rise, house.unit);
  const round = walls.reduce((sum, { length }) => sum + length, 0);
  const area = round * height + 2 * Math.abs(signedArea(walls.map(({ from }) => from))) + bodies(room, house.unit);
  const least = Math.min(...boards.map(({ width, lengths }) => width * Math.max(...lengths)));
  return { boards: area / least, screws: area / (framing * Math.min(screws.ceiling, screws.wall)) };
}

/** The board of what stands in a room or goes into its walls; mm². */
function bodies({ niches = [], soffits = [], columns = [], height }: Room, unit: LengthUnit): number {
  const areas = [
    ...niches.map(
      ({ width, height: tall, depth, shelves }) => width * tall + 2 * (width * (shelves + 1) + tall) * depth,
    ),
    ...soffits.map(({ from, to, depth, drop }) => (to - from) * (depth + drop)),
    ...columns.map(
      ({ outline }) =>
        height *
        outline.reduce((sum, [x, y], index) => {
          const [nextX, nextY] = outline[(index + 1) % outline.length] ?? [x, y];
          return sum + Math.hypot(nextX - x, nextY - y);
        }, 0),
    ),
  ];
  return areas.reduce((sum, area) => sum + area * toMm(1, unit) ** 2, 0);
}

/** Whether a room can be worked out while somebody waits. */
export function checkSize(room: Room, walls: readonly Wall[], house: RoomDefaults): readonly Problem[] {
  const { boards, screws } = sizeOf(room, walls, house);
  if (boards > MOST_IN_ROOM.boards)
    return [
      {
        path: 'outline',
        reason: `takes about ${round(boards)} boards, more than ${MOST_IN_ROOM.boards}: split the room`,
      },
    ];
  if (screws > MOST_IN_ROOM.screws)
    return [
      {
        path: 'outline',
        reason: `takes about ${round(screws)} screws, more than ${MOST_IN_ROOM.screws}: split the room`,
      },
    ];
  return [];
}

/** Whether a whole house can; rooms are sound by themselves. */
export function checkHouseSize(rooms: readonly Room[], house: RoomDefaults): readonly Problem[] {
  const sizes = rooms.map((room) => sizeOf(room, wallsOf(room.outline, house.unit), house));
  for (const kind of ['boards', 'screws'] as const) {
    const all = sizes.reduce((sum, size) => sum + size[kind], 0);
    if (all > MOST_IN_HOUSE[kind])
      return [
        {
          path: 'rooms',
          reason: `take about ${round(all)} ${kind}, more than ${MOST_IN_HOUSE[kind]}: split the house`,
        },
      ];
  }
  const work = sizes.reduce((sum, { boards }) => sum + boards ** 2, 0);
  return work > MOST_WORK_IN_HOUSE
    ? [{ path: 'rooms', reason: 'are too large to be worked out together: split the house' }]
    : [];
}

const round = (count: number): number => Number(count.toPrecision(2));
