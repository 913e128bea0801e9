import { type HungFace, hangRoom } from '../hang/hangRoom';
import { facesOf } from '../house/faces/facesOf';
import { resolveHang } from '../house/resolveHang';
import type { HouseHead, Room } from '../house/schema';
import { anglesOf } from './anglesOf';
import { archBeads, freeEdgeTrims } from './edgeProfiles';
import type { Joint } from './joint';
import { seamsOf } from './seamsOf';
import { type Tally, tallyRoom } from './tally';
import { type TileFlag, tileFlags } from './tileFlags';

/** A room taken off: its boarded faces, every joint, and the tally. */
export interface TakeOff {
  readonly faces: readonly HungFace[];
  readonly joints: readonly Joint[];
  readonly tally: Tally;
  readonly tileFlags: readonly TileFlag[];
}

/**
 * Takes off one checked room: measurements to faces, faces to boards, boards to joints.
 *
 * @example takeOff(room, { unit: 'in', hang: {} }).tally.classes.flat.length  // mm of flat joint
 */
export function takeOff(room: Room, house: Pick<HouseHead, 'unit' | 'hang'>): TakeOff {
  const plan = resolveHang(house, room);
  const faces = hangRoom(facesOf(room, house.unit), plan);
  const joints = [
    ...faces.flatMap(seamsOf),
    ...anglesOf(faces, room.beads),
    ...faces.flatMap((face) => [...archBeads(face, room.beads), ...freeEdgeTrims(face, room.beads)]),
  ];
  return { faces, joints, tally: tallyRoom(joints, faces, plan, room.finish), tileFlags: tileFlags(faces, joints) };
}
