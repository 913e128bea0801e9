import { CLASS_TRAITS } from '../joints/classTraits';
import type { Piece } from '../joints/pieces';
import type { OpenItem, Prefill, RoomState } from '../log/stateOf';
import { isPrefilled } from '../method/defects';
import { GAPPED, prefillLitres } from '../method/smallWork';
import { acceptanceOf } from '../standing/heldFaces';

/** What of a room is filled before the tape, and how far that is. */
export interface PrefillStanding {
  /** All of it by what was found, filled or not, mm; undefined where nobody looked at some face: then it is guessed. */
  readonly found: number | undefined;
  /** The mud of all that was found, litres. */
  readonly litres: number | undefined;
  /** The mud that was filled in each time, litres. */
  readonly filled: readonly { readonly prefill: Prefill; readonly litres: number }[];
  /** The part that is filled, 0–1. */
  readonly done: number;
  /** When what was filled may be taped, ms since 1970; undefined where nothing was. */
  readonly firmAt: number | undefined;
}

/**
 * What is to be pre-filled in a room: the gaps and broken corners with their lengths, once every face was looked at; before, a
 * part of the joints that gape most. What was said to be filled counts on its faces.
 */
export function prefillOf(
  { acceptances, items, prefills }: Pick<RoomState, 'acceptances' | 'items' | 'prefills'>,
  pieces: readonly Piece[],
): PrefillStanding {
  const firmAt = prefills.length > 0 ? Math.max(...prefills.map((prefill) => prefill.firmAt)) : undefined;
  if (isLookedAt(acceptances, pieces)) {
    const [open, filled] = [summed(items.filter(isGap)), summed(items.filter(({ closed }) => closed?.prefilled))];
    const found = open.length + filled.length;
    const done = open.length === 0 && prefills.length > 0 ? 1 : found > 0 ? filled.length / found : 0;
    const each = prefills.map((prefill) => ({
      prefill,
      litres: summed(items.filter(({ id }) => prefill.items.includes(id))).litres,
    }));
    return { found, litres: open.litres + filled.litres, filled: each, done, firmAt };
  }
  const gaping = pieces.filter((piece) => CLASS_TRAITS[piece.class].gapped);
  const length = (some: readonly Piece[]) => some.reduce((all, { amount }) => all + amount, 0);
  let open = gaping;
  const filled = prefills.map((prefill) => {
    const left = open.filter(({ face }) => prefill.faces !== undefined && !prefill.faces.includes(face));
    const on = length(open) - length(left);
    open = left;
    return { prefill, litres: prefillLitres(on * GAPPED) };
  });
  const everywhere = prefills.some(({ faces }) => faces === undefined);
  const whole = length(gaping);
  const done = everywhere ? 1 : whole > 0 ? 1 - length(open) / whole : 0;
  return { found: undefined, litres: undefined, filled, done, firmAt };
}

/** How long some gaps are together, mm, and the mud that they take. */
const summed = (items: readonly OpenItem[]): { readonly length: number; readonly litres: number } => ({
  length: items.reduce((sum, { length = 0 }) => sum + length, 0),
  litres: items.reduce((sum, { length = 0, width }) => sum + prefillLitres(length, width), 0),
});

/** Whether somebody looked at every face. */
function isLookedAt(acceptances: RoomState['acceptances'], pieces: readonly Piece[]): boolean {
  if (acceptances.length === 0) return false;
  return [...new Set(pieces.map(({ face }) => face))].every((face) => acceptanceOf(acceptances, face) !== undefined);
}

/** A gap or a broken corner that is not filled, of which somebody said how long it is. */
export const isGap = ({ closed, defect, length }: OpenItem): boolean =>
  !closed && isPrefilled(defect) && length !== undefined;
