import { randomUUID } from 'node:crypto';
import { TZDate } from '@date-fns/tz';
import { addBusinessDays, addDays, differenceInCalendarDays, format, subDays, subHours } from 'date-fns';
import { loggedMud, wetMudOf } from '../../core/drying/wetMud';
import type { House } from '../../core/house/schema';
import { takeOff } from '../../core/joints/takeOff';
import type { NewEntry } from '../../core/log/entry';
import { usualPack } from '../../core/materials/catalogue';
import type { Good } from '../../core/materials/goods';
import { memoizeLast } from '../../core/measure/memoizeLast';
import type { Coat, CoatKey } from '../../core/method/coat';
import { type Method, resolveMethod } from '../../core/method/resolveMethod';
import { roomCoats } from '../../core/method/roomCoats';
import { LEVELS } from '../../core/room/level';
import type { MethodChoices } from '../../core/room/methodSchema';
import type { Room } from '../../core/room/schema';
import type { Pass } from '../../core/work/pass';
import { SHIFT } from '../../core/work/shift';
import { toolWords } from '../../words/coatWords';
import type { DemoName } from './demoPeople';

/** An entry with the name of who wrote it. */
export interface DemoEntry {
  readonly by: DemoName;
  readonly entry: NewEntry;
}

/** Days ago at a time of day; or, for what is to be wet still, about so many hours ago, at a time when people work. */
type Moment = readonly [days: number, hour: number] | { readonly hoursAgo: number };

/** Every round that was run: room, round, who, when. Rounds that are missing are still to do. */
const RUN: readonly (readonly [room: string, round: CoatKey, by: DemoName, moment: Moment])[] = [
  ['pantry', 'tape', 'Tobin', [6, 8]],
  ['pantry', 'fill', 'Tobin', [5, 8]],
  ['pantry', 'finish', 'Ines', [4, 9]],
  ['coat-closet', 'tape', 'Tobin', [6, 10]],
  ['coat-closet', 'fill', 'Tobin', [5, 10]],
  ['coat-closet', 'finish', 'Ines', [4, 10]],
  ['bath', 'tape', 'Petra', [6, 9]],
  ['bath', 'fill', 'Petra', [4, 14]],
  ['bath', 'finish', 'Petra', [3, 9]],
  ['hall', 'tape', 'Osei', [5, 9]],
  ['hall', 'fill', 'Osei', { hoursAgo: 9 }],
  ['galley', 'tape', 'Ines', [3, 13]],
  ['galley', 'fill', 'Ines', { hoursAgo: 7 }],
  ['bunk-room', 'tape', 'Petra', [3, 13]],
  ['day-room', 'tape', 'Tobin', [3, 9]],
  ['net-loft', 'tape', 'Petra', { hoursAgo: 4 }],
];

/** A class that somebody forgot in a room, and that holds it up now. */
const FORGOTTEN = { room: 'bunk-room', class: 'bead' } as const;

const HANDED: readonly (readonly [room: string, pass: Pass, to: DemoName, inDays: number])[] = [
  ['bath', 'sand', 'Petra', 0],
  ['bunk-room', 'fill', 'Petra', 0],
  ['day-room', 'fill', 'Tobin', 0],
  ['boot-room', 'tape', 'Ines', 0],
  ['galley', 'finish', 'Ines', 1],
  ['net-loft', 'fill', 'Petra', 1],
  ['hall', 'finish', 'Osei', 1],
  ['lantern-room', 'tape', 'Osei', 0],
  ['landing', 'tape', 'Osei', 1],
  ['lantern-room', 'fill', 'Osei', 2],
];

/** Walls of the day room whose flats have their fill. */
const WALLS_RUN: readonly string[] = ['w0', 'w1'];

/** The bath's angles were begun one side a round; then the house went over to opposite walls. */
const BEGUN_BY_SIDES = 'bath';

/** A coat of the hall that nobody wrote down until today. */
const LATE = { room: 'hall', round: 'tape', class: 'fasteners' } as const;

/** Rounds that were run by two: one ran the box, the other wiped. */
const PAIRS: Readonly<Record<string, DemoName>> = { 'pantry fill': 'Ines', 'coat-closet fill': 'Osei' };

/** What came before the first tape went on; packs. Taping mud is nearly used up. */
const DELIVERED: readonly (readonly [good: Good, packs: number])[] = [
  ['paper', 4],
  ['taping', 2],
  ['all-purpose', 3],
  ['topping', 2],
];

/**
 * A week in the middle of the job, told relative to `now`: some rooms wet, some ready, one sanded, one held.
 *
 * @param photo the id of the photo of what Tobin found, where there is one
 */
export function demoLog(
  house: House,
  ids: Readonly<Record<DemoName, string>>,
  now: Date,
  timeZone: string,
  photo?: string,
): readonly DemoEntry[] {
  const today = new TZDate(now, timeZone);
  const clockTime = (day: Date, hour: number) =>
    new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), hour, timeZone);
  const instant = (moment: Moment) => {
    const at = 'hoursAgo' in moment ? workingTime(moment.hoursAgo) : clockTime(subDays(today, moment[0]), moment[1]);
    return new Date(at.getTime()).toISOString();
  };
  const workingTime = (hoursAgo: number): Date => {
    const then = subHours(today, hoursAgo);
    if (then.getHours() >= SHIFT.to) return clockTime(then, SHIFT.to);
    if (then.getHours() >= SHIFT.from) return then;
    const start = clockTime(then, SHIFT.from);
    return start < today ? start : clockTime(subDays(then, 1), SHIFT.to);
  };
  const daysAgo = (moment: Moment) =>
    'hoursAgo' in moment ? differenceInCalendarDays(today, workingTime(moment.hoursAgo)) : moment[0];
  // What is still to come is for days on which the crew works.
  const dayFrom = (days: number) =>
    format(days > 0 ? addBusinessDays(today, days) : addDays(today, days), 'yyyy-MM-dd');
  const coatsIn = (room: string, round: CoatKey) =>
    coatsOf(house, room, room === BEGUN_BY_SIDES ? { angles: 'sides' } : {}).filter((coat) => coat.round === round);
  const log: DemoEntry[] = [];
  const write = (by: DemoName, entry: NewEntry) => log.push({ by, entry });
  const coat = (
    by: DemoName,
    room: string,
    part: Coat,
    at: string,
    { partner, ...more }: { partner?: DemoName | undefined; pieces?: { id: string }[] } = {},
  ) =>
    write(by, {
      id: randomUUID(),
      room,
      at,
      kind: 'coat',
      payload: {
        class: part.class,
        key: part.key,
        ...(part.side ? { side: part.side } : {}),
        ...(partner ? { ranBy: [ids[by], ids[partner]] } : {}),
        part: 1,
        ...more,
        ...loggedMud(wetMudOf(part, methodOf(house, room))),
        tool: toolWords(part, house.unit),
      },
    });

  for (const [room, round, by, moment] of RUN) {
    write('Marit', {
      id: randomUUID(),
      room,
      at: instant([daysAgo(moment) + 1, 16]),
      kind: 'assigned',
      payload: { work: round, people: [ids[by]], day: dayFrom(-daysAgo(moment)) },
    });
    for (const part of coatsIn(room, round))
      if ((room !== FORGOTTEN.room || part.class !== FORGOTTEN.class) && !isLate(room, part))
        coat(by, room, part, instant(moment), { partner: PAIRS[`${room} ${round}`] });
  }
  for (const [room, pass, to, inDays] of HANDED) {
    write('Marit', {
      id: randomUUID(),
      room,
      at: instant([1, 16]),
      kind: 'assigned',
      payload: { work: pass, people: [ids[to]], day: dayFrom(inDays) },
    });
  }

  // Yesterday Tobin got through the butts of the day room, and the flats of its first two walls.
  for (const part of coatsIn('day-room', 'fill')) {
    if (part.class === 'butt') coat('Tobin', 'day-room', part, instant([1, 10]));
    if (part.class === 'flat') {
      const pieces = takenOff(roomOf(house, 'day-room'), house).pieces.filter(
        (piece) => piece.class === 'flat' && WALLS_RUN.includes(piece.face),
      );
      coat('Tobin', 'day-room', part, instant([1, 11]), { pieces: pieces.map(({ id }) => ({ id })) });
    }
  }
  for (const [room, round, by, moment] of RUN)
    for (const part of coatsIn(room, round)) if (isLate(room, part)) coat(by, room, part, instant(moment));
  // This morning Osei taped the lantern room, up to the beads.
  for (const part of coatsIn('lantern-room', 'tape')) {
    if (part.class !== 'bead' && part.class !== 'fasteners')
      coat('Osei', 'lantern-room', part, instant({ hoursAgo: 2 }));
  }
  write('Tobin', {
    id: randomUUID(),
    room: 'lantern-room',
    at: instant({ hoursAgo: 2 }),
    kind: 'fan',
    payload: { speed: 0.5 },
  });
  write('Marit', {
    id: randomUUID(),
    room: 'landing',
    at: instant([1, 15]),
    kind: 'held',
    payload: { why: 'Electrician is in here until the lights are in' },
  });
  for (const [good, packs] of DELIVERED)
    write('Marit', {
      id: randomUUID(),
      room: null,
      at: instant([7, 8]),
      kind: 'stock',
      payload: { good, what: 'delivered', amount: packs * usualPack(good, house.unit) },
    });
  write('Ines', { id: randomUUID(), room: 'pantry', at: instant([2, 11]), kind: 'sanded', payload: {} });
  write('Ines', { id: randomUUID(), room: 'coat-closet', at: instant([2, 12]), kind: 'sanded', payload: {} });
  write('Marit', {
    id: randomUUID(),
    room: 'coat-closet',
    at: instant([1, 7]),
    kind: 'checked',
    payload: { level: LEVELS[4] },
  });
  write('Marit', {
    id: randomUUID(),
    room: 'pantry',
    at: instant([1, 7]),
    kind: 'item',
    payload: { defect: 'pinholes', text: 'Over the door, spot once more' },
  });
  write('Tobin', {
    id: randomUUID(),
    room: 'day-room',
    at: instant([1, 14]),
    kind: 'item',
    payload: {
      defect: 'bubble',
      face: 'w0',
      place: [1240, 1219],
      piece: seamOn(house, 'day-room', 'w0'),
      ...(photo ? { photos: [photo] } : {}),
      text: 'About a hand long',
    },
  });
  return log;
}

/** The lowest seam of a face, from its left, as it is meant by who taps there. */
const seamOn = (house: House, id: string, face: string): string | undefined =>
  takenOff(roomOf(house, id), house).pieces.find((piece) => piece.face === face && piece.class === 'flat')?.id;

const isLate = (room: string, coat: Coat): boolean =>
  room === LATE.room && coat.round === LATE.round && coat.class === LATE.class;

function coatsOf(house: House, id: string, choices: MethodChoices): readonly Coat[] {
  const room = roomOf(house, id);
  const before = { ...house, method: { ...house.method, ...choices } };
  return roomCoats(takenOff(room, house).tally, resolveMethod(before, room), room.finish);
}

/** Taken off once, however many rounds were run in the room and however often its week is told. */
const takenOff = memoizeLast((room: Room, house: House) => takeOff(room, house));

const methodOf = (house: House, id: string): Method => resolveMethod(house, roomOf(house, id));

function roomOf(house: House, id: string): Room {
  const room = house.rooms.find((candidate) => candidate.id === id);
  if (!room) throw new Error(`the demo has no room ${id}`);
  return room;
}
