import { sealerDryAt } from '@/core/drying/sealer';
import { arrivalIn } from '@/core/drywatch/arrival';
import { handOverOf } from '@/core/inspect/handOver';
import { sandingOf } from '@/core/inspect/sandable';
import { whyNotHandedOver, whyNotSigned } from '@/core/inspect/signOff';
import { NO_CATALOGUE, waresOf } from '@/core/materials/catalogue';
import type { Good } from '@/core/materials/goods';
import { dayOf } from '@/core/measure/dayOf';
import type { PlanInput } from '@/core/plan/planInput';
import { assignedDays } from '@/core/schedule/assignedDays';
import { handedPasses, passDone } from '@/core/schedule/assignedWork';
import { planInputOf } from '@/core/schedule/planInputOf';
import type { HouseSnapshot, RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { coatPieces } from '@/core/standing/coatPieces';
import { usedIn } from '@/core/stock/stock';
import { stillNeeded } from '@/core/supply/stillNeeded';
import { crewSchema } from '@/core/work/crew';
import { boardRows } from '@/views/board/boardRows';
import { houseRows } from '@/views/house/houseRows';
import { lightRows, sandRows } from '@/views/sand/sandRows';
import { walkRows } from '@/views/walk/walkRows';
import { roomWords } from '@/words/stateWords';
import { roundedUp } from '@/words/when';
import { MARIT, TOBIN } from '../houses/logEntry';

const ZONE = 'UTC';
const MINUTE_MS = 60_000;
const CREW = [
  { id: MARIT, name: 'Marit' },
  { id: TOBIN, name: 'Tobin' },
];
/** Of a millimetre and an hour nobody sees less. */
const EPSILON = 1e-6;
const WARES = waresOf(NO_CATALOGUE, 'in');
/** Nothing more is done to a coat in these. */
const AFTER_COATS = ['sand', 'check', 'seal', 'handOver', 'done'];

/**
 * What the pages say of a house that does not go together, in words; none where all of them agree. Every figure comes from the
 * function that its page calls.
 *
 * @param mixedUp whether the house was edited, something taken back or put on out of turn: then other mud was used than it takes
 */
export function disagreements(snapshot: HouseSnapshot, at: number, mixedUp: boolean): readonly string[] {
  const faults: string[] = [];
  const say = (fault: string | false | undefined) => {
    if (fault) faults.push(fault);
  };
  const input = planInputOf(snapshot, GROUND, at);
  const board = boardRows(snapshot, at, ZONE);
  const house = houseRows(snapshot, CREW, at, ZONE);
  const walk = walkRows(snapshot, at, ZONE, new Map());
  const plans = new Map(house.floors.flatMap(({ rooms }) => rooms).map((own) => [own.id, own]));
  for (const [index, room] of snapshot.rooms.entries()) {
    const id = room.room.id;
    for (const fault of roomFaults(room, input, at)) say(`${id}: ${fault}`);
    const row = board[index];
    const words = roomWords(room.standing.now, at, ZONE);
    say(JSON.stringify(plans.get(id)?.words) !== JSON.stringify(words) && `${id}: House says another state`);
    say(plans.get(id)?.progress !== row?.progress && `${id}: House and board say different shares`);
    const isAllOn = row?.cells.every(({ coats }) => coats.every(({ share }) => share === 1));
    say(isAllOn !== (openOf(room).length === 0) && `${id}: the board and the record say different coats on`);
    for (const own of walk.find((one) => one.id === id)?.classes ?? [])
      say(
        row?.cells.find((cell) => cell.class === own.class)?.now !== own.now.kind &&
          `${id}: walk and board say different states of ${own.class}`,
      );
    say(
      house.wet.rooms.some(({ key }) => key === id) !== (room.standing.wetUntil !== undefined) &&
        `${id}: House forgets wet mud`,
    );
    for (const light of lightRows(room, at, ZONE, () => '')) {
      const met = handOverOf(room).faces.find(({ face }) => face === light.id)?.level;
      say((light.signed !== undefined) !== (met !== undefined) && `${id}: Sand and hand-over differ on ${light.id}`);
    }
  }
  for (const fault of goodsFaults(snapshot, mixedUp)) say(fault);
  for (const fault of dayFaults(snapshot, house.today, at)) say(fault);
  return faults;
}

/** One room: what is done, what can go, when, and how many hours. */
function roomFaults(room: RoomSnapshot, input: PlanInput, at: number): readonly string[] {
  const { standing, done, state, clock } = room;
  const kind = standing.now.kind;
  const items = input.items.filter((item) => item.room === room.room.id);
  const open = openOf(room);
  const sanding = sandingOf(room, at);
  const sandItems = items.filter((item) => item.kind === 'sand');
  const planned = sum(sandItems.map(({ hours }) => hours));
  const sealers = [...room.sealed.faces.values()].map((sealing) => sealerDryAt(sealing, room.air));
  const wet = [...standing.classes.flatMap(({ wetUntil }) => wetUntil ?? []), ...sealers.filter((dryAt) => dryAt > at)];
  const arrival = arrivalIn(room, at);
  const go = standing.classes.flatMap(({ now }) => (now.kind === 'go' ? now.ready.map(({ coat }) => coat.id) : []));
  const defects = state.items.filter(({ closed }) => !closed);
  const last = state.touched.at(-1);
  const touched = last && Date.parse(last.at) === at ? last : undefined;
  const said: readonly (readonly [boolean, string])[] = [
    // What is done.
    [open.length > 0 && AFTER_COATS.includes(kind), `${open[0]} is open, and the room is at ${kind}`],
    [items.length > 0 && ['handOver', 'done', 'nothing'].includes(kind), `${items.length} jobs planned at ${kind}`],
    [items.length === 0 && isLeft(room, open), `nothing is planned at ${kind}`],
    [kind === 'done' && done.checked === undefined, 'done, and met no level'],
    [done.checked !== undefined && open.length > 0, 'met a level with open coats'],
    [done.checked !== undefined && done.checked.level < room.level, 'met a level lower than agreed'],
    [
      done.sanded !== undefined && sanding.classes.some(({ now }) => now.kind !== 'sanded'),
      'sanded, and there is something to sand',
    ],
    [
      ['seal', 'handOver', 'done'].includes(kind) &&
        whyNotSigned(room, undefined, room.level, at) !== undefined &&
        done.checked === undefined,
      `${kind}, and cannot be signed off`,
    ],
    [
      whyNotHandedOver(room) === undefined && !['seal', 'handOver', 'done'].includes(kind),
      `may be handed over at ${kind}`,
    ],
    [defects.length > 0 && ['handOver', 'done'].includes(kind), `${kind} with something wrong`],
    // What can go.
    [kind === 'go' && go.length === 0, 'go, and no coat can'],
    [
      kind === 'go' && arrival.coats.map(({ id }) => id).join() !== go.join(),
      'the board and the hours of arrival differ',
    ],
    [arrival.sand !== (kind === 'sand'), 'arrival and House differ on sanding'],
    [kind === 'sand' && sandRows(sanding, 'in', at, ZONE).every(({ can }) => !can), 'sand, and no class can be'],
    // When.
    [
      standing.wetUntil !== (wet.length > 0 ? Math.max(...wet) : undefined),
      'the room dries before the last of its classes',
    ],
    [standing.wetUntil !== undefined && roundedUp(standing.wetUntil) < standing.wetUntil, 'the tag promises too early'],
    [standing.wetUntil !== undefined && standing.wetUntil <= at, 'wet until it was dry'],
    [kind === 'wet' && standing.wetUntil === undefined, 'wet without an end'],
    [lateFor(room, clock, standing.wetUntil), 'still wet when all is said to be dry'],
    [
      items.some(({ coats }) => coats.length > 0 && coats.every((id) => !open.includes(id))),
      'a coat is planned that is on',
    ],
    ...standing.classes
      .filter((own) => touched && (touched.class ?? own.class) === own.class && isOnSince(own.class, at, room))
      .map(
        (own) =>
          [
            touched?.found === 'white' ? own.wetUntil !== undefined : own.wetUntil === undefined,
            `${own.class} found ${touched?.found}, and the clock says otherwise`,
          ] as const,
      ),
    // How many hours.
    [
      sandItems.length > 0 && Math.abs(planned - sanding.hours) > 1e-3,
      `sand ${planned} h planned, ${sanding.hours} h said`,
    ],
    [sandItems.length === 0 && sanding.classes.some((own) => own.now.kind === 'go'), 'sanding is in no plan'],
  ];
  return said.flatMap(([isWrong, words]) => (isWrong ? [words] : []));
}

/** Whether something was on a class before an instant, and by then everywhere the same. */
const isOnSince = (kind: string, at: number, { applied }: RoomSnapshot): boolean =>
  applied.stretches.some((stretch) => stretch.class === kind && stretch.coats.length > 0) &&
  applied.stretches.every(
    (stretch) =>
      stretch.class !== kind ||
      stretch.coats.some(
        ({ applications }) => applications.length > 0 && applications.every((entry) => Date.parse(entry.at) < at),
      ),
  );

/** Whether something is wet after the instant at which all of it is dry, or nothing is a minute before. */
function lateFor(room: RoomSnapshot, clock: RoomSnapshot['clock'], wetUntil: number | undefined): boolean {
  if (wetUntil === undefined || !Number.isFinite(wetUntil)) return false;
  const then = (at: number) => arrivalIn({ ...room, clock }, at).wetUntil;
  return then(wetUntil + MINUTE_MS) !== undefined || then(wetUntil - MINUTE_MS) === undefined;
}

/** Coats that the room's method asks for and that are not on everywhere, found from the pieces and not from the coats' sums. */
function openOf({ pieces, method, room, applied, coats, more }: RoomSnapshot): readonly string[] {
  const on = new Map(
    applied.stretches.flatMap((stretch) => stretch.pieces.map(({ id }) => [id, stretch.coats] as const)),
  );
  const asked = coatPieces(pieces, method, room.finish, more);
  return coats.flatMap(({ id }) => {
    const isOpen = asked
      .get(id)
      ?.some((piece) => (on.get(piece.id)?.find((own) => own.coat.id === id)?.share ?? 0) < 1 - EPSILON);
    return isOpen ? [id] : [];
  });
}

/** Whether something is left to do, by the record; what waits for the hanger is in no plan. */
const isLeft = ({ coats, held, state, done }: RoomSnapshot, open: readonly string[]): boolean =>
  coats.length > 0 &&
  held.size === 0 &&
  (open.length > 0 || done.checked === undefined || state.items.some(({ closed }) => !closed));

/** What is used, and what is still to come, against what the whole house takes. */
function goodsFaults({ rooms, load }: HouseSnapshot, mixedUp: boolean): readonly string[] {
  const still = stillNeeded(rooms, WARES);
  const used = new Map<Good, number>();
  for (const { good, amount } of rooms.flatMap((room) => usedIn(room, WARES)))
    used.set(good, (used.get(good) ?? 0) + amount);
  const net = new Map<Good, number>([
    ['paper', load.tape.net],
    ['mesh', load.mesh.net],
    ...load.mud.map(({ product, net: litres }) => [product, litres] as const),
  ]);
  // What was taped over and never filled is neither used nor needed.
  const tapedOver = rooms
    .filter(({ applied }) => applied.coats.size > 0)
    .flatMap(({ tasks, prefill }) =>
      tasks.flatMap(({ small }) => small).map((own) => ({ ...own, left: 1 - prefill.done })),
    )
    .reduce((sum, { kind, litres, left }) => (kind === 'prefill' ? sum + litres * left : sum), 0);
  const faults: string[] = [];
  for (const [good, all] of net) {
    const whole = good === 'setting' ? all - tapedOver : all;
    const left = still.get(good) ?? 0;
    if (left > whole + 1e-3) faults.push(`${good}: ${left} is still needed of ${whole}`);
    const together = left + (used.get(good) ?? 0);
    if (!mixedUp && together < whole - Math.max(1e-3, whole * 0.001))
      faults.push(`${good}: ${together} used and needed of ${whole}`);
  }
  if (rooms.every(({ standing }) => standing.now.kind === 'done') && still.size > 0)
    faults.push('a finished house needs more');
  return faults;
}

/** The day of each of the crew: House and My day say the same, and what is done takes no hours. */
function dayFaults(
  { rooms }: HouseSnapshot,
  today: ReturnType<typeof houseRows>['today'],
  at: number,
): readonly string[] {
  const now = dayOf(at, ZONE);
  const days = assignedDays(rooms, now);
  const given = handedPasses(rooms, '0000-01-01');
  return CREW.flatMap(({ id, name }) => {
    const list = days.dayOf(id, now);
    const open = given.filter(
      (pass) =>
        pass.people.includes(id) && pass.day <= now && passDone(pass) < 1 && pass.room.standing.now.kind !== 'done',
    );
    const lost = open.filter(
      ({ room, task, block }) =>
        !list.passes.some((own) => own.room === room && own.task.pass === task.pass && own.block === block),
    );
    const own = today?.find((row) => row.id === id);
    const isDone = list.passes.every((pass) => passDone(pass) === 1);
    return [
      ...lost.map(({ room, task }) => `${name}: ${task.pass} in ${room.room.id} is not done, and on no list`),
      ...((own?.left ?? 0) === list.left ? [] : [`${name}: House says ${own?.left} h, My day ${list.left} h`]),
      ...(list.left > list.hours + EPSILON ? [`${name}: more is left than was given`] : []),
      ...(isDone && list.left > EPSILON ? [`${name}: all is done, and ${list.left} h are left`] : []),
    ];
  });
}

const sum = (of: readonly number[]): number => of.reduce((all, one) => all + one, 0);

const GROUND = {
  crew: crewSchema.parse({}),
  people: [],
  timeZone: ZONE,
  house: '',
  dates: { rooms: {} },
} as unknown as Parameters<typeof planInputOf>[1];
