import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { Check, Mark, RoomState, Sanding } from '../log/roomState';
import { memoizeLast } from '../measure/memoizeLast';
import type { Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';
import type { Level } from '../room/level';
import type { Room } from '../room/schema';
import type { AppliedCoats, Stretch } from './appliedCoats';

/** The pieces of a room that are sanded and the faces that are signed off, as far as all of their coats are on. */
export interface Finished {
  /** Nothing is left to be sanded, also where nothing ever was. */
  readonly isSanded: boolean;
  /** When the last of it was sanded; undefined while something is not. */
  readonly sanded: Mark | undefined;
  readonly sandedPieces: ReadonlySet<string>;
  /** When the last face was signed off, and the lowest level that was met; undefined while some face is not. */
  readonly checked: (Mark & { readonly level: Level }) | undefined;
  readonly checkedFaces: ReadonlyMap<string, Check>;
}

/**
 * Returns what is sanded and what is signed off. The last entry about a piece or its face counts, for as long as every coat that
 * is asked for is on and none went on after it: a piece that is new, longer than it was, or gets one more coat is neither.
 *
 * @param applied of the room, see `appliedCoats`
 */
export const finished = memoizeLast(
  (state: RoomState, applied: AppliedCoats, method: Method, finish: Room['finish']): Finished => {
    const asked = applied.stretches.filter(({ coats }) => coats.length > 0);
    if (asked.length === 0) return NOTHING;
    if (state.sandings.length === 0 && state.checks.length === 0 && !asked.every(isTrimmed)) return NOTHING;
    const lastCoat = lastCoats(state.applied, applied.stretches);
    /** The number of the first coat that would undo what was said. */
    const since = ({ id }: Piece) => (lastCoat.get(id) ?? -1) + 1;
    const sandedPieces = sandedIn(state, asked, since);
    const open = new Set(asked.filter((stretch) => !isComplete(stretch)).flatMap(facesOfStretch));
    const faces = new Map<string, number>();
    for (const { pieces } of applied.stretches)
      for (const piece of pieces) faces.set(piece.face, Math.max(faces.get(piece.face) ?? 0, since(piece)));
    const checkedFaces = new Map<string, Check>();
    for (const [face, first] of faces) {
      const check = state.checks.findLast((own) => own.after >= first && (own.faces?.includes(face) ?? true));
      if (check && !open.has(face) && check.level >= methodOn([face], method, finish).level)
        checkedFaces.set(face, check);
    }
    const isSanded = asked.every(({ pieces }) => pieces.every(({ id }) => sandedPieces.has(id)));
    const isChecked = asked.every((stretch) => facesOfStretch(stretch).every((face) => checkedFaces.has(face)));
    const lastCheck = isChecked ? state.checks.at(-1) : undefined;
    const levels = [...checkedFaces.values()].map(({ level }) => level).toSorted((a, b) => a - b);
    return {
      isSanded,
      sanded: isSanded ? state.sandings.at(-1) : undefined,
      sandedPieces,
      checked:
        lastCheck && levels[0] !== undefined ? { at: lastCheck.at, who: lastCheck.who, level: levels[0] } : undefined,
      checkedFaces,
    };
  },
);

const NOTHING: Finished = {
  isSanded: false,
  sanded: undefined,
  sandedPieces: new Set(),
  checked: undefined,
  checkedFaces: new Map(),
};

/** The faces on which something gets a coat: those that are looked at in the light and signed off. */
export const facesToSign = ({ stretches }: Pick<AppliedCoats, 'stretches'>): readonly string[] => [
  ...new Set(stretches.filter(({ coats }) => coats.length > 0).flatMap(facesOfStretch)),
];

/** Whether every coat that pieces get is on. */
export const isComplete = ({ coats }: Pick<Stretch, 'coats'>): boolean => coats.every(({ share }) => share === 1);

/** Whether pieces are covered with trim, under which nobody sands. */
const isTrimmed = ({ coats }: Pick<Stretch, 'coats'>): boolean => coats.some(({ coat }) => coat.trimmed);

const facesOfStretch = ({ pieces }: Stretch): readonly string[] => pieces.map(({ face }) => face);

/** Pieces that are sanded: by an entry, or with the skim that lies over them. */
function sandedIn(
  { sandings }: RoomState,
  asked: readonly Stretch[],
  since: (piece: Piece) => number,
): ReadonlySet<string> {
  const complete = asked.filter(isComplete);
  const bySaid = (piece: Piece) => sandings.some((sanding) => sanding.after >= since(piece) && isOf(sanding, piece));
  const sanded = new Set<string>();
  for (const stretch of complete) {
    for (const piece of stretch.pieces) if (isTrimmed(stretch) || bySaid(piece)) sanded.add(piece.id);
  }
  const skimmed = new Set(
    complete.flatMap((stretch) =>
      stretch.class === 'surface' ? stretch.pieces.filter(({ id }) => sanded.has(id)).map(({ face }) => face) : [],
    ),
  );
  for (const { pieces } of complete) for (const piece of pieces) if (skimmed.has(piece.face)) sanded.add(piece.id);
  return sanded;
}

const isOf = ({ classes, faces }: Sanding, piece: Piece): boolean =>
  (classes?.includes(piece.class) ?? true) && (faces?.includes(piece.face) ?? true);

/** The number of the last coat that lies on each piece. */
function lastCoats(applied: readonly CoatEntry[], stretches: readonly Stretch[]): ReadonlyMap<string, number> {
  const pieces = stretches.flatMap((stretch) => stretch.pieces);
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
