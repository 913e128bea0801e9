import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { Check, Mark, RoomState, Sanding } from '../log/stateOf';
import { memoizeLast } from '../measure/memoizeLast';
import type { Level } from '../room/level';

/** What of a room is sanded and signed off, piece by piece and face by face, for as long as no new mud lies on it. */
export interface Finished {
  /** When the last of it was sanded; undefined while something is not. */
  readonly sanded: Mark | undefined;
  readonly sandedPieces: ReadonlySet<string>;
  /** When the last face was signed off, and the lowest level that was met; undefined while some face is not. */
  readonly checked: (Mark & { readonly level: Level }) | undefined;
  readonly checkedFaces: ReadonlyMap<string, Check>;
}

/**
 * What is sanded and what is signed off: the last time that it was said of a piece or of its face counts, unless mud went on the
 * piece after that.
 *
 * @param pieces of the room, see `piecesOf`; none where it cannot be worked out, then the room is taken as one
 */
export const finished = memoizeLast((state: RoomState, pieces: readonly Piece[]): Finished => {
  if (state.sandings.length === 0 && state.checks.length === 0) return NOTHING;
  const lastCoat = lastCoats(state.applied, pieces);
  /** The number of the first coat that would undo what was said. */
  const since = (piece: Piece) => (lastCoat.get(piece.id) ?? -1) + 1;
  const sandedPieces = new Set<string>();
  for (const piece of pieces)
    if (state.sandings.some((sanding) => sanding.after >= since(piece) && isOf(sanding, piece)))
      sandedPieces.add(piece.id);
  const faces = new Map<string, number>();
  for (const piece of pieces) faces.set(piece.face, Math.max(faces.get(piece.face) ?? 0, since(piece)));
  const checkedFaces = new Map<string, Check>();
  for (const [face, first] of faces) {
    const check = state.checks.findLast((own) => own.after >= first && (own.faces?.includes(face) ?? true));
    if (check) checkedFaces.set(face, check);
  }
  const whole = pieces.length === 0;
  const count = state.applied.length;
  const isSanded = whole
    ? state.sandings.some(({ after }) => after === count)
    : pieces.every(({ id }) => sandedPieces.has(id));
  const isChecked = whole
    ? state.checks.some(({ after }) => after === count)
    : [...faces.keys()].every((face) => checkedFaces.has(face));
  const checks = whole ? state.checks.slice(-1) : [...checkedFaces.values()];
  const lastCheck = isChecked ? state.checks.at(-1) : undefined;
  const lowest = checks.reduce<Level | undefined>(
    (low, { level }) => (low === undefined || level < low ? level : low),
    undefined,
  );
  return {
    sanded: isSanded ? state.sandings.at(-1) : undefined,
    sandedPieces,
    checked: lastCheck && lowest !== undefined ? { at: lastCheck.at, who: lastCheck.who, level: lowest } : undefined,
    checkedFaces,
  };
});

const NOTHING: Finished = {
  sanded: undefined,
  sandedPieces: new Set(),
  checked: undefined,
  checkedFaces: new Map(),
};

const isOf = ({ classes, faces }: Sanding, piece: Piece): boolean =>
  (classes?.includes(piece.class) ?? true) && (faces?.includes(piece.face) ?? true);

/** The number of the last coat that lies on each piece. */
function lastCoats(applied: readonly CoatEntry[], pieces: readonly Piece[]): ReadonlyMap<string, number> {
  const last = new Map<string, number>();
  for (const [index, { payload }] of applied.entries()) {
    const on = payload.on ?? pieces.filter((piece) => liesUnder(payload, piece));
    for (const { id } of on) last.set(id, index);
  }
  return last;
}

/** Of a coat that was recorded before anybody found out what it lies on. */
const liesUnder = ({ class: kind, faces }: CoatEntry['payload'], piece: Piece): boolean =>
  kind === piece.class && (faces?.includes(piece.face) ?? true);
