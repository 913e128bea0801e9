import type { TakenOff } from '../joints/takeOff';
import { coatsWithMore } from '../method/roomCoats';
import type { Room } from '../room/schema';
import { appliedCoats } from '../standing/appliedCoats';
import { jointFindings } from '../standing/jointFindings';
import type { HouseSnapshot, RoomSnapshot } from './houseSnapshot';

/** A room as it could be, taken off. */
export interface OtherRoom {
  readonly room: Room;
  readonly taken: TakenOff;
}

/**
 * A house as it stands, as if some of its rooms were hung otherwise; those in which something is on already stay as they are.
 *
 * @param others by id
 */
export function withRooms(snapshot: HouseSnapshot, others: ReadonlyMap<string, OtherRoom>): HouseSnapshot {
  return {
    ...snapshot,
    rooms: snapshot.rooms.map((before): RoomSnapshot => {
      const other = others.get(before.room.id);
      if (!other || isBegun(before)) return before;
      const { room, taken } = other;
      const { method, state, held, toMend } = before;
      const more = jointFindings(state.items, taken.pieces);
      return {
        ...before,
        room,
        tally: taken.tally,
        pieces: taken.pieces,
        faces: taken.faces,
        more,
        coats: coatsWithMore(taken, method, room.finish, more),
        applied: appliedCoats(taken.pieces, method, state.applied, room.finish, {
          held,
          toMend,
          touched: state.touched,
          more,
        }),
      };
    }),
  };
}

/** Boards under mud are hung. */
export const isBegun = ({ state, tooLarge }: Pick<RoomSnapshot, 'state' | 'tooLarge'>): boolean =>
  tooLarge || state.applied.length > 0 || state.handedOver !== undefined;
