import { stepAt } from '@/core/air/airClock';
import { heldAt, type OpenItem } from '@/core/log/stateOf';
import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import type { CoatedClass } from '@/core/method/coat';
import { boundsOf } from '@/core/readiness/touchesIn';
import { type ClassNow, whatNow } from '@/core/readiness/whatNow';
import type { Room } from '@/core/room/schema';
import { handedPasses, passDone } from '@/core/schedule/assignedWork';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { passWords } from '@/words/stateWords';

/** One class of a room on the walk. */
export interface WalkClass {
  readonly class: CoatedClass;
  readonly now: ClassNow;
  /** What it would be by the tables, where thumbs moved it: ms since 1970, undefined where it would be ready. */
  readonly moved:
    | {
        readonly from: number | undefined;
        readonly to: number | undefined;
        /** Between these four times out of five. */
        readonly range: readonly [number | undefined, number | undefined];
      }
    | undefined;
}

/** One room on the walk. */
export interface WalkRow {
  readonly id: string;
  readonly name: string;
  readonly room: Room;
  readonly pieces: RoomSnapshot['pieces'];
  /** Who has it, where somebody does. */
  readonly held: string | undefined;
  /** How its air moves, m/s. */
  readonly fan: number;
  /** What is wrong in it and not mended. */
  readonly items: readonly OpenItem[];
  readonly classes: readonly WalkClass[];
  /** What thumbs found in it today, the last one last. */
  readonly found: RoomSnapshot['felt']['touches'];
  readonly slowness: RoomSnapshot['felt']['slowness'];
  /** Whose work of today waits for it. */
  readonly waits: readonly string[];
}

/** The rooms in which something dries or waits for its next coat, in the order of the house. */
export function walkRows(
  { rooms }: HouseSnapshot,
  now: number,
  timeZone: string,
  names: ReadonlyMap<string, string>,
): readonly WalkRow[] {
  const today = dayOf(now, timeZone);
  const handed = groupBy(
    handedPasses(rooms).filter((pass) => pass.day === today && passDone(pass) < 1),
    ({ room }) => room.room.id,
  );
  return rooms
    .filter(({ standing, applied }) => applied.coats.size > 0 && ON_THE_WAY.includes(standing.now.kind))
    .map((snapshot): WalkRow => {
      const { room, standing, felt, coats, method, state, applied } = snapshot;
      const by = (clock: RoomSnapshot['air']) => whatNow(coats, method, state, applied, snapshot.done, clock, now);
      const [before, soonest, latest] =
        felt.touches.length > 0 ? [felt.plain, ...boundsOf(felt)].map(by) : [standing, standing, standing];
      const nowOf = (of: typeof standing | undefined, kind: CoatedClass) =>
        of?.classes.find((other) => other.class === kind)?.now;
      return {
        id: room.id,
        name: room.name,
        room,
        pieces: snapshot.pieces,
        held: heldAt(state, now)?.why,
        fan: stepAt(snapshot.air, now).air.speed ?? 0,
        items: state.items.filter(({ closed }) => !closed),
        classes: standing.classes
          .filter((kind) => kind.coats.some(({ phase }) => phase !== 'planned'))
          .map((kind) => ({
            class: kind.class,
            now: kind.now,
            moved: movedFrom(nowOf(before, kind.class), kind.now, [
              readyAt(nowOf(soonest, kind.class)),
              readyAt(nowOf(latest, kind.class)),
            ]),
          })),
        found: felt.touches.filter(({ touched }) => dayOf(Date.parse(touched.at), timeZone) === today),
        slowness: felt.slowness,
        waits:
          names.size === 0
            ? []
            : (handed.get(room.id) ?? []).map(
                ({ people, task, block }) =>
                  `${people.map((id) => names.get(id) ?? 'somebody').join(' and ')}: ${passWords(task.pass, block)}`,
              ),
      };
    });
}

const ON_THE_WAY: readonly string[] = ['go', 'wet', 'stuck', 'sand'];

const readyAt = (now: ClassNow | undefined): number | undefined => (now?.kind === 'wet' ? now.until : undefined);

/** A change that is worth a word: five minutes or more. */
function movedFrom(
  before: ClassNow | undefined,
  after: ClassNow,
  range: NonNullable<WalkClass['moved']>['range'],
): WalkClass['moved'] {
  const [from, to] = [readyAt(before), readyAt(after)];
  if (from === to || (from !== undefined && to !== undefined && Math.abs(from - to) < 300_000)) return undefined;
  return { from, to, range };
}
