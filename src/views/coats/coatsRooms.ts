import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { type Packed, packed, unpacked } from '@/ui/packed';
import type { MethodRoom } from './useMethod';

/** What is cut and hung has no part in how a house is finished, and is much of a tally. */
const NOT_SENT = { beadPieces: [], boards: [] } as const;

export interface CoatsRoom extends MethodRoom {
  /** Walls, ceilings and soffits by id. */
  readonly faces: readonly { readonly id: string; readonly place: string }[];
}

export type SentRooms = Packed<readonly SentRoom[]>;
interface SentRoom extends Omit<CoatsRoom, 'tally'> {
  readonly tally: Omit<CoatsRoom['tally'], keyof typeof NOT_SENT>;
}

/** A snapshot stays the same until something of its house changes; with it what is sent of its rooms. */
const sent = new WeakMap<HouseSnapshot, SentRooms>();

/** The rooms as the Coats need them: with what is on them, and the faces that may have a level of their own. */
export function coatsRooms(snapshot: HouseSnapshot, versions: Readonly<Record<string, number>>): SentRooms {
  const text =
    sent.get(snapshot) ??
    packed<readonly SentRoom[]>(
      snapshot.rooms.map(
        ({ room: { id, name, finish, method }, tally: { beadPieces: _pieces, boards: _boards, ...tally }, faces }) => ({
          room: { id, name, finish, method },
          tally,
          version: versions[id] ?? 1,
          faces: faces
            .filter(({ kind }) => kind === 'wall' || kind === 'ceiling' || kind === 'soffit')
            .map(({ id: face, place }) => ({ id: face, place })),
        }),
      ),
    );
  sent.set(snapshot, text);
  return text;
}

/** The rooms as they came. */
export const receivedRooms = (text: SentRooms): readonly CoatsRoom[] =>
  unpacked(text).map((room) => ({ ...room, tally: { ...room.tally, ...NOT_SENT } }));
