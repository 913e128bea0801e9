import { handOverOf } from '@/core/inspect/handOver';
import { agreedLevel, whyNotHandedOver } from '@/core/inspect/signOff';
import { groupBy } from '@/core/measure/groupBy';
import type { Level } from '@/core/room/level';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { facesToSign } from '@/core/standing/finished';
import { roomWords, type StateWords } from '@/words/stateWords';
import { instantWords } from '@/words/when';

/** A room of the hand-over list, with what can be logged in it as a whole. */
export interface HandOverRow {
  readonly id: string;
  readonly name: string;
  readonly level: Level;
  readonly state: StateWords;
  readonly open: number;
  /** When it was checked; undefined where it was not. */
  readonly checked: string | undefined;
  readonly canSand: boolean;
  /** The faces to check by the level that is agreed for them; none where they cannot be checked yet. */
  readonly checks: readonly { readonly level: Level; readonly faces: readonly string[] }[];
  readonly canHandOver: boolean;
  readonly isHandedOver: boolean;
}

/** Lists every room on its way to the painters. */
export const handOverRows = ({ rooms }: HouseSnapshot, now: number, timeZone: string): readonly HandOverRow[] =>
  rooms.map((room) => {
    const { id, name, agreed, items, met } = handOverOf(room);
    const state = room.standing.now;
    return {
      id,
      name,
      level: agreed,
      state: roomWords(state, now, timeZone),
      open: items.filter(({ closed }) => !closed).length,
      checked: met && instantWords(Date.parse(met.at), timeZone),
      canSand: state.kind === 'sand',
      checks: state.kind === 'check' ? checksIn(room) : [],
      canHandOver: whyNotHandedOver(room) === undefined && state.kind !== 'done',
      isHandedOver: state.kind === 'done',
    };
  });

/** Returns the faces of a room that nobody has checked, by the level that is agreed for them. */
function checksIn(room: RoomSnapshot): HandOverRow['checks'] {
  const left = facesToSign(room.applied).filter((face) => !room.done.checkedFaces.has(face));
  return [...groupBy(left, (face) => agreedLevel(face, room))].map(([level, faces]) => ({ level, faces }));
}
