import fc from 'fast-check';
import { readHouse } from '@/core/house/readHouse';
import type { House } from '@/core/house/schema';
import { newEntrySchema } from '@/core/log/entry';
import { randomFrom } from '@/core/plan/improve';
import { withIds } from '@/core/room/ids';
import { problemText } from '@/core/room/problem';
import type { Room } from '@/core/room/schema';
import { EntryRecorder, type RuledHouse } from '@/core/rules/recordEntries';
import { editedRooms, ruledHouse } from '@/core/rules/ruledHouse';
import { type HouseSnapshot, houseSnapshot, type RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { anyChoices } from '../houses/anyChoices';
import { anyRoom } from '../houses/anyRoom';
import { fileRoom, houseFile } from '../houses/fileRooms';
import { MARIT, TOBIN } from '../houses/logEntry';

const HOUR_MS = 3_600_000;
const START = Date.parse('2031-05-05T12:00:00Z');
const AIRS = [
  { temperature: 20, humidity: 50 },
  { temperature: 27, humidity: 30 },
  { temperature: 13, humidity: 75 },
];
const DOOR = { wall: 0, kind: 'door', at: 12, width: 28, height: 80, sill: 0, edge: 'casing' };
const BEADED = { wall: 2, kind: 'window', at: 12, width: 24, height: 36, sill: 36, edge: 'bead', depth: 5 };
/** How crews differ in what matters to what is on, wet and left. */
const METHODS = [
  {},
  { angles: 'sides' },
  { mud: 'settingFirst' },
  { tools: 'boxes', order: 'boxes', centring: 'sameDay' },
  { coats: 'three', lastPass: 'edges' },
  { last: 'skim' },
  { hard: 'trim' },
  { cover: 'skim', tape: 'mesh' },
  { acceptance: 'walk', between: 'scrape' },
];
const DEFECTS = ['hollow', 'streak', 'furred', 'showThrough', 'crack', 'bubble'] as const;

/** What happened last: what was sent, whether it was recorded, and what the house is like since. */
export interface Step {
  readonly words: string;
  readonly at: number;
  readonly house: RuledHouse;
  readonly snapshot: HouseSnapshot;
  /** Whether the house, or its method, was ever edited, something was taken back, or a coat went on out of turn. */
  readonly mixedUp: boolean;
}

interface Drawn {
  readonly level: number;
  readonly method: object;
  /** The den is a room of any kind instead. */
  readonly shape: Room | undefined;
  readonly length: number;
  readonly beaded: boolean;
  readonly raised: boolean;
}

/** A den of some length, or of any kind, and a closet beside it, as they are drawn now. */
function houseOf({ level, method, shape, length, beaded, raised }: Drawn): House {
  const room = (id: string, wide: number, deep: number, more: object) => {
    const corners = [
      [0, 0],
      [wide, 0],
      [wide, deep],
      [0, deep],
    ];
    return fileRoom({ id, name: id, outline: corners, openings: [DOOR], ...more });
  };
  const finish = raised && { finish: { level: 5 } };
  const den = shape
    ? {
        ...shape,
        id: 'den',
        name: 'den',
        height: shape.height + (length - LENGTH) / 8,
        ...finish,
        ...(beaded && { openings: [] }),
      }
    : room('den', length, 120, { openings: beaded ? [DOOR, BEADED] : [DOOR], ...finish });
  const head = { hang: { ceiling: 'along' }, method: { level, ...method } };
  const reading = readHouse({ ...houseFile({}, head), rooms: [den, room('closet', 60, 48, {})] });
  if (!reading.ok) throw new Error(reading.problems.map(problemText).join('; '));
  return reading.house;
}

const LENGTH = 144;
/** The same for the same seed. */
const drawnBy = <Value>(any: fc.Arbitrary<Value>, seed: number): Value =>
  fc.sample(any, { seed, numRuns: 1 })[0] as Value;

/**
 * A house through days of work: coats whole and in parts, touch checks, sanding, checks, defects, holds, entries taken back and
 * edits of its walls, level and method, many of them out of turn.
 */
export function* anyHistory(seed: number, steps: number): Generator<Step> {
  const random = randomFrom(seed);
  const often = (share: number) => random() < share;
  const one = <Value>(of: readonly Value[]): Value => of[Math.floor(random() * of.length)] as Value;
  const air = one(AIRS);
  let [at, count, mixedUp] = [START, 0, false];
  const isAny = seed % 2 === 0;
  const method = () => (isAny && often(0.5) ? drawnBy(anyChoices(), seed + count) : one(METHODS));
  let drawn: Drawn = {
    level: one([0, 1, 1, 2, 3, 3, 4, 4, 4, 4, 4, 5, 5]),
    method: method(),
    shape: isAny ? drawnBy(anyRoom, seed) : undefined,
    length: LENGTH,
    beaded: often(0.3),
    raised: false,
  };
  const first = houseOf(drawn);
  let house = ruledHouse(
    first,
    first.rooms.map((room) => withIds(room, first.unit)),
    air,
  );
  const recorder = new EntryRecorder();
  const done: string[] = [];
  const stand = () => houseSnapshot(house.head, house.rooms, recorder.log.states(), house.airOf, at, house.takenOff);
  let snapshot = stand();

  const edit = (): string => {
    const change = one<[string, Partial<Drawn>]>([
      ['level', { level: one([3, 4, 5]) }],
      ['method', { method: method() }],
      ['longer', { length: drawn.length + 24 }],
      ['beaded', { beaded: !drawn.beaded }],
      ['raised', { raised: !drawn.raised }],
    ]);
    drawn = { ...drawn, ...change[1] };
    const after = houseOf(drawn);
    house = ruledHouse(after, editedRooms(house.rooms, after), air);
    mixedUp = true;
    return `edit ${change[0]}`;
  };
  const send = (room: string | null, kind: string, payload: object): string => {
    count += 1;
    const id = `00000000-0000-4000-9000-${String(count).padStart(12, '0')}`;
    const parsed = newEntrySchema.safeParse({ id, room, at: new Date(at).toISOString(), kind, payload });
    const words = `${kind} ${room} ${JSON.stringify(payload)}`;
    if (!parsed.success) return `${words}: unreadable ${parsed.error.message}`;
    const refusal = recorder.record({ entry: parsed.data, by: often(0.5) ? MARIT : TOBIN, role: 'lead' }, house);
    if (refusal?.why === 'sameCoat') mixedUp = true;
    if (refusal?.why === 'sameCoat') return send(room, kind, { ...payload, repeat: one(['same', 'next']) });
    if (refusal?.why === 'fixFirst' && often(0.7)) {
      for (const item of refusal.items) if (often(0.9)) send(room, 'itemClosed', { item });
      const { items } = refusal;
      return send(room, kind, { ...payload, covers: { items, why: 'agreed' } });
    }
    if (!refusal) done.push(id);
    if (!refusal && kind === 'void') mixedUp = true;
    return refusal ? `${words}: refused ${refusal.why}` : words;
  };
  const act = (room: RoomSnapshot): string => {
    const { id } = room.room;
    const say = (kind: string, payload: object = {}) => send(id, kind, payload);
    if (often(0.6)) return next(room, say);
    const roll = random();
    if (roll < 0.5) return coat(room, say);
    if (roll < 0.55) return say('sanded', often(0.3) ? { classes: [one(room.coats)?.class ?? 'flat'] } : {});
    if (roll < 0.6) return say('checked', { level: room.level, ...(often(0.3) && { faces: [one(room.faces).id] }) });
    if (roll < 0.63) return say('sealed', often(0.4) ? { faces: facesOf(room, often(0.5)) } : {});
    if (roll < 0.67) return say('handedOver');
    if (roll < 0.75) {
      const kind = often(0.6) ? one(room.coats)?.class : undefined;
      return say('touched', { found: one(['white', 'grey', 'patchy']), ...(kind && { class: kind }) });
    }
    if (roll < 0.77) return say('item', { defect: one(DEFECTS), ...(often(0.6) && { face: one(room.faces).id }) });
    if (roll < 0.8) {
      const piece = one(room.pieces.filter(({ class: kind }) => kind === 'butt' || kind === 'flat'));
      return piece
        ? say('item', { defect: 'crown', piece: piece.id, knife: laid(one([0.1, 0.15, 0.18, 0.25])) })
        : say('released');
    }
    if (roll < 0.85) {
      const open = room.state.items.find(({ closed }) => !closed);
      return open ? say('itemClosed', { item: open.id }) : say('released');
    }
    if (roll < 0.88) return say('held', { why: 'electrician' });
    if (roll < 0.9) return say('released');
    if (roll < 0.91) return say('accepted', { found: 'good' });
    if (roll < 0.92) return say('centered', { round: one(['fill', 'finish']) });
    if (roll < 0.94 && done.length > 0) return send(null, 'void', { target: one(done) });
    if (roll < 0.97)
      return say('assigned', {
        work: one(['tape', 'fill', 'finish', 'sand', 'check', 'seal']),
        people: [one([MARIT, TOBIN])],
        day: dayAt(at),
      });
    return edit();
  };
  /** What a crew would do. */
  const next = (room: RoomSnapshot, say: (kind: string, payload?: object) => string): string => {
    const open = room.state.items.find(({ closed }) => !closed);
    const [boxed] = room.uncentered;
    if (boxed && boxed.from <= at && often(0.5)) return say('centered', { round: boxed.round });
    switch (room.standing.now.kind) {
      case 'sand':
        return say('sanded');
      case 'check':
        return say('checked', { level: room.level });
      case 'seal':
        return often(0.7) ? say('sealed') : say('handedOver');
      case 'handOver':
        return say('handedOver');
      case 'fix':
        return open ? say('itemClosed', { item: open.id }) : say('released');
      case 'stuck':
        return often(0.5) ? say('released') : say('accepted', { found: 'good' });
      default:
        return coat(room, say);
    }
  };
  const coat = (room: RoomSnapshot, say: (kind: string, payload: object) => string): string => {
    const ready = room.standing.classes.flatMap(({ now }) =>
      now.kind === 'go' ? now.ready.map((own) => own.coat) : [],
    );
    const own = ready.length > 0 && often(0.9) ? one(ready) : one(room.coats);
    if (!own) return say('sealed', {});
    const under = room.coats
      .filter(({ class: kind }) => kind === own.class)
      .findLast((_, index, all) => all[index + 1]?.id === own.id);
    if (!ready.includes(own) || (under && (room.applied.coats.get(under.id)?.share ?? 0) < 1)) mixedUp = true;
    const where = often(0.75) ? {} : often(0.5) ? { part: one([0.25, 0.5]) } : { faces: facesOf(room, often(0.5)) };
    const timed = often(0.3)
      ? { begun: new Date(at - 0.5 * HOUR_MS).toISOString(), ended: new Date(at).toISOString() }
      : {};
    const mud = own.mud === 'setting' ? { mud: { kind: 'setting', minutes: 45 } } : {};
    return say('coat', {
      class: own.class,
      key: own.key,
      ...(own.side && { side: own.side }),
      ...where,
      ...timed,
      ...mud,
    });
  };
  for (let step = 0; step < steps; step += 1) {
    at += Math.round(one([0.02, 0.5, 3, 14, 26]) * HOUR_MS);
    snapshot = stand();
    const words = act(one(snapshot.rooms));
    snapshot = stand();
    yield { words, at, house, snapshot, mixedUp };
  }
}

/** A 12 in knife that rocks on the middle of a joint of 24 in and lifts by so many inches. */
const laid = (lift: number) => ({
  length: 12 * 25.4,
  width: 24 * 25.4,
  seen: { kind: 'rocks', lift: lift * 25.4, pivot: 6 * 25.4 },
});

const dayAt = (at: number): string => new Date(at).toISOString().slice(0, 10);

function facesOf(room: RoomSnapshot, ceiling: boolean): readonly string[] {
  const own = room.faces.filter(({ kind }) => (kind === 'ceiling') === ceiling);
  return own.map(({ id }) => id);
}
