import { amountOf, type Piece } from '../joints/pieces';
import type { KeptFace } from '../joints/takeOff';
import { memoizeLast } from '../measure/memoizeLast';
import type { CoatId } from '../method/coat';
import type { JointsWithMore } from '../method/extraCoat';
import type { Method } from '../method/resolveMethod';
import type { Room } from '../room/schema';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { coatPieces } from '../standing/coatPieces';
import { wholeIfNearly } from '../standing/layers';
import { BLOCKS, type Block, blockOf } from '../work/block';

/** What of a coat lies in one block of a room. */
export interface CoatInBlock {
  readonly pieces: readonly Piece[];
  /** How much of all that gets the coat, 0–1. */
  readonly share: number;
  /** The part of it that is on, 0–1. */
  readonly done: number;
}

/** The walls and the ceiling of a room, as far as they are run apart. */
export interface RoomBlocks {
  readonly of: (piece: Pick<Piece, 'faces'>) => Block;
  /** Undefined for a coat of which nothing lies there. */
  readonly coat: (id: CoatId, block: Block) => CoatInBlock | undefined;
}

/** How the coats of a room are shared between its walls and its ceiling; undefined where it has not both. */
export function blocksIn({ pieces, faces, method, applied, room, more }: RoomSnapshot): RoomBlocks | undefined {
  const asked = cachedBlockPieces(pieces, faces, method, room.finish, more);
  if (!asked) return undefined;
  const done = new Map<string, number>();
  for (const stretch of applied.stretches) {
    const amounts = { walls: 0, ceiling: 0 };
    for (const piece of stretch.pieces) amounts[asked.of(piece)] += piece.amount;
    for (const { coat, share } of stretch.coats)
      for (const block of BLOCKS) {
        const key = `${coat.id} ${block}`;
        done.set(key, (done.get(key) ?? 0) + share * amounts[block]);
      }
  }
  return {
    of: asked.of,
    coat: (id, block) => {
      const own = asked.coats.get(id)?.[block];
      if (!own || own.amount === 0) return undefined;
      const { pieces: there, amount, share } = own;
      return { pieces: there, share, done: wholeIfNearly((done.get(`${id} ${block}`) ?? 0) / amount) };
    },
  };
}

interface BlockPieces {
  readonly of: RoomBlocks['of'];
  readonly coats: ReadonlyMap<
    CoatId,
    Readonly<Record<Block, { readonly pieces: readonly Piece[]; readonly amount: number; readonly share: number }>>
  >;
}

/** The pieces of each coat by block, for a room of which nothing changed since it was asked last. */
const cachedBlockPieces = memoizeLast(
  (
    pieces: readonly Piece[],
    faces: readonly KeptFace[],
    method: Method,
    finish: Room['finish'],
    more: JointsWithMore,
  ): BlockPieces | undefined => {
    const ceilings = new Set(faces.flatMap(({ id, kind }) => (kind === 'ceiling' ? [id] : [])));
    const of = (piece: Pick<Piece, 'faces'>) => blockOf(piece, ceilings);
    if (new Set(pieces.map(of)).size < BLOCKS.length) return undefined;
    const coats = [...coatPieces(pieces, method, finish, more)].map(([id, all]) => {
      const whole = amountOf(all);
      const inBlock = (block: Block) => {
        const own = all.filter((piece) => of(piece) === block);
        return { pieces: own, amount: amountOf(own), share: amountOf(own) / whole };
      };
      return [id, { walls: inBlock('walls'), ceiling: inBlock('ceiling') }] as const;
    });
    return { of, coats: new Map(coats) };
  },
);
