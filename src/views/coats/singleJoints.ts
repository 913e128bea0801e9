import type { CoatedClass } from '@/core/method/coat';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';

/** A joint that gets an extra coat of its own after a knife check. */
export interface SingleJoint {
  readonly id: string;
  readonly room: { readonly id: string; readonly name: string };
  readonly class: CoatedClass;
  /** mm; how wide it is floated over all, and litres of mud. */
  readonly length: number;
  readonly width: number;
  readonly litres: number;
}

/** Returns the joints of a house that get an extra coat of their own, in the order of its rooms. */
export const singleJoints = (rooms: readonly RoomSnapshot[]): readonly SingleJoint[] =>
  rooms.flatMap(({ room, pieces, more }) =>
    more.size === 0
      ? []
      : pieces.flatMap(({ id, class: kind, amount }): readonly SingleJoint[] => {
          const own = more.get(id);
          if (!own?.coat) return [];
          const { width } = own.coat;
          const { id: roomId, name } = room;
          return [{ id, room: { id: roomId, name }, class: kind, length: amount, width, litres: own.litres }];
        }),
  );
