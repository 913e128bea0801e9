import { type HungFace, hangRoom } from '../hang/hangRoom';
import type { HouseHead } from '../house/schema';
import type { Face } from '../room/faces/face';
import { facesOf } from '../room/faces/facesOf';
import { resolveHang } from '../room/resolveHang';
import type { Room } from '../room/schema';
import { anglesOf } from './anglesOf';
import { countScrews } from './countScrews';
import { archBeads, freeEdgeTrims } from './edgeProfiles';
import type { Joint } from './joint';
import { type Piece, piecesOf } from './pieces';
import { seamsOf } from './seamsOf';
import { type Tally, tallyRoom } from './tally';
import { type TileFlag, tileFlags } from './tileFlags';

/** A room taken off: its boarded faces, every joint, the pieces that are coated, and the tally. */
export interface TakeOff {
  readonly faces: readonly HungFace[];
  readonly joints: readonly Joint[];
  readonly tally: Tally;
  readonly pieces: readonly Piece[];
  readonly tileFlags: readonly TileFlag[];
}

/** What is kept of a take-off once the room is drawn. */
export interface TakenOff extends Pick<TakeOff, 'tally' | 'pieces'> {
  readonly faces: readonly KeptFace[];
}
/** What a face is called, where it is, and what it is part of. */
export type KeptFace = Pick<Face, 'id' | 'place' | 'kind'>;
export const whatIsKept = ({ tally, pieces, faces }: TakeOff): TakenOff => ({
  tally,
  pieces,
  faces: faces.map(({ face: { id, place, kind } }) => ({ id, place, kind })),
});

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
  const screws = countScrews(faces, joints, plan);
  return {
    faces,
    joints,
    tally: tallyRoom(joints, faces, plan, screws, room.finish),
    pieces: piecesOf(joints, faces, screws.spottedOn),
    tileFlags: tileFlags(faces, joints),
  };
}
