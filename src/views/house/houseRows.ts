import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import type { Point } from '@/core/measure/vector';
import { groupsInOrder, nextSteps } from '@/core/readiness/nextSteps';
import { assignedDays } from '@/core/schedule/assignedDays';
import { passDone } from '@/core/schedule/assignedWork';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { floorPlanOutlines } from '@/ui/room/floorPlanOutlines';
import { itemWords } from '@/words/defectWords';
import { GROUP_NAMES, PASS_NAMES, roomWords, type StateWords, stuckWords } from '@/words/stateWords';
import { leftWords, untilWords } from '@/words/when';

/** A room of the floor plan: its outline where it stands, mm, and how far it is. */
export interface PlanRoom {
  readonly id: string;
  readonly name: string;
  readonly points: readonly Point[];
  /** Whether somebody placed it on the floor plan. */
  readonly isPlaced: boolean;
  /** 0–1 */
  readonly progress: number;
  readonly words: StateWords;
}

/** A room, or something in it, with what is said of it and the page of the house that has more. */
export interface ListedRoom {
  readonly key: string;
  readonly name: string;
  readonly path: string;
  readonly note: string;
}

/** The first of many, and how many there are. */
export interface Listed {
  readonly count: number;
  readonly rooms: readonly ListedRoom[];
}

/** All that the House shows. */
export interface HouseRows {
  readonly floors: readonly { readonly floor: string; readonly rooms: readonly PlanRoom[] }[];
  readonly wrong: Listed;
  readonly going: Listed;
  readonly wet: Listed;
  readonly stuck: Listed;
  /** Undefined for those who are told of nobody. */
  readonly today:
    | undefined
    | readonly {
        readonly id: string;
        readonly name: string;
        /** Of what they have today, still to do. */
        readonly left: number;
        readonly passes: readonly {
          readonly key: string;
          readonly words: string;
          readonly state: string;
          readonly isDone: boolean;
        }[];
      }[];
}

/** A walk in the morning starts with a dozen rooms; a larger house has its board for the rest. */
const MOST_LISTED = 12;

export function houseRows(
  snapshot: HouseSnapshot,
  people: readonly { readonly id: string; readonly name: string }[] | undefined,
  now: number,
  timeZone: string,
): HouseRows {
  const { rooms, house } = snapshot;
  const of = (kinds: readonly string[]) => rooms.filter(({ standing }) => kinds.includes(standing.now.kind));
  const wet = rooms.filter(({ standing }) => standing.wetUntil !== undefined).sort((a, b) => firstDry(a) - firstDry(b));
  const wrong = rooms.flatMap(({ room, state }) =>
    state.items
      .filter(({ closed }) => !closed)
      .map((item) => ({
        key: item.id,
        name: room.name,
        path: `/sand#${room.id}`,
        note: () => itemWords(item, room, house.unit),
      })),
  );
  return {
    floors: [...new Set(rooms.map(({ room }) => room.floor))].map((floor) => ({
      floor,
      rooms: floorPlanOutlines(
        rooms.filter(({ room }) => room.floor === floor),
        house.unit,
      ).map(({ item: { room, progress, standing }, points }) => ({
        id: room.id,
        name: room.name,
        points: points.map(([x, y]): Point => [Math.round(x), Math.round(y)]),
        isPlaced: room.at !== undefined,
        progress,
        words: roomWords(standing.now, now, timeZone),
      })),
    })),
    wrong: {
      count: wrong.length,
      rooms: wrong.slice(0, MOST_LISTED).map(({ note, ...item }) => ({ ...item, note: note() })),
    },
    going: listed(of(['go', 'fix', 'sand', 'check', 'seal', 'handOver']), goNote),
    wet: listed(wet, (room) => wetNote(room, now, timeZone)),
    stuck: listed(of(['stuck']), ({ standing }) => (standing.now.kind === 'stuck' ? stuckWords(standing.now.why) : '')),
    today: people && todayRows(snapshot, people, now, timeZone),
  };
}

const listed = (rooms: readonly RoomSnapshot[], note: (room: RoomSnapshot) => string): Listed => ({
  count: rooms.length,
  rooms: rooms.slice(0, MOST_LISTED).map((snapshot) => ({
    key: snapshot.room.id,
    name: snapshot.room.name,
    path: pathOf(snapshot),
    note: note(snapshot),
  })),
});

function pathOf({ room, standing }: RoomSnapshot): string {
  if (['fix', 'sand', 'check', 'seal'].includes(standing.now.kind)) return `/sand#${room.id}`;
  if (standing.now.kind === 'handOver') return `/hand-over/${room.id}`;
  return `/board#${room.id}`;
}

function goNote({ standing, method }: RoomSnapshot): string {
  if (standing.now.kind === 'fix') return 'fix what is wrong first';
  if (standing.now.kind === 'sand') return 'dry: sand';
  if (standing.now.kind === 'check') return 'sanded: check in light';
  if (standing.now.kind === 'seal') return 'checked: seal';
  if (standing.now.kind === 'handOver') return 'ready: hand over';
  const byRound = groupBy(
    nextSteps(standing, method).flatMap(({ ready }) => ready?.coat ?? []),
    ({ round }) => round,
  );
  return [...byRound]
    .map(
      ([round, coats]) =>
        `${PASS_NAMES[round]}: ${groupsInOrder(coats)
          .map((group) => GROUP_NAMES[group])
          .join(', ')}`,
    )
    .join('; ');
}

/** When the first of a room's wet mud can be worked on. */
const firstDry = ({ standing }: RoomSnapshot): number =>
  Math.min(
    standing.wetUntil ?? Number.POSITIVE_INFINITY,
    ...standing.classes.flatMap(({ changesAt }) => changesAt ?? []),
  );

function wetNote({ standing }: RoomSnapshot, now: number, timeZone: string): string {
  const wet = standing.classes.filter(({ wetUntil }) => wetUntil !== undefined).length;
  if (wet === 0) return `sealer, dry ${untilWords(standing.wetUntil ?? now, now, timeZone)}`;
  return `${wet} of ${standing.classes.length} classes, all dry ${untilWords(standing.wetUntil ?? now, now, timeZone)}`;
}

function todayRows(
  snapshot: HouseSnapshot,
  people: readonly { readonly id: string; readonly name: string }[],
  now: number,
  timeZone: string,
): HouseRows['today'] {
  const today = dayOf(now, timeZone);
  const days = assignedDays(snapshot.rooms, today);
  return people.flatMap(({ id, name }) => {
    const { passes, left } = days.dayOf(id, today);
    if (passes.length === 0) return [];
    const rows = passes.map((pass) => ({
      key: `${pass.room.room.id} ${pass.task.pass} ${pass.block} ${pass.leftFrom}`,
      words: `${pass.room.room.name}: ${PASS_NAMES[pass.task.pass].toLowerCase()}${leftWords(pass)}`,
      state: roomWords(pass.room.standing.now, now, timeZone).title,
      isDone: passDone(pass) === 1,
    }));
    // Jobs that read alike stand once.
    const alike = [...groupBy(rows, ({ words, isDone }) => `${words} ${isDone}`).values()];
    return [
      {
        id,
        name,
        left,
        passes: alike.flatMap(([row, ...more]) =>
          row ? [{ ...row, words: more.length > 0 ? `${row.words} ×${more.length + 1}` : row.words }] : [],
        ),
      },
    ];
  });
}
