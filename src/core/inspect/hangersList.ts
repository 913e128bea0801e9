import type { OpenItem } from '../log/roomState';
import type { DefectKind } from '../method/defects';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { acceptanceOf } from '../standing/heldFaces';
import { accountOf } from './causeOf';

/** What is wrong with a room on the hanger's account and not mended, in the order in which it was found. */
export const hangersItems = ({ state }: Pick<RoomSnapshot, 'state'>): readonly OpenItem[] =>
  state.items.filter((item) => !item.closed && accountOf(item) === 'hanger');

/** One room on the hanger's list. */
export interface HangersRoom {
  readonly items: readonly OpenItem[];
  /** How often each kind was found; what has no name counts as one kind. */
  readonly counts: readonly { readonly defect: DefectKind | undefined; readonly count: number }[];
  /** Of all gaps whose length is known, mm. */
  readonly gaps: number;
  /** The faces that are held, by id. */
  readonly held: readonly string[];
}

/** A room as its hanger has to know it; undefined where nothing is to be done. */
export function hangersRoom(room: Pick<RoomSnapshot, 'state' | 'pieces'>): HangersRoom | undefined {
  const items = hangersItems(room);
  const faces = [...new Set(room.pieces.map(({ face }) => face))];
  const held = faces.filter((face) => acceptanceOf(room.state.acceptances, face)?.found === 'held');
  if (items.length === 0 && held.length === 0) return undefined;
  const counts = new Map<DefectKind | undefined, number>();
  for (const { defect } of items) counts.set(defect, (counts.get(defect) ?? 0) + 1);
  return {
    items,
    counts: [...counts].map(([defect, count]) => ({ defect, count })),
    gaps: items.reduce((sum, { length = 0 }) => sum + length, 0),
    held,
  };
}
