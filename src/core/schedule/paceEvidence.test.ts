import { describe, expect, it } from 'vitest';
import { logEntry as entry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { roomOf } from '../../../tests/houses/readRooms';
import { airClock } from '../air/airClock';
import type { SourcedAir } from '../air/roomAir';
import { takeOff, whatIsKept } from '../joints/takeOff';
import { type Entry, newEntrySchema } from '../log/entry';
import { NOTHING_YET } from '../log/roomState';
import { stateOf } from '../log/stateOf';
import { learn } from '../rates/learn';
import { houseSnapshot } from '../snapshot/houseSnapshot';
import { coveredBy } from '../standing/coveredBy';
import { evidenceIn } from './paceEvidence';
import { openWork } from './planInputOf';

const { house, room } = roomOf("A 12' x 10' x 8', door 32x80 wall 1 bead");
const TAKEN = whatIsKept(takeOff(room, house));
const READ: SourcedAir = { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 };
const snapshotWith = (entries: readonly Entry[]) => {
  const states = new Map([[room.id, stateOf(entries).get('room') ?? NOTHING_YET]]);
  return houseSnapshot(
    house,
    [room],
    states,
    () => airClock([READ]),
    0,
    () => TAKEN,
  );
};
const HOUR = 3_600_000;
const MIDNIGHT = Date.parse('2031-05-06T00:00:00Z');
const iso = (hours: number) => new Date(MIDNIGHT + hours * HOUR).toISOString();
const DRYING = { kind: 'drying' } as const;

/** A coat on all of its class, from one hour to another. */
function timed(
  kind: 'flat' | 'bead' | 'angle',
  key: 'tape' | 'fill',
  from: number,
  to: number,
  more: object = {},
): Entry {
  const made = entry({
    kind: 'coat',
    at: MIDNIGHT + to * HOUR,
    payload: { class: kind, key, part: 1, mud: DRYING, begun: iso(from), ended: iso(to), ...more } as never,
  });
  if (made.kind !== 'coat') throw new Error('it is a coat');
  const [own] = snapshotWith([]).rooms;
  const found = own && coveredBy(made.payload, own.pieces, own.method);
  return found?.ok ? { ...made, payload: { ...made.payload, on: found.on } } : made;
}
/** Hours by the plan of a part of its work. */
const plannedOf = (work: string, entries: readonly Entry[] = []) =>
  snapshotWith(entries)
    .rooms.flatMap((own) => openWork(own, 0))
    .find((item) => item.work === work)?.hours ?? 0;

describe('what a log says about how long people take', () => {
  it('is the time from begun to ended less the pauses, beside the hours that the plan has for it', () => {
    const [found, ...others] = evidenceIn(snapshotWith([timed('flat', 'tape', 8, 9.5, { paused: 30 })]).rooms);
    expect(others).toEqual([]);
    expect(found).toMatchObject({ people: [TOBIN], rate: 'flat.tape.knife', weight: 1 });
    // Clocks count whole minutes: up to one more is no slower.
    expect(found?.took).toBeCloseTo(1 - 1 / 60, 9);
    expect(found?.usual).toBeCloseTo(plannedOf('tape.flat'), 3);
  });

  it('counts an angle that was taped on both sides, and both flanges of a bead, once', () => {
    for (const kind of ['angle', 'bead'] as const) {
      const [found] = evidenceIn(snapshotWith([timed(kind, 'tape', 8, 9)]).rooms);
      expect(found?.usual, kind).toBeCloseTo(plannedOf(`tape.${kind}`), 2);
    }
  });

  it('counts an angle that was taped on the walls, then on the ceiling, as one that was taped at once', () => {
    const walls = TAKEN.faces.flatMap(({ id, kind }) => (kind === 'ceiling' ? [] : [id]));
    const ceiling = TAKEN.faces.flatMap(({ id, kind }) => (kind === 'ceiling' ? [id] : []));
    const usual = (entries: readonly Entry[]) =>
      evidenceIn(snapshotWith(entries).rooms).reduce((sum, found) => sum + found.usual, 0);
    const parts = [timed('angle', 'tape', 8, 9, { faces: walls }), timed('angle', 'tape', 10, 11, { faces: ceiling })];
    expect(usual(parts)).toBeCloseTo(usual([timed('angle', 'tape', 8, 10)]), 3);
  });

  it('shares the time of what was logged together by what it usually takes', () => {
    const found = evidenceIn(snapshotWith([timed('flat', 'tape', 8, 11), timed('bead', 'tape', 8, 11)]).rooms);
    expect(found.reduce((sum, { took }) => sum + took, 0)).toBeCloseTo(3 - 1 / 60, 9);
    expect(found.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
    const [one, other] = found;
    expect((one?.took ?? 0) / (one?.usual ?? 1)).toBeCloseTo((other?.took ?? 0) / (other?.usual ?? 1), 9);
  });

  it('counts the hours of both where two ran it, and nothing of what has no time or was voided', () => {
    const [pair] = evidenceIn(snapshotWith([timed('flat', 'tape', 8, 9, { ranBy: [TOBIN, MARIT] })]).rooms);
    expect(pair?.took).toBeCloseTo(2 - 2 / 60, 9);
    const untimed = entry({ kind: 'coat', payload: { class: 'flat', key: 'tape', part: 1, mud: DRYING } });
    const voided = timed('bead', 'tape', 8, 9);
    const gone = entry({ kind: 'void', payload: { target: voided.id } });
    expect(evidenceIn(snapshotWith([untimed, voided, gone]).rooms)).toEqual([]);
  });

  it.each([
    ["A 12' x 10' x 8', door 32x80 wall 1 bead", {}],
    ["Closet 4' x 3' x 8', door 24x80 wall 1", {}],
    ["Hall 20' x 14' x 8', door 32x80 wall 1 bead", { tools: 'boxes', order: 'boxes' }],
  ] as const)('keeps the usual pace for whoever works exactly the planned hours in %s', (line, method) => {
    const own = oneRoomSnapshot(line, MIDNIGHT);
    const before = own.roomWith([], method);
    let hour = 8;
    const log = openWork(before, MIDNIGHT).flatMap((item) => {
      // People look at a clock: it shows minutes.
      const took = Math.ceil(item.hours * 60 - 1e-9) / 60;
      const run = { begun: iso(hour), ended: iso(hour + took) };
      hour += took;
      return before.coats
        .filter(({ id }) => item.coats.includes(id))
        .map(({ class: kind, key, side }) => {
          const payload = { class: kind, key, ...(side && { side }), part: 1, mud: DRYING, ...run };
          const found = coveredBy(payload, before.pieces, before.method);
          const on = found.ok ? { on: found.on } : {};
          return entry({ kind: 'coat', at: MIDNIGHT + hour * HOUR, payload: { ...payload, ...on } });
        });
    });
    for (const { rate, usual, took } of evidenceIn([own.roomWith(log, method)]))
      expect([rate, usual / took]).toEqual([rate, expect.closeTo(1, 3)]);
  });

  it('does not count what was scraped before the work was begun', () => {
    const scraped = entry({ kind: 'between', at: MIDNIGHT + 30 * HOUR, payload: { how: 'scrape' } });
    const taped = timed('flat', 'tape', 8, 9);
    const usual = (entries: readonly Entry[]) =>
      evidenceIn(snapshotWith(entries).rooms).find(({ rate }) => rate === 'flat.fill.knife')?.usual ?? 0;
    const [whole, scrapedBefore] = [
      usual([taped, timed('flat', 'fill', 32, 33)]),
      usual([taped, scraped, timed('flat', 'fill', 32, 33)]),
    ];
    expect(scrapedBefore).toBeLessThan(whole);
    expect(scrapedBefore).toBeCloseTo(plannedOf('fill.flat', [taped, scraped]), 3);
  });

  it('comes to the same paces whether entries come late or in order', () => {
    const log = [
      timed('flat', 'tape', 8, 9),
      timed('bead', 'tape', 9, 12),
      timed('flat', 'fill', 32, 33),
      timed('angle', 'tape', 13, 15),
    ];
    const late = [3, 1, 0, 2].flatMap((place, seq) => (log[place] ? [{ ...log[place], seq: seq + 1 }] : []));
    const [first, second] = [log, late].map((entries) => learn(evidenceIn(snapshotWith(entries).rooms)));
    expect(second).toEqual(first);
    expect(Object.keys(first?.[TOBIN] ?? {}).length).toBe(4);
  });

  it('refuses what ended before it was begun, and pauses of less than nothing', () => {
    const sent = { id: '00000000-0000-4000-8000-000000000001', room: 'room', at: iso(10), version: 3, kind: 'coat' };
    const said = (run: object) =>
      newEntrySchema.safeParse({ ...sent, payload: { class: 'flat', key: 'tape', ...run } });
    expect(said({ begun: iso(8), ended: iso(9), paused: 20 }).success).toBe(true);
    expect(said({ begun: iso(9), ended: iso(8) }).error?.issues[0]?.message).toBe('must not lie before it was begun');
    expect(said({ begun: iso(8), ended: iso(9), paused: -1 }).error?.issues[0]?.path).toEqual(['payload', 'paused']);
  });
});
