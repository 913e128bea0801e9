import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { airClock, driedBetween } from '../air/airClock';
import type { SourcedAir } from '../air/roomAir';
import type { Found } from '../drying/touch';
import { takeOff, whatIsKept } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { stateOf } from '../log/stateOf';
import { planHouse } from '../plan/planHouse';
import { planInputOf } from '../schedule/planInputOf';
import { houseSnapshot } from '../snapshot/houseSnapshot';
import { crewSchema } from '../work/crew';
import { SKILLS } from '../work/workItem';
import { boundsOf } from './touchesIn';

const { house, room: made } = roomOf("A 12' x 10' x 8', door 32x80 wall 1 bead");
const room = { ...made, id: 'room' };
const TAKEN = whatIsKept(takeOff(room, house));
const READ: SourcedAir = { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 };
const CLOCK = airClock([READ]);
const TAPED = Date.parse('2031-05-06T12:00:00Z');
const HOUR = 3_600_000;
const KINDS = ['bead', 'flat', 'butt', 'angle', 'fasteners'] as const;

const coat = (kind: (typeof KINDS)[number], minutes?: number) =>
  logEntry({
    kind: 'coat',
    at: TAPED,
    payload: { class: kind, key: 'tape', part: 1, mud: minutes ? { kind: 'setting', minutes } : { kind: 'drying' } },
  });
const ON = KINDS.map((kind) => coat(kind));
const touch = (found: Found, hours: number, kind?: 'flat') =>
  logEntry({ kind: 'touched', at: TAPED + hours * HOUR, payload: { found, ...(kind ? { class: kind } : {}) } });

function snapshotWith(entries: readonly Entry[], now = TAPED + HOUR) {
  const [own] = houseSnapshot(
    house,
    [room],
    stateOf(entries),
    () => CLOCK,
    now,
    () => TAKEN,
  ).rooms;
  if (!own) throw new Error('the house has a room');
  return own;
}
/** When the tape coat of flats may be coated again. */
const readyAt = (entries: readonly Entry[]) =>
  snapshotWith(entries).standing.classes.find((kind) => kind.class === 'flat')?.coats[0]?.readyAt ?? 0;
const byTables = readyAt(ON);
const hoursByTables = (byTables - TAPED) / HOUR;

describe('a thumb on a coat', () => {
  it('moves the clock of its room the way it found, and taken back it moves nothing', () => {
    const late = touch('grey', hoursByTables * 1.2);
    expect(readyAt([...ON, late])).toBeGreaterThan(byTables + HOUR / 2);
    expect(readyAt([...ON, touch('white', hoursByTables * 0.7)])).toBeLessThan(byTables - HOUR / 2);
    const back = logEntry({ kind: 'void', at: TAPED, role: 'lead', payload: { target: late.id } });
    expect(readyAt([...ON, late, back])).toBe(byTables);
  });

  it('goes by the class that was touched, and for the room by what dries last', () => {
    const at = hoursByTables * 1.1;
    const [flat, all] = [touch('white', at, 'flat'), touch('white', at)].map(
      (entry) => snapshotWith([...ON, entry]).felt.touches[0]?.dried ?? 0,
    );
    expect(flat).toBeCloseTo(1.1, 1);
    // Corners and beds of bead dry after flats.
    expect(all).toBeLessThan(flat ?? 0);
  });

  it('says nothing of what was not on yet, nor of setting mud, which is coated by its label', () => {
    expect(snapshotWith([...ON, touch('grey', -1)]).felt.touches).toEqual([]);
    const setting = KINDS.map((kind) => coat(kind, 45));
    expect(snapshotWith([...setting, touch('grey', 5)]).felt.touches).toEqual([]);
    expect(readyAt([...setting, touch('grey', 5)])).toBe(readyAt(setting));
  });

  it('on one mud corrects that mud; another one goes by all of them', () => {
    const flat = touch('grey', hoursByTables * 1.3, 'flat');
    const { felt, standing } = snapshotWith([...ON, flat]);
    const mudOf = (kind: string) => snapshotWith(ON).coats.find((own) => own.class === kind && own.key === 'tape')?.mud;
    const readyOf = (of: typeof standing, kind: string) =>
      of.classes.find((own) => own.class === kind)?.coats[0]?.readyAt ?? 0;
    expect([...felt.byMud.keys()]).toEqual([mudOf('flat')]);
    expect(readyOf(standing, 'flat')).toBeGreaterThan(byTables);
    // A second thumb, on another mud, found that one dry early: each goes its own way.
    const filled = logEntry({
      kind: 'coat',
      at: TAPED,
      payload: { class: 'fasteners', key: 'fill', part: 1, mud: { kind: 'drying' } },
    });
    const white = logEntry({
      kind: 'touched',
      at: TAPED + 2 * HOUR,
      payload: { found: 'white', class: 'fasteners' },
    });
    const both = snapshotWith([...ON, filled, flat, white]);
    expect([...both.felt.byMud.keys()].length).toBe(2);
    for (const [mud, { factor }] of both.felt.byMud)
      if (mud === mudOf('flat')) expect(factor).toBeCloseTo(felt.slowness.factor, 9);
      else expect(factor).toBeLessThan(1);
  });

  it('leaves a range, in which what is told lies', () => {
    const { felt } = snapshotWith([...ON, touch('grey', hoursByTables * 1.2), touch('white', hoursByTables * 1.5)]);
    const ready = (clock: typeof felt.clock) => driedBetween(clock, TAPED, TAPED + 24 * HOUR);
    const [soonest, latest] = boundsOf(felt);
    expect(ready(soonest)).toBeGreaterThan(ready(felt.clock));
    expect(ready(felt.clock)).toBeGreaterThan(ready(latest));
  });

  it('on some joints speaks of what is on them', () => {
    const [piece] = TAKEN.pieces.filter((own) => own.class === 'flat');
    const half = logEntry({
      kind: 'coat',
      at: TAPED,
      payload: {
        class: 'flat',
        key: 'tape',
        part: 1,
        mud: { kind: 'drying' },
        on: [{ id: piece?.id ?? '', amount: 1, of: 1 }],
      },
    });
    const on = (pieces: string[]) =>
      snapshotWith([
        half,
        logEntry({ kind: 'touched', at: TAPED + 5 * HOUR, payload: { found: 'grey', class: 'flat', pieces } }),
      ]).felt.touches.length;
    expect(on([piece?.id ?? ''])).toBe(1);
    expect(on(['another'])).toBe(0);
  });

  it('is the same in whatever order it came', () => {
    const some = [
      touch('grey', hoursByTables),
      touch('patchy', hoursByTables * 1.3),
      touch('white', hoursByTables * 1.6),
    ];
    expect(readyAt([...ON, ...some.toReversed()])).toBe(readyAt([...some, ...ON]));
  });

  it('reaches the plan: what is to come dries slower too', () => {
    const person = {
      id: 'p',
      name: 'P',
      hours: 8,
      skills: [...SKILLS],
      learner: false,
      off: [],
      pace: {},
      elsewhere: [],
    };
    const ground = {
      crew: crewSchema.parse({}),
      people: [person],
      timeZone: 'UTC',
      house: 'h',
      dates: { house: undefined, rooms: {} },
    };
    const now = TAPED + 4 * hoursByTables * HOUR;
    /** How long the next coat on flats takes to dry by the plan, and how much slower than by the tables it reckons. */
    const planned = (entries: readonly Entry[]) => {
      const input = planInputOf(
        { house, rooms: [snapshotWith(entries, now)], progress: 0 } as unknown as Parameters<typeof planInputOf>[0],
        ground,
        now,
      );
      const fill = planHouse(input, { effort: 0 }).assignments.find(({ item }) => item === 'room/fill.flat');
      return { slowness: input.slowness?.[0] ?? 0, dries: (fill?.ready ?? 0) - (fill?.end ?? 0) };
    };
    const slow = [1.1, 1.2, 1.3, 1.4].map((times) => touch('grey', hoursByTables * times));
    const [usual, slower] = [planned(ON), planned([...ON, ...slow])];
    expect(usual.slowness).toBe(1);
    expect(slower.slowness).toBeGreaterThan(1.3);
    expect(slower.dries / usual.dries).toBeCloseTo(slower.slowness, 2);
  });
});
