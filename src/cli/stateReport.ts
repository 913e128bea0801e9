import { arrivalIn } from '../core/drywatch/arrival';
import type { House } from '../core/house/schema';
import { sandingOf } from '../core/inspect/sandable';
import { type NewEntry, newEntrySchema } from '../core/log/entry';
import { isTape, NO_CATALOGUE, waresOf } from '../core/materials/catalogue';
import type { Good } from '../core/materials/goods';
import { instantSchema } from '../core/measure/instant';
import { gallonsFromLitres, MM_PER_FOOT } from '../core/measure/unit';
import type { Coat } from '../core/method/coat';
import { planHouse } from '../core/plan/planHouse';
import type { PlanPerson } from '../core/plan/planInput';
import { learn } from '../core/rates/learn';
import type { ClassStanding, RoomNow } from '../core/readiness/whatNow';
import { withIds } from '../core/room/ids';
import { problemsFromZod, problemText } from '../core/room/problem';
import { recordEntries } from '../core/rules/recordEntries';
import { editedRooms, ruledHouse } from '../core/rules/ruledHouse';
import { evidenceIn } from '../core/schedule/paceEvidence';
import { openWork, planInputOf } from '../core/schedule/planInputOf';
import { type HouseSnapshot, houseSnapshot, type RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { usedIn } from '../core/stock/stock';
import { stillNeeded } from '../core/supply/stillNeeded';
import { crewSchema } from '../core/work/crew';
import { workDays } from '../core/work/shifts';
import { SKILLS } from '../core/work/workItem';
import { roundedUp } from '../words/when';
import { airFrom, Refusal } from './commands';
import { peopleFrom, zoneFrom } from './planReport';

/** The options of `oak state`, as written. */
export interface StateWords {
  readonly at?: string;
  readonly temp?: string;
  readonly rh?: string;
  readonly edited?: string;
  readonly people?: string;
  readonly zone?: string;
}

/** A room, or a class of it, by what comes next. */
export type StateCode = 'coat' | 'wet' | 'sand' | 'check' | 'seal' | 'handOver' | 'done' | 'hold' | 'fix';

const DAYS_AHEAD = 60;

/**
 * Reports what every screen says of a house at an instant, from the functions that the pages select from: `oak state`.
 *
 * @param entries as `POST /api/entries` takes them, each with `by`, the name of its author
 * @param after the house after an edit at `--edited`
 */
export function stateReport(house: House, entries: unknown, after: House | undefined, words: StateWords) {
  const at = instantFrom('--at', words.at);
  const edited = after ? instantFrom('--edited', words.edited) : Number.POSITIVE_INFINITY;
  const zone = zoneFrom(words.zone);
  const air = airFrom(words);
  const before = ruledHouse(
    house,
    house.rooms.map((room) => withIds(room, house.unit)),
    air,
  );
  const now = after ? ruledHouse(after, editedRooms(before.rooms, after), air) : before;
  // What happens later is not known yet.
  const sent = sentFrom(entries).filter(({ entry }) => Date.parse(entry.at) <= at);
  const { log, refused } = recordEntries(sent, (instant) => (instant >= edited ? now : before));
  const stands = at >= edited ? now : before;
  const snapshot = houseSnapshot(stands.head, stands.rooms, log.states(), stands.airOf, at, stands.takenOff);
  const crew = crewOf(sent, peopleFrom(words.people), snapshot);
  return {
    at: iso(at),
    rooms: snapshot.rooms.map((room) => roomReport(room, at, zone)),
    ...goodsReport(snapshot),
    plan: planReportOf(snapshot, crew, zone, at),
    refused: refused.map(({ index, refusal }) => ({ index, ...refusal })),
  };
}

function sentFrom(entries: unknown) {
  if (!Array.isArray(entries)) throw new Refusal('entries: must be an array as POST /api/entries takes it');
  return entries.map((sent: unknown, index) => {
    const { by, ...entry } = Object(sent) as { by?: unknown };
    if (typeof by !== 'string' || by === '') throw new Refusal(`entries[${index}].by: must be a name`);
    const parsed = newEntrySchema.safeParse(entry, { reportInput: true });
    if (parsed.success) return { entry: parsed.data as NewEntry, by, role: 'lead' as const };
    const [first] = problemsFromZod(parsed.error);
    throw new Refusal(first ? `entries[${index}].${problemText(first)}` : `entries[${index}]: cannot be read`);
  });
}

function instantFrom(option: string, text: string | undefined): number {
  if (text === undefined) throw new Refusal(`${option}: is missing; write 2031-05-06T07:00:00Z`);
  if (!instantSchema.safeParse(text).success)
    throw new Refusal(`${option}: must be an instant such as 2031-05-06T07:00:00Z`);
  return Date.parse(text);
}

function roomReport(room: RoomSnapshot, at: number, zone: string) {
  const { standing, done, progress, coats, applied } = room;
  const state = codeOf(standing.now);
  const { wetUntil } = standing;
  const [next] = workDays(crewSchema.parse({}), zone, at, DAYS_AHEAD).filter(({ begins }) => begins > at);
  const arrival = next && arrivalIn(room, next.begins);
  return {
    id: room.room.id,
    house: { state, share: rounded(progress) },
    board: Object.fromEntries(standing.classes.map((own) => [own.class, classReport(own)])),
    dry: { readyAt: isoOf(wetUntil), tagUntil: isoOf(wetUntil === undefined ? undefined : roundedUp(wetUntil)) },
    arrival: arrival ? [...arrival.coats.map(coatCode), ...(arrival.sand ? ['sand'] : [])] : [],
    sand: { state, hours: rounded(sandingOf(room, at).hours) },
    sign: { state, levelMet: done.checked?.level ?? null },
    handOver: { state },
    hoursLeft: rounded(openWork(room, at).reduce((sum, { hours }) => sum + hours, 0)),
    open: coats.filter(({ id }) => (applied.coats.get(id)?.share ?? 0) < 1).map(coatCode),
  };
}

const ROOM_CODES: Readonly<Record<RoomNow['kind'], StateCode>> = {
  go: 'coat',
  wet: 'wet',
  fix: 'fix',
  sand: 'sand',
  check: 'check',
  seal: 'seal',
  handOver: 'handOver',
  done: 'done',
  nothing: 'done',
  stuck: 'hold',
};
const codeOf = (now: RoomNow): StateCode => ROOM_CODES[now.kind];

function classReport({ now, coats, wetUntil }: ClassStanding) {
  const coat = 'coat' in now ? now.coat : undefined;
  const on = coats.find((own) => own.coat.id === coat?.id)?.share ?? 1;
  return {
    state: classCode(now),
    coat: coat ? withSide(coat) : null,
    share: rounded(on),
    until: isoOf(wetUntil),
  };
}

function classCode(now: ClassStanding['now']): StateCode {
  switch (now.kind) {
    case 'go':
      return 'coat';
    case 'wet':
      return 'wet';
    case 'stuck':
      return now.why.kind === 'mend' ? 'fix' : 'hold';
    case 'dry':
      return 'sand';
    case 'sanded':
      return 'done';
  }
}

const withSide = ({ key, side }: Coat): string => [key, side].filter(Boolean).join('.');
const coatCode = (coat: Coat): string => `${coat.class}:${withSide(coat)}`;

/** Tape in feet, mud and sealer in gallons, without waste. */
function goodsReport({ house, rooms, load }: HouseSnapshot) {
  const wares = waresOf(NO_CATALOGUE, house.unit);
  const amount = (good: Good, of: number) => rounded(isTape(good) ? of / MM_PER_FOOT : gallonsFromLitres(of));
  const used = new Map<Good, number>();
  for (const move of rooms.flatMap((room) => usedIn(room, wares)))
    used.set(move.good, (used.get(move.good) ?? 0) + move.amount);
  const inUnits = (goods: ReadonlyMap<Good, number>) =>
    Object.fromEntries([...goods].map(([good, of]) => [good, amount(good, of)]));
  return {
    load: {
      tapeFt: rounded((load.tape.net + load.mesh.net) / MM_PER_FOOT),
      mudGal: Object.fromEntries(load.mud.map(({ product, net }) => [product, rounded(gallonsFromLitres(net))])),
      still: inUnits(stillNeeded(rooms, wares)),
    },
    stock: { used: inUnits(used) },
  };
}

/** Those who logged something or were given work, and people enough beside them. */
function crewOf(sent: ReturnType<typeof sentFrom>, count: number, { rooms }: HouseSnapshot): readonly PlanPerson[] {
  const paces = learn(evidenceIn(rooms));
  const named = sent.flatMap(({ entry, by }) => [
    ...('ranBy' in entry.payload ? (entry.payload.ranBy ?? []) : entry.kind === 'coat' ? [by] : []),
    ...(entry.kind === 'assigned' ? entry.payload.people : []),
  ]);
  const others = Array.from({ length: count }, (_, index) => `p${index + 1}`);
  const known = [...new Set(named)];
  return [...known, ...others.slice(Math.min(known.length, count))].map((id) => ({
    id,
    name: id,
    hours: 8,
    skills: [...SKILLS],
    learner: false,
    off: [],
    pace: Object.fromEntries(Object.entries(paces[id] ?? {}).map(([rate, { pace }]) => [rate, pace])),
  }));
}

function planReportOf(snapshot: HouseSnapshot, people: readonly PlanPerson[], timeZone: string, at: number) {
  const ground = { crew: crewSchema.parse({}), people, timeZone, house: '', dates: { rooms: {} } };
  const input = planInputOf(snapshot, ground, at);
  const plan = planHouse(input);
  const runs = new Map(plan.assignments.map((one) => [one.item, one]));
  return {
    finish: input.items.length === 0 ? null : iso(plan.finish),
    items: input.items.map(({ id, room, work, kind, coats, hours, part }) => {
      const run = runs.get(id);
      return {
        id,
        room,
        work,
        kind,
        coats,
        part: rounded(part),
        hours: rounded(hours),
        start: isoOf(run?.start),
        end: isoOf(run?.end),
        people: run?.people ?? [],
      };
    }),
  };
}

const iso = (at: number): string => new Date(at).toISOString();
/** Null for what is not known, or never comes. */
const isoOf = (at: number | undefined): string | null => (at !== undefined && Number.isFinite(at) ? iso(at) : null);
const rounded = (value: number): number => Math.round(value * 10_000) / 10_000;
