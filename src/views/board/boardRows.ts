import { type CatchUp, catchUps } from '@/core/drywatch/catchUp';
import { CLASS_TRAITS } from '@/core/joints/classTraits';
import type { Entry } from '@/core/log/entry';
import type { HouseLog } from '@/core/log/houseLog';
import { isOfCrew, type Person } from '@/core/log/person';
import { heldAt } from '@/core/log/roomState';
import { whoDid } from '@/core/log/whoDid';
import { memoizeLast } from '@/core/measure/memoizeLast';
import type { Coat, CoatedClass, CoatKey, Side } from '@/core/method/coat';
import type { ExtraCoat } from '@/core/method/extraCoat';
import type { Method } from '@/core/method/resolveMethod';
import { nextSteps } from '@/core/readiness/nextSteps';
import { prefillDone } from '@/core/readiness/prefillOf';
import type { ClassNow, CoatStanding } from '@/core/readiness/whatNow';
import { placesIn } from '@/core/room/ids';
import type { Level } from '@/core/room/level';
import type { Room } from '@/core/room/schema';
import { type HouseSnapshot, minuteOf, type RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { wayOfRooms } from '@/ui/section/sectionsOf';
import { faceWords, listFaces } from '@/words/faceWords';
import { facesWords, loggedCoatWords } from '@/words/loggedWords';
import { namesIn } from '@/words/names';
import { CLASS_NAMES, classWords, type StateWords } from '@/words/stateWords';

/** One room of the board. */
export interface BoardRow {
  readonly id: string;
  readonly name: string;
  /** Its level of finish and its method, by number in `boardMethods`: its coats follow from them. */
  readonly level: Level;
  readonly method: number;
  /** What its glyphs are told by. */
  readonly way: string;
  readonly progress: number;
  readonly tooLarge: boolean;
  readonly held: string | undefined;
  /** Whether it is handed over: what is logged then opens it again. */
  readonly over: boolean;
  /** The gaps that are to be filled before its tape, mm, found or guessed, and the label of the setting mud. */
  readonly prefill?: { readonly length: number; readonly found: boolean; readonly minutes: number };
  /** Boxed butts that are on and still to be centered, and when their sides are stiff; ms since 1970. */
  readonly center?: { readonly round: CoatKey; readonly from: number };
  /** Faces whose joints moved under coats, by id and in words, until somebody says whether their boards are new. */
  readonly moved?: { readonly faces: readonly string[]; readonly names: string };
  /** Its faces that are coated. */
  readonly faces: readonly { readonly id: string; readonly words: string; readonly ceiling: boolean }[];
  readonly cells: readonly BoardCell[];
}
/** One class of a room: how its coats stand, and what can be done with it now. */
export interface BoardCell {
  readonly class: CoatedClass;
  readonly now: ClassNow['kind'];
  readonly words: StateWords;
  readonly coats: readonly (Pick<CoatStanding, 'phase' | 'share'> & Pick<Coat, 'key'> & { readonly side?: Side })[];
  /** On which of the row's faces it lies, by their number there. */
  readonly on: readonly number[];
  /** mm of joint, mm² of the surface, or pieces for fasteners. */
  readonly amount: number;
  /** When it is run among what is run next in the room: 1 comes first. */
  readonly order?: number;
  /** The joints that get one coat more than their class, and the widest of these coats. */
  readonly extra?: ExtraCoat & { readonly pieces: readonly string[] };
  /** Where the class holds its room up: what setting mud or a fan would win. */
  readonly catchUp?: { readonly key: CoatKey } & Pick<CatchUp, 'setting' | 'fanHours'>;
}

/** An entry as the list of what was last done shows it. */
export interface RecentEntry {
  readonly id: string;
  readonly at: number;
  readonly words: string;
  readonly who: string;
  readonly mine: boolean;
}

/** The rows of the board, as lean as they can be sent. */
export function boardRows(own: HouseSnapshot, instant: number, timeZone: string): readonly BoardRow[] {
  const { rooms } = own;
  const methods = boardMethods(rooms);
  const wayOf = wayOfRooms(own);
  return rooms.map((snapshot) => {
    const method = methods.findIndex(({ classes }) => classes === snapshot.method.classes);
    return boardRow(snapshot, minuteOf(snapshot, instant), timeZone, wayOf(snapshot), method);
  });
}

/** A row says the same for a minute, while nothing of its room changes. */
const boardRow = memoizeLast(
  (snapshot: RoomSnapshot, instant: number, timeZone: string, way: string, methodIndex: number): BoardRow => {
    const { room, level, standing: roomStanding, coats: planned, progress, tooLarge, state } = snapshot;
    const lagging = catchUps(snapshot, instant);
    const { faces, on } = coatedFaces(snapshot.pieces, room);
    const amounts = amountsOf(planned);
    const order = orderIn(snapshot);
    return {
      id: room.id,
      name: room.name,
      level: rowLevel(room, level),
      way,
      method: methodIndex,
      progress,
      tooLarge,
      held: heldAt(state, instant)?.why,
      over: state.handedOver !== undefined,
      ...prefillOf(snapshot),
      ...centerOf(snapshot),
      ...(state.movedFaces.length > 0 && {
        moved: { faces: state.movedFaces, names: listFaces(state.movedFaces, snapshot.faces) },
      }),
      faces,
      cells: roomStanding.classes.map(({ class: kind, now, coats }) => ({
        class: kind,
        now: now.kind,
        words: classWords(now, instant, timeZone),
        coats: coats.map(({ phase, share, coat: { key, side } }) => ({ key, ...(side && { side }), phase, share })),
        on: on.get(kind) ?? [],
        amount: rounded(amounts.get(kind) ?? 0),
        ...(order.has(kind) ? { order: order.get(kind) as number } : {}),
        ...extraOf(kind, snapshot),
        ...catchUpOf(kind, lagging),
      })),
    };
  },
);

/** The place of each class in what is run next in its room, where several are: 1 comes first. */
function orderIn({ standing, method }: RoomSnapshot): ReadonlyMap<CoatedClass, number> {
  const steps = nextSteps(standing, method).map(({ coat }) => ({
    kind: coat.class,
    run: `${coat.round} ${CLASS_TRAITS[coat.class].run}`,
  }));
  const runs = [...new Set(steps.map(({ run }) => run))];
  if (runs.length < 2) return new Map();
  // A class that is run twice has the number of the first time.
  return new Map(steps.toReversed().map(({ kind, run }) => [kind, 1 + runs.indexOf(run)]));
}

function prefillOf(room: RoomSnapshot): Pick<BoardRow, 'prefill'> {
  const { tasks, prefill, method } = room;
  const whole = tasks.flatMap(({ small }) => small).find(({ kind }) => kind === 'prefill')?.amount ?? 0;
  const length = rounded(whole * (1 - prefillDone(room)));
  if (length === 0) return {};
  return { prefill: { length, found: prefill.found !== undefined, minutes: method.all.settingMinutes } };
}

function centerOf({ uncentered }: RoomSnapshot): Pick<BoardRow, 'center'> {
  const [first] = uncentered;
  return first && Number.isFinite(first.from) ? { center: { round: first.round, from: first.from } } : {};
}

function extraOf(kind: CoatedClass, { more, pieces }: RoomSnapshot): Pick<BoardCell, 'extra'> {
  const own = more.size === 0 ? [] : pieces.filter(({ id, class: of }) => of === kind && more.get(id)?.coat);
  const [widest] = own.flatMap(({ id }) => more.get(id)?.coat ?? []).toSorted((a, b) => b.width - a.width);
  return widest ? { extra: { ...widest, pieces: own.map(({ id }) => id) } } : {};
}

function catchUpOf(kind: CoatedClass, lagging: readonly CatchUp[]): Pick<BoardCell, 'catchUp'> {
  const own = lagging.find((one) => one.class === kind);
  return own ? { catchUp: { key: own.coat.key, setting: own.setting, fanHours: own.fanHours } } : {};
}

/**
 * The faces of a room that a lead would name: walls in their order, then ceilings, then all that is smaller; and on which of
 * them, by number, each class lies.
 */
const coatedFaces = memoizeLast((pieces: RoomSnapshot['pieces'], room: Room) => {
  const place = placesIn(room);
  const kinds = new Map<string, Set<CoatedClass>>();
  for (const { face, class: kind } of pieces) {
    const own = kinds.get(face);
    if (own) own.add(kind);
    else kinds.set(face, new Set([kind]));
  }
  const found = [...kinds.keys()].map((id) => ({ id, place: place(id) }));
  const ceilings = found.filter((face) => face.place.startsWith('c')).length;
  const rank = ({ place: at }: { readonly place: string }) => (/^w\d+$/.test(at) ? 0 : /^c/.test(at) ? 1 : 2);
  const faces = found
    .toSorted((a, b) => rank(a) - rank(b) || BY_NUMBER.compare(a.place, b.place))
    .map((face): BoardRow['faces'][number] => ({
      id: face.id,
      words: faceWords(face.place, ceilings),
      ceiling: face.place.startsWith('c'),
    }));
  const on = new Map<CoatedClass, number[]>();
  for (const [index, { id }] of faces.entries())
    for (const kind of kinds.get(id) ?? []) {
      const own = on.get(kind);
      if (own) own.push(index);
      else on.set(kind, [index]);
    }
  return { faces, on };
});

/** w2 before w10. */
const BY_NUMBER = new Intl.Collator('en', { numeric: true });

/** The methods that the rooms are finished by; rooms without choices of their own share one. */
export const boardMethods = (rooms: readonly RoomSnapshot[]): readonly Method[] => [
  ...new Map(rooms.map(({ method }) => [method.classes, method])).values(),
];

/** The highest level of a room's faces: its coats are those that it may need. */
function rowLevel({ finish }: RoomSnapshot['room'], level: Level): Level {
  return Object.values(finish?.faces ?? {}).reduce(
    (top, own) => (own.level && own.level > top ? own.level : top),
    level,
  );
}

/** To the thousandth of a millimetre: digits that nobody reads are not sent. */
const rounded = (value: number): number => Math.round(value * 1000) / 1000;

/** How much there is of each class: what the coat that covers most of it covers; faces of a lower level may go without. */
function amountsOf(coats: RoomSnapshot['coats']): ReadonlyMap<CoatedClass, number> {
  const amounts = new Map<CoatedClass, number>();
  for (const { class: kind, amount } of coats) amounts.set(kind, Math.max(amounts.get(kind) ?? 0, amount));
  return amounts;
}

const DONE_KINDS: ReadonlySet<Entry['kind']> = new Set([
  'coat',
  'prefilled',
  'centered',
  'sanded',
  'sealed',
  'checked',
  'handedOver',
  'held',
  'touched',
  'boards',
]);

/** The last things done that can be taken back, newest first. */
export function recentEntries(
  log: HouseLog,
  rooms: readonly RoomSnapshot[],
  people: readonly { readonly id: string; readonly name: string }[],
  me: string,
  most = 8,
): readonly RecentEntry[] {
  const known = new Map(rooms.map(({ room }) => [room.id, room]));
  const namesOf = namesIn(people);
  return log.last(DONE_KINDS, most).map((entry) => ({
    id: entry.id,
    at: Date.parse(entry.at),
    words: `${known.get(entry.room ?? '')?.name ?? 'A room that is gone'}: ${wordsOf(entry, known.get(entry.room ?? ''))}`,
    who: namesOf(whoDid(entry)),
    mine: entry.by === me,
  }));
}

const BOARDS_WORDS = { moved: 'joints moved', new: 'new boards', same: 'same boards, measured again' } as const;

function wordsOf(entry: Entry, room: Room | undefined): string {
  switch (entry.kind) {
    case 'coat':
      return loggedCoatWords(entry.payload, room);
    case 'touched':
      return `${entry.payload.class ? CLASS_NAMES[entry.payload.class].toLowerCase() : 'all'} found ${entry.payload.found}`;
    case 'prefilled':
      return `pre-filled${entry.payload.faces ? `, ${facesWords(entry.payload.faces, room)}` : ''}`;
    case 'centered':
      return 'butts centered';
    case 'sanded':
    case 'sealed':
      return entry.kind;
    case 'checked':
      return `checked, level ${entry.payload.level}`;
    case 'accepted': {
      const { found, faces } = entry.payload;
      return `${found === 'good' ? 'hanging accepted' : 'held for the hanger'}${faces ? `, ${facesWords(faces, room)}` : ''}`;
    }
    case 'boards':
      return `${BOARDS_WORDS[entry.payload.are]}, ${facesWords(entry.payload.faces, room)}`;
    case 'handedOver':
      return 'handed over';
    case 'held':
      return `held: ${entry.payload.why}`;
    default:
      return entry.kind;
  }
}

/** Those who can have run a coat. */
export const crewOf = (people: readonly Person[]): readonly Pick<Person, 'id' | 'name'>[] =>
  people.filter(isOfCrew).map(({ id, name }) => ({ id, name }));
