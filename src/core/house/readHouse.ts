import { checkHangBounds } from '../room/checks/checkBounds';
import { checkRoom } from '../room/checks/checkRoom';
import { checkHouseSize } from '../room/checks/checkSize';
import { withIds } from '../room/ids';
import { firstProblems, MOST_PROBLEMS, type Problem, problemsFromZod } from '../room/problem';
import { type Room, roomSchema } from '../room/schema';
import { checkDocumentSize } from './documentSize';
import { type House, houseFileSchema } from './schema';
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
 * Reads a house file whole or refuses it whole, with the place and reason of its first problems.
 *
 * @param json the parsed file
 * @param turn mend outlines that run the wrong way round, see `turnOutlines`
 * @example readHouse({ format: 'oak-tally-house', … rooms: [{ …, height: 0 }] })
 *   // { ok: false, problems: [{ path: 'rooms[0].height', reason: 'must be greater than 0' }] }
 */
export function readHouse(json: unknown, { turn = false }: { readonly turn?: boolean } = {}): HouseResult {
  const large = checkDocumentSize(json);
  if (large.length > 0) return { ok: false, problems: large };
  const parsed = parseHouse(withFloors(json));
  if (!parsed.ok) return { ok: false, problems: asWritten(parsed.problems, json) };
  const turned = turn ? turnOutlines(parsed.house) : parsed.house;
  const house = { ...turned, version: 2 as const, rooms: turned.rooms.map((room) => withIds(room, turned.unit)) };
  const problems = checkRooms(house);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, house };
}

/** Parses room by room, and no further than there are problems to tell. */
function parseHouse(json: unknown): HouseResult {
  const head = houseFileSchema.safeParse(json, { reportInput: true });
  const problems: Problem[] = head.success ? [] : [...problemsFromZod(head.error)];
  const rooms: Room[] = [];
  const written = isDocument(json) && Array.isArray(json.rooms) ? json.rooms : [];
  for (const [index, one] of written.entries()) {
    if (problems.length > MOST_PROBLEMS) break;
    const room = roomSchema.safeParse(one, { reportInput: true });
    if (room.success) rooms.push(room.data);
    else problems.push(...problemsFromZod(room.error, ['rooms', index]));
  }
  return head.success && problems.length === 0
    ? { ok: true, house: { ...head.data, rooms } }
    : { ok: false, problems: firstProblems(problems) };
}

/** Finds what no schema can see in the rooms of a house, and whether the house can be worked out. */
function checkRooms(house: House): readonly Problem[] {
  const wild = checkHangBounds(house.hang, house.unit);
  if (wild.length > 0) return wild;
  const problems: Problem[] = [];
  const known = new Map<string, number>();
  for (const [index, room] of house.rooms.entries()) {
    if (problems.length > MOST_PROBLEMS) break;
    const twin = known.get(room.id);
    if (twin === undefined) known.set(room.id, index);
    const found =
      twin === undefined
        ? checkRoom(room, house)
        : [{ path: 'id', reason: `"${room.id}" is the id of rooms[${twin}] too` }];
    problems.push(...found.map((problem) => ({ ...problem, path: `rooms[${index}].${problem.path}` })));
  }
  return problems.length > 0 ? firstProblems(problems) : checkHouseSize(house.rooms, house);
}
