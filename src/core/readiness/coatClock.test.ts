import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { airClock } from '../air/airClock';
import { milestones } from '../drying/milestones';
import type { CoatEntry } from '../log/entry';
import type { RoomCoat } from '../method/roomCoats';
import { applicationOf, coatClock, entryClock, kindOfCoat, kindOfEntry } from './coatClock';

const HOUR = 3_600_000;
const den = oneRoomSnapshot("Den: 12' x 10' x 8'", 0);
const newAir = () => airClock([{ from: 0, air: { temperature: 20, humidity: 50 } }]);
const room = den.roomWith([]);
const boxed = den.roomWith([], { tools: 'boxes', order: 'boxes' });
const coatOf = ({ coats }: typeof room, id: string): RoomCoat => {
  const own = coats.find((coat) => coat.id === id);
  if (!own) throw new Error(`the room gets ${id}`);
  return own;
};
const fill = coatOf(room, 'flat.fill');
const entryOf = (more: object = {}): CoatEntry =>
  logEntry({
    kind: 'coat',
    at: HOUR,
    payload: { class: 'flat', key: 'fill', part: 1, mud: { kind: 'drying' }, ...more },
  }) as CoatEntry;
const clockOf = (slowness: readonly (readonly [Parameters<ReadonlyMap<string, number>['get']>[0], number])[] = []) =>
  ({ air: newAir(), slowness: new Map(slowness) }) as Parameters<typeof coatClock>[3];

describe('what an entry put on', () => {
  const planned = applicationOf(entryOf(), fill, room.method);
  it.each([
    ['as the method has it', {}, {}],
    ['as thick as it says', { thickness: 4 }, { thickness: 4 }],
    ['on what it says', { substrate: 'painted' }, { substrate: 'painted' }],
    [
      'as thick as it says, on what it says',
      { thickness: 4, substrate: 'metal' },
      { thickness: 4, substrate: 'metal' },
    ],
    ['mixed when it says', { mixedAt: new Date(0).toISOString() }, { mixedAt: 0 }],
    ['with the mud that it says', { mud: { kind: 'setting', minutes: 45 } }, { mud: { kind: 'setting', minutes: 45 } }],
  ])('is %s', (_words, more, is) => {
    expect(applicationOf(entryOf(more), fill, room.method)).toEqual({ ...planned, ...is });
  });

  it('by the method lies on mud, as thick as the section says', () => {
    expect(planned).toMatchObject({ at: HOUR, substrate: 'mud', lies: 'open' });
    expect(planned.thickness).toBeGreaterThan(0.3);
    expect(planned.thickness).not.toBe(applicationOf(entryOf(), coatOf(boxed, 'flat.fill'), boxed.method).thickness);
    expect(applicationOf(entryOf(), coatOf(room, 'flat.tape'), room.method).substrate).toBe('board');
  });

  it('is of the kind of mud that it says, else of the planned one', () => {
    expect([kindOfCoat(fill), kindOfEntry(entryOf(), fill)]).toEqual([`${fill.mud} fill`, `${fill.mud} fill`]);
    expect(kindOfEntry(entryOf({ put: { product: 'setting', thickness: 1 } }), fill)).toBe('setting fill');
  });
});

describe('its clock', () => {
  const plain = clockOf();
  const entry = entryOf();
  const fresh = (coat: RoomCoat, { method }: typeof room, more: object = {}) =>
    milestones({ ...applicationOf(entry, coat, method), ...more }, newAir());

  it('goes by what was put on, and as slow as coats of its kind are', () => {
    expect(coatClock(entry, fill, room.method, plain)).toEqual(fresh(fill, room));
    const slow = clockOf([[kindOfCoat(fill), 1.5]]);
    expect(coatClock(entry, fill, room.method, slow)).toEqual(fresh(fill, room, { slowness: 1.5 }));
    expect(coatClock(entry, fill, room.method, slow).recoatAt - HOUR).toBeCloseTo(
      1.5 * (coatClock(entry, fill, room.method, plain).recoatAt - HOUR),
      -3,
    );
    expect(entryClock(entry, fill, room.method, slow).on.slowness).toBe(1.5);
    expect(entryClock(entry, fill, room.method, plain).on).not.toHaveProperty('slowness');
    // What was learned of tape coats says nothing of it.
    const other = clockOf([['taping tape', 2]]);
    expect(coatClock(entry, fill, room.method, other)).toEqual(fresh(fill, room));
  });

  it('is kept while nothing of it changes', () => {
    const first = entryClock(entry, fill, room.method, plain);
    expect(entryClock(entry, fill, room.method, plain)).toBe(first);
    // Another method under which the same goes on: the same times.
    const alike = entryClock(entry, fill, { ...room.method }, plain);
    expect(alike).not.toBe(first);
    expect(alike.times).toBe(first.times);
  });

  it('is another one once the method, the coat, its mud or the crew is', () => {
    const air = newAir();
    const at = (coat: RoomCoat, own: typeof room, slow: number) =>
      coatClock(entry, coat, own.method, { air, slowness: new Map([[kindOfEntry(entry, coat), slow]]) });
    const changes: readonly (readonly [RoomCoat, typeof room, number])[] = [
      [fill, room, 1],
      [coatOf(boxed, 'flat.fill'), boxed, 1],
      [fill, room, 1.4],
      [coatOf(room, 'flat.finish'), room, 1],
      [coatOf(room, 'flat.tape'), room, 1],
      [coatOf(room, 'angle.fill.first'), room, 1],
      [fill, room, 1],
    ];
    for (const [coat, own, slow] of changes)
      expect(at(coat, own, slow)).toEqual(fresh(coat, own, slow === 1 ? {} : { slowness: slow }));
    // The same one twice, and two that are left overnight however thin.
    expect(new Set(changes.map((change) => at(...change).recoatAt)).size).toBe(changes.length - 2);
  });
});
