import { loggedMud, type WetMud, wetMudOf } from '@/core/drying/wetMud';
import type { NewEntry } from '@/core/log/entry';
import { mudOf } from '@/core/materials/loadList';
import type { Coat, CoatId } from '@/core/method/coat';
import type { ReadyCoat } from '@/core/readiness/whatNow';
import { fixFirst } from '@/core/rules/fixFirst';
import { blocksIn } from '@/core/schedule/roomBlocks';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { BLOCKS, type Block } from '@/core/work/block';
import { coatHours } from '@/core/work/tasksOf';

/** A coat that can go, with the mud as its method puts it on. */
export interface CoatToLog {
  readonly coat: Pick<Coat, 'class' | 'key' | 'side' | 'tool' | 'centred'> & { readonly id: CoatId };
  /** On which pieces, where not on all of its class. */
  readonly pieces: readonly string[] | undefined;
  readonly wet: WetMud;
}

export function coatToLog({ coat, pieces }: Pick<ReadyCoat, 'coat' | 'pieces'>, { method }: RoomSnapshot): CoatToLog {
  const { id, class: kind, key, side, tool, centred } = coat;
  return { coat: { id, class: kind, key, side, tool, centred }, pieces, wet: loggedMud(wetMudOf(coat, method)) };
}

/** What of some coats lies on the walls, and what on the ceiling; undefined where the room has not both, or one has nothing. */
export function halvesOf(
  coats: readonly ReadyCoat[],
  room: RoomSnapshot,
): Readonly<Record<Block, readonly CoatToLog[]>> | undefined {
  const blocks = blocksIn(room);
  if (!blocks) return undefined;
  const inBlock = (block: Block) =>
    coats.flatMap((ready): readonly CoatToLog[] => {
      const can = ready.pieces && new Set(ready.pieces);
      const own = blocks.coat(ready.coat.id, block)?.pieces.filter(({ id }) => can?.has(id) ?? true) ?? [];
      return own.length > 0 ? [coatToLog({ coat: ready.coat, pieces: own.map(({ id }) => id) }, room)] : [];
    });
  const halves = { walls: inBlock('walls'), ceiling: inBlock('ceiling') };
  return BLOCKS.every((block) => halves[block].length > 0) ? halves : undefined;
}

/** Returns the problems, by id, that must be fixed before coats that can go now cover them. */
export function problemsUnder(coats: readonly ReadyCoat[], room: RoomSnapshot, now: number): readonly string[] {
  const at = new Date(now).toISOString();
  const items = coats.flatMap(({ coat: { class: kind, key, side }, pieces }) => {
    const payload: CoatPayload = {
      class: kind,
      key,
      ...(side && { side }),
      part: 1,
      mud: { kind: 'drying' },
      ...(pieces && { pieces: pieces.map((id) => ({ id })) }),
    };
    return fixFirst({ at, payload }, room)?.items ?? [];
  });
  return [...new Set(items)];
}
type CoatPayload = Extract<NewEntry, { kind: 'coat' }>['payload'];

/** What some coats take: litres of mud, and hours by the usual rates. */
export function mudWorkOf(coats: readonly ReadyCoat[], room: RoomSnapshot) {
  let [litres, hours] = [0, 0];
  for (const { coat, part } of coats) {
    const own = room.coats.find(({ id }) => id === coat.id);
    if (!own) continue;
    litres += mudOf(own, room.method) * part;
    hours += coatHours(own, room.method) * part;
  }
  return { litres, hours };
}
