import type { Entry } from '@/core/log/entry';
import type { HouseLog } from '@/core/log/houseLog';
import { blocksIn } from '@/core/schedule/roomBlocks';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { BLOCKS, type Block } from '@/core/work/block';
import { BLOCK_NAMES, PASS_NAMES } from '@/words/stateWords';

/** What somebody said last with one press, while it is taken back with another one. */
export interface LastDone {
  readonly entries: readonly string[];
  readonly words: string;
  /** How long it still is, ms. */
  readonly left: number;
}

const DONE: ReadonlySet<Entry['kind']> = new Set(['coat', 'prefilled', 'centered', 'sanded', 'sealed']);
const MINUTE_MS = 60_000;
/** More is not said with one press. */
const MOST = 20;

/**
 * Returns what a person logged within the last minute, all of it that came together. What a phone kept without a signal counts from
 * when it was recorded.
 */
export function lastDone(log: HouseLog, rooms: readonly RoomSnapshot[], me: string, now: number): LastDone | undefined {
  const mine = log.last(DONE, MOST).filter(({ by }) => by === me);
  const [last] = mine;
  const left = last ? Math.max(Date.parse(last.at), Date.parse(last.recordedAt)) + MINUTE_MS - now : 0;
  if (!last || left <= 0) return undefined;
  const together = mine.filter(({ room, at }) => room === last.room && at === last.at);
  const room = rooms.find((own) => own.room.id === last.room);
  const what =
    last.kind === 'coat'
      ? PASS_NAMES[last.payload.key].toLowerCase()
      : last.kind === 'prefilled'
        ? 'pre-fill'
        : last.kind === 'centered'
          ? 'butts centered'
          : last.kind;
  const where = room ? whereOn(together, room) : '';
  return { entries: together.map(({ id }) => id), words: `${room?.room.name ?? 'a room'}, ${what}${where}`, left };
}

/** Returns the part of a room that some coats cover: its walls, its ceiling or *in part*; empty for all of it. */
function whereOn(entries: readonly Entry[], room: RoomSnapshot): string {
  const coats = entries.flatMap((entry) => (entry.kind === 'coat' ? [entry.payload] : []));
  if (coats.every(({ pieces, faces, part }) => !pieces && !faces && part === 1)) return '';
  const on = new Set(
    coats.flatMap((coat) => (coat.on ?? []).flatMap(({ id, amount, of }) => (amount === of ? [id] : []))),
  );
  const blocks = blocksIn(room);
  const asked = (block: Block) =>
    coats.flatMap(({ class: kind, key, side }) => {
      const coat = room.coats.find((own) => own.class === kind && own.key === key && own.side === side);
      return (coat && blocks?.coat(coat.id, block)?.pieces) ?? [];
    });
  const whole = BLOCKS.filter((block) => asked(block).length > 0 && asked(block).every(({ id }) => on.has(id)));
  const begun = BLOCKS.filter((block) => asked(block).some(({ id }) => on.has(id)));
  const [only] = whole;
  return only && whole.length === 1 && begun.length === 1 ? `, ${BLOCK_NAMES[only]}` : ', in part';
}
