import { checkHangBounds } from '../room/checks/checkBounds';
import { checkRoom } from '../room/checks/checkRoom';
import { checkHouseSize } from '../room/checks/checkSize';
import { withIds } from '../room/ids';
import { type Problem, problemsFromZod } from '../room/problem';
import { type House, houseSchema } from './schema';
import { turnOutlines } from './turnOutlines';

export type HouseResult =
  | { readonly ok: true; readonly house: House }
  | { readonly ok: false; readonly problems: readonly Problem[] };

type Document = Readonly<Record<string, unknown>>;
const isDocument = (value: unknown): value is Document =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Version 1 of the file called the floor of a room its level. */
function withFloors(json: unknown): unknown {
  if (!isDocument(json) || json.version !== 1 || !Array.isArray(json.rooms)) return json;
  const rooms = json.rooms.map((room: unknown) => {
    if (!isDocument(room) || room.level === undefined || room.floor !== undefined) return room;
    const { level: floor, ...rest } = room;
    return { ...rest, floor };
  });
  return { ...json, rooms };
}

/** Places in the words of the file. */
const asWritten = (problems: readonly Problem[], json: unknown): readonly Problem[] =>
  isDocument(json) && json.version === 1
    ? problems.map((problem) => ({ ...problem, path: problem.path.replace(/^(rooms\[\d+\])\.floor$/, '$1.level') }))
    : problems;

/**
 * Reads a house file whole or refuses it whole, with every problem's place and reason.
 *
 * @param json the parsed file
 * @param turn mend outlines that run the wrong way round, see `turnOutlines`
 * @example readHouse({ format: 'oak-tally-house', … rooms: [{ …, height: 0 }] })
 *   // { ok: false, problems: [{ path: 'rooms[0].height', reason: 'must be greater than 0' }] }
 */
export function readHouse(json: unknown, { turn = false }: { readonly turn?: boolean } = {}): HouseResult {
  const parsed = houseSchema.safeParse(withFloors(json), { reportInput: true });
  if (!parsed.success) return { ok: false, problems: asWritten(problemsFromZod(parsed.error), json) };
  const turned = turn ? turnOutlines(parsed.data) : parsed.data;
  const house = { ...turned, version: 2 as const, rooms: turned.rooms.map((room) => withIds(room, turned.unit)) };
  const wild = checkHangBounds(house.hang, house.unit);
  if (wild.length > 0) return { ok: false, problems: wild };
  const problems = house.rooms.flatMap((room, index): readonly Problem[] => {
    const twin = house.rooms.findIndex(({ id }) => id === room.id);
    const found =
      twin < index ? [{ path: 'id', reason: `"${room.id}" is the id of rooms[${twin}] too` }] : checkRoom(room, house);
    return found.map((problem) => ({ ...problem, path: `rooms[${index}].${problem.path}` }));
  });
  if (problems.length > 0) return { ok: false, problems };
  const large = checkHouseSize(house.rooms, house);
  return large.length > 0 ? { ok: false, problems: large } : { ok: true, house };
}
