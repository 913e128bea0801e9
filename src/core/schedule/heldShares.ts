import type { CoatId } from '../method/coat';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import type { Block } from '../work/block';
import type { RoomBlocks } from './roomBlocks';

/** Whether the tape of a room waits for its hanger or for being accepted: all of it, some, or nothing. */
export function waitsForHanger({ applied, held }: RoomSnapshot): 'all' | 'some' | undefined {
  if (held.size === 0) return undefined;
  const coated = applied.stretches.filter(({ coats }) => coats.length > 0);
  return coated.every((stretch) => stretch.held) ? 'all' : 'some';
}

/** How much of a coat, or of what of it lies in one block, is on held faces, 0–1. */
export type HeldOf = (coat: CoatId, block?: Block) => number;

/** What is held beside what is not is left out of the plan; where all of it is held, the room is. */
export function heldShares(snapshot: RoomSnapshot, blocks: RoomBlocks | undefined): HeldOf {
  if (waitsForHanger(snapshot) !== 'some') return () => 0;
  const sums = new Map<string, { held: number; all: number }>();
  const add = (key: string, amount: number, isHeld: boolean) => {
    const sum = sums.get(key) ?? { held: 0, all: 0 };
    sums.set(key, { held: sum.held + (isHeld ? amount : 0), all: sum.all + amount });
  };
  for (const { pieces, coats, held } of snapshot.applied.stretches)
    for (const { coat } of coats)
      for (const piece of pieces) {
        add(coat.id, piece.amount, held);
        if (blocks) add(`${coat.id} ${blocks.of(piece)}`, piece.amount, held);
      }
  return (coat, block) => {
    const sum = sums.get(block ? `${coat} ${block}` : coat);
    return sum ? sum.held / sum.all : 0;
  };
}

/** The part that is left, less what is held. */
export const lessHeld = (part: number, held: number): number => (part - held < 1e-9 ? 0 : part - held);
