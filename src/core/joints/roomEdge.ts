import type { HungFace } from '../hang/hangRoom';
import type { SpaceEdge } from '../house/faces/face';
import type { Span } from '../measure/span';
import type { Vector } from '../measure/vector';

/** An edge of a face on its line through the room. */
export interface RoomEdge extends Span {
  readonly hung: HungFace;
  readonly edge: SpaceEdge;
  /** The line: a unit direction (pointing the same way for all edges of one line) and its point nearest the origin. */
  readonly direction: Vector;
  readonly foot: Vector;
}
