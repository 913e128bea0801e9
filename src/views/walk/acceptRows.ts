import { hangersItems } from '@/core/inspect/hangersList';
import type { OpenItem } from '@/core/log/roomState';
import { placesIn } from '@/core/room/ids';
import type { Room } from '@/core/room/schema';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { acceptanceOf } from '@/core/standing/heldFaces';
import { faceWords } from '@/words/faceWords';

/** One face before it is taped. */
export interface AcceptFace {
  readonly id: string;
  readonly name: string;
  /** What was said of it last. */
  readonly found: 'good' | 'held' | undefined;
  /** How much is wrong on it. */
  readonly open: number;
}

/** One room whose hanging is looked at before it is taped. */
export interface AcceptRow {
  readonly id: string;
  readonly name: string;
  readonly room: Room;
  readonly pieces: RoomSnapshot['pieces'];
  readonly items: readonly OpenItem[];
  /** In the order in which one walks past them: the walls, then the ceiling. */
  readonly faces: readonly AcceptFace[];
}

/** The rooms whose hanging is to be accepted, or waits for the hanger, in the order of the house. */
export const acceptRows = ({ rooms }: HouseSnapshot): readonly AcceptRow[] => rooms.filter(isToAccept).map(acceptRow);

const isToAccept = ({ method, state, held, applied }: RoomSnapshot): boolean =>
  !state.handedOver && (held.size > 0 || (applied.coats.size === 0 && method.all.acceptance === 'walk'));

function acceptRow(snapshot: RoomSnapshot): AcceptRow {
  const { room, pieces, faces, state } = snapshot;
  const place = placesIn(room);
  const items = hangersItems(snapshot);
  const boarded = new Set(pieces.map(({ face }) => face));
  const ordered = [...faces].filter(({ id }) => boarded.has(id)).sort((a, b) => later(a.kind) - later(b.kind));
  return {
    id: room.id,
    name: room.name,
    room,
    pieces,
    items,
    faces: ordered.map(({ id }) => ({
      id,
      name: faceWords(place(id)),
      found: acceptanceOf(state.acceptances, id)?.found,
      open: items.filter(({ face }) => face === id).length,
    })),
  };
}

const later = (kind: RoomSnapshot['faces'][number]['kind']): number => (kind === 'ceiling' ? 1 : 0);
