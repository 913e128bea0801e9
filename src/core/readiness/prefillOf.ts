import { CLASS_TRAITS } from '../joints/classTraits';
import type { Piece } from '../joints/pieces';
import type { OpenItem, Prefill, RoomState } from '../log/roomState';
import { isPrefilled } from '../method/defects';
import { GAPPED, prefillLitres } from '../method/smallWork';
import type { AppliedCoats } from '../standing/appliedCoats';
import { acceptanceOf } from '../standing/heldFaces';

/** What of a room is filled before the tape, and how far that is. */
export interface PrefillStanding {
  /** All of it, filled or not, mm: what was noted, and what is guessed of faces that nobody looked at; undefined where all of it is. */
  readonly found: number | undefined;
  /** The mud of all of it, litres. */
  readonly litres: number | undefined;
  /** The mud that was filled in each time, litres. */
  readonly filled: readonly { readonly prefill: Prefill; readonly litres: number }[];
  /** The part that is filled, 0–1. */
  readonly done: number;
  /** When what was filled may be taped, ms since 1970; undefined where nothing was. */
  readonly firmAt: number | undefined;
}

/**
 * Returns what is to be pre-filled in a room: the gaps and broken corners that were noted with their lengths, and on faces that nobody
 * looked at a part of the joints that gape most. What was said to be filled counts on its faces.
 */
export function prefillOf(
  { acceptances, items, prefills }: Pick<RoomState, 'acceptances' | 'items' | 'prefills'>,
  pieces: readonly Piece[],
): PrefillStanding {
  const firmAt = prefills.length > 0 ? Math.max(...prefills.map((prefill) => prefill.firmAt)) : undefined;
  const [open, closed] = [items.filter(isGap), items.filter((item) => item.closed?.prefilled)];
  const guessed = guessedOn(acceptances, pieces);
  const left = new Map(guessed);
  const filled = prefills.map((prefill) => {
    let length = 0;
    for (const [face, own] of left) {
      if (prefill.faces && !prefill.faces.includes(face)) continue;
      length += own;
      left.delete(face);
    }
    const noted = summed(items.filter(({ id }) => prefill.items.includes(id)));
    return { prefill, litres: prefillLitres(length) + noted.litres };
  });
  const [noted, done] = [summed([...open, ...closed]), summed(closed)];
  const [guess, guessLeft] = [total(guessed), total(left)];
  const found = noted.length + guess;
  const isOpen = open.length > 0 || guessLeft > 0;
  // Nobody noted a gap, nor looked at a face.
  const isGuess = acceptances.length === 0 && open.length + closed.length === 0;
  return {
    found: isGuess ? undefined : found,
    litres: isGuess ? undefined : noted.litres + prefillLitres(guess),
    filled,
    done: !isOpen && prefills.length > 0 ? 1 : found > 0 ? (done.length + guess - guessLeft) / found : 0,
    firmAt,
  };
}

/** Returns the part of the gaps of a room at which nothing is left to do, 0–1: nobody fills under tape that is on. */
export const prefillDone = ({
  applied,
  prefill,
}: {
  readonly applied: Pick<AppliedCoats, 'coats'>;
  readonly prefill: Pick<PrefillStanding, 'done'>;
}): number => (applied.coats.size > 0 ? 1 : prefill.done);

/** The gaps that are guessed on faces at which nobody looked, mm by face. */
function guessedOn(acceptances: RoomState['acceptances'], pieces: readonly Piece[]): ReadonlyMap<string, number> {
  const guessed = new Map<string, number>();
  for (const { class: kind, face, amount } of pieces) {
    if (!CLASS_TRAITS[kind].gapped || acceptanceOf(acceptances, face)) continue;
    guessed.set(face, (guessed.get(face) ?? 0) + amount * GAPPED);
  }
  return guessed;
}

const total = (lengths: ReadonlyMap<string, number>): number =>
  [...lengths.values()].reduce((sum, own) => sum + own, 0);

/** How long some gaps are together, mm, and the mud that they take. */
const summed = (items: readonly OpenItem[]): { readonly length: number; readonly litres: number } => ({
  length: items.reduce((sum, { length = 0 }) => sum + length, 0),
  litres: items.reduce((sum, { length = 0, width }) => sum + prefillLitres(length, width), 0),
});

/** A gap or a broken corner that is not filled, of which somebody said how long it is. */
export const isGap = ({ closed, defect, length }: OpenItem): boolean =>
  !closed && isPrefilled(defect) && length !== undefined;
