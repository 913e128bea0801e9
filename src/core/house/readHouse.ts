import { checkHangBounds } from './checks/checkBounds';
import { checkRoom } from './checks/checkRoom';
import { checkHouseSize } from './checks/checkSize';
import { withIds } from './ids';
import { type Problem, problemsFromZod } from './problem';
import { type House, houseSchema } from './schema';
import { turnOutlines } from './turnOutlines';

export type HouseReading =
  | { readonly ok: true; readonly house: House }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * Reads a house file whole or refuses it whole, with every problem's place and reason.
 *
 * @param json the parsed file
 * @param turn mend outlines that run the wrong way round, see `turnOutlines`
 * @example readHouse({ format: 'oak-tally-house', … rooms: [{ …, height: 0 }] })
 *   // { ok: false, problems: [{ path: 'rooms[0].height', reason: 'must be greater than 0' }] }
 */
export function readHouse(json: unknown, { turn = false }: { readonly turn?: boolean } = {}): HouseReading {
  const parsed = houseSchema.safeParse(json, { reportInput: true });
  if (!parsed.success) return { ok: false, problems: problemsFromZod(parsed.error) };
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
