import { stepAt } from '@/core/air/airClock';
import type { Slowness } from '@/core/drying/touch';
import { heldAt, type OpenItem, type Touched } from '@/core/log/roomState';
import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import type { CoatedClass } from '@/core/method/coat';
import type { CoatKind } from '@/core/readiness/coatClock';
import { dryingClock } from '@/core/readiness/touchChecks';
import { type ClassNow, whatNow } from '@/core/readiness/whatNow';
import type { Room } from '@/core/room/schema';
import { handedPasses, passDone } from '@/core/schedule/assignedWork';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { passWords } from '@/words/stateWords';

/** One class of a room on the walk. */
export interface WalkClass {
  readonly class: CoatedClass;
  readonly now: ClassNow;
  /** When the clock has all that is on ready, ms since 1970, past or to come. */
  readonly readyAt: number | undefined;
  /** What it would be by the tables, where touch checks moved it: ms since 1970, undefined where it would be ready. */
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
  /** Touch checks of today, the last one last. */
  readonly found: readonly Touched[];
  /** What was learned from checks of today, by kind of coat. */
  readonly learned: readonly { readonly kind: CoatKind; readonly slowness: Slowness }[];
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
    handedPasses(rooms, today).filter((pass) => pass.day === today && passDone(pass) < 1),
    ({ room }) => room.room.id,
  );
  const isToday = ({ at }: Touched) => dayOf(Date.parse(at), timeZone) === today;
  return rooms
    .filter(({ standing, applied }) => applied.coats.size > 0 && ON_THE_WAY.includes(standing.now.kind))
    .map((snapshot): WalkRow => {
      const { room, standing, learned, state } = snapshot;
      const [before, soonest, latest] =
        state.touched.length > 0 ? withoutTouches(snapshot, now) : [standing, standing, standing];
      const nowOf = (of: typeof standing | undefined, kind: CoatedClass) =>
        of?.classes.find((other) => other.class === kind)?.now;
      const kinds = new Set(learned.touches.filter(({ touched }) => isToday(touched)).map(({ kind }) => kind));
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
            readyAt: latestOf(kind.coats.flatMap(({ readyAt }) => readyAt ?? [])),
            moved: movedFrom(nowOf(before, kind.class), kind.now, [
              readyAt(nowOf(soonest, kind.class)),
              readyAt(nowOf(latest, kind.class)),
            ]),
          })),
        found: state.touched.filter(isToday),
        learned: [...learned.byKind].flatMap(([kind, slowness]) => (kinds.has(kind) ? [{ kind, slowness }] : [])),
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

/** A room as it would stand had nobody touched it, and by both ends of what was learned. */
function withoutTouches(room: RoomSnapshot, now: number) {
  const stretches = room.applied.stretches.map((stretch) => ({ ...stretch, touched: undefined }));
  return [
    whatNow({ ...room, applied: { ...room.applied, stretches } }, { air: room.air, slowness: new Map() }, now),
    whatNow(room, dryingClock(room.air, room.learned, 'low'), now),
    whatNow(room, dryingClock(room.air, room.learned, 'high'), now),
  ] as const;
}

const latestOf = (instants: readonly number[]): number | undefined =>
  instants.length > 0 ? Math.max(...instants) : undefined;

const ON_THE_WAY: readonly string[] = ['go', 'fix', 'wet', 'stuck', 'sand'];

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
