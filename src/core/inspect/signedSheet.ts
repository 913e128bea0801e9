import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { handOverOf } from './handOver';

/**
 * Returns what a builder signs for: the facts of a room's sheet that nobody can measure anew. Estimates (when to paint, the air in
 * which a coat dried), the signatures themselves and the hand-over that follows them are left out.
 *
 * @param nameOf the name of a person by id
 */
export function signedSheetOf(room: RoomSnapshot, nameOf: (id: string) => string): object {
  const facts = handOverOf(room);
  return JSON.parse(
    JSON.stringify({
      id: facts.id,
      name: facts.name,
      floor: facts.floor,
      agreed: facts.agreed,
      met: facts.met,
      faces: facts.faces.map(({ paintFrom: _paintFrom, ...face }) => face),
      asked: facts.asked,
      coats: facts.coats.map(({ air: _air, ...coat }) => coat),
      prefilled: facts.prefilled,
      sanded: facts.sanded,
      sealed: facts.sealed,
      items: facts.items,
      photos: facts.photos,
    }),
    (key, value: unknown) => (key === 'who' && Array.isArray(value) ? value.map((id) => nameOf(String(id))) : value),
  );
}
