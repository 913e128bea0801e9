import type { Entry } from '@/core/log/entry';
import type { HouseLog } from '@/core/log/houseLog';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { PASS_NAMES } from '@/words/stateWords';

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

/** What a person said within the last minute, all of it that came together. */
export function lastDone(log: HouseLog, rooms: readonly RoomSnapshot[], me: string, now: number): LastDone | undefined {
  const mine = log.last(DONE, MOST).filter(({ by }) => by === me);
  const [last] = mine;
  const left = last ? Date.parse(last.at) + MINUTE_MS - now : 0;
  if (!last || left <= 0) return undefined;
  const together = mine.filter(({ room, at }) => room === last.room && at === last.at);
  const room = rooms.find((own) => own.room.id === last.room)?.room.name ?? 'a room';
  const what =
    last.kind === 'coat'
      ? PASS_NAMES[last.payload.key].toLowerCase()
      : last.kind === 'prefilled'
        ? 'pre-fill'
        : last.kind === 'centered'
          ? 'butts centered'
          : last.kind;
  return { entries: together.map(({ id }) => id), words: `${room}, ${what}`, left };
}
