import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { FOUND, type Found } from '../drying/touch';
import type { Entry } from '../log/entry';
import type { CoatKey } from '../method/coat';

const LINE = "A 12' x 10' x 8', door 32x80 wall 1 bead";
const HOUR = 3_600_000;
const TAPED = Date.parse('2031-05-06T12:00:00Z');
const KINDS = ['bead', 'flat', 'butt', 'angle', 'fasteners'] as const;
type Kind = (typeof KINDS)[number];
const { taken } = oneRoomSnapshot(LINE, TAPED);

const coat = (kind: Kind, key: CoatKey = 'tape', at = TAPED, minutes?: number) =>
  logEntry({
    kind: 'coat',
    at,
    payload: { class: kind, key, part: 1, mud: minutes ? { kind: 'setting', minutes } : { kind: 'drying' } },
  });
const ON = KINDS.map((kind) => coat(kind));
const touch = (found: Found, hours: number, where: { class?: Kind; pieces?: string[] } = {}) =>
  logEntry({ kind: 'touched', at: TAPED + hours * HOUR, payload: { found, ...where } });

const roomAt = (entries: readonly Entry[], hours = 1) => oneRoomSnapshot(LINE, TAPED + hours * HOUR).roomWith(entries);
const classAt = (entries: readonly Entry[], kind: Kind, hours = 1) =>
  roomAt(entries, hours).standing.classes.find((own) => own.class === kind);
/** Hours after the tape at which the tape coat of a class is ready for the next one. */
const readyAfter = (entries: readonly Entry[], kind: Kind = 'flat', hours = 1) =>
  ((classAt(entries, kind, hours)?.coats[0]?.readyAt ?? 0) - TAPED) / HOUR;
const byTables = readyAfter(ON);

describe('a touch check wins on the coat that was touched', () => {
  it.each([
    ['grey', 0.5, 'wet'],
    ['grey', 1.3, 'wet'],
    ['grey', 3, 'wet'],
    ['patchy', 0.95, 'wet'],
    ['patchy', 2, 'wet'],
    ['white', 0.2, 'go'],
    ['white', 0.9, 'go'],
    ['white', 1.5, 'go'],
  ] as const)('%s at %s times the hours of the tables: %s', (found, times, kind) => {
    const hours = byTables * times;
    expect(classAt([...ON, touch(found, hours, { class: 'flat' })], 'flat', hours + 0.01)?.now.kind).toBe(kind);
  });

  it('goes on by the clock later: grey has a quarter of its time to go at least, patchy a tenth', () => {
    expect(readyAfter([...ON, touch('grey', 24, { class: 'flat' })], 'flat', 24.1)).toBeCloseTo(1.25 * 24, 6);
    expect(readyAfter([...ON, touch('patchy', 24, { class: 'flat' })], 'flat', 24.1)).toBeCloseTo(1.1 * 24, 6);
    expect(readyAfter([...ON, touch('white', 9, { class: 'flat' })], 'flat', 10)).toBe(9);
  });

  it('holds for the joints that were touched, and is over with the next coat', () => {
    const [one, ...others] = taken.pieces.filter((piece) => piece.class === 'flat').map(({ id }) => id);
    if (one === undefined || others.length === 0) throw new Error('the room has two flats');
    const now = classAt([...ON, touch('white', 5, { class: 'flat', pieces: [one] })], 'flat', 6)?.now;
    expect(now?.kind === 'go' ? now.ready.map(({ pieces }) => pieces) : now).toEqual([[one]]);
    const filled = [...ON, touch('grey', 30, { class: 'flat' }), coat('flat', 'fill', TAPED + 31 * HOUR)];
    expect(classAt(filled, 'flat', 100)?.now).toMatchObject({ kind: 'go', coat: { key: 'finish' } });
  });

  it('holds for setting mud too, and a white coat has nothing wet under it', () => {
    const setting = [coat('flat', 'tape', TAPED, 45)];
    expect(classAt([...setting, touch('grey', 2, { class: 'flat' })], 'flat', 2.1)?.now.kind).toBe('wet');
    expect(classAt([...setting, touch('white', 0.5, { class: 'flat' })], 'flat', 0.6)?.now.kind).toBe('go');
    const early = [...ON, coat('flat', 'fill', TAPED + 2 * HOUR), touch('white', 4, { class: 'flat' })];
    expect(classAt(early, 'flat', 4.1)?.now).toMatchObject({ kind: 'go', coat: { key: 'finish' } });
  });

  it('is never ignored, whoever presses what when', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FOUND),
        fc.double({ min: 0.05, max: 80, noNaN: true }),
        fc.array(fc.tuple(fc.constantFrom(...FOUND), fc.double({ min: 0.05, max: 1, noNaN: true })), { maxLength: 3 }),
        (found, hours, before) => {
          const earlier = before.map(([own, part]) => touch(own, hours * part * 0.99, { class: 'flat' }));
          const entries = [...ON, ...earlier, touch(found, hours, { class: 'flat' })];
          const kind = classAt(entries, 'flat', hours + 1e-6)?.now.kind;
          expect([found, kind]).toEqual([found, found === 'white' ? 'go' : 'wet']);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('what a touch check teaches', () => {
  const factors = (entries: readonly Entry[]) =>
    Object.fromEntries([...roomAt(entries, 200).learned.byKind].map(([kind, { factor }]) => [kind, factor]));

  it('is of the mud and the coat that were touched, and moves no other', () => {
    const filled = [...ON, coat('angle', 'fill', TAPED + 40 * HOUR), coat('flat', 'fill', TAPED + 40 * HOUR)];
    const grey = touch('grey', 70, { class: 'angle' });
    // Angles in topping, flats in all-purpose.
    expect(Object.keys(factors([...filled, grey]))).toEqual(['topping fill']);
    for (const kind of ['flat', 'butt', 'bead'] as const)
      expect(classAt([...filled, grey], kind, 71)).toEqual(classAt(filled, kind, 71));
    // The tape under the fill is no second mud.
    expect(roomAt([...filled, grey], 71).learned.touches).toHaveLength(1);
  });

  it('counts presses within minutes once', () => {
    const white = [0, 2, 5, 8].map((seconds) => touch('white', 5 + seconds / 3600, { class: 'flat' }));
    const [once] = white;
    if (!once) throw new Error('there is a first press');
    expect(factors([...ON, ...white])['taping tape']).toBeCloseTo(factors([...ON, once])['taping tape'] ?? 0, 3);
    // The last press of a look counts: the others were mistaken.
    const corrected = [touch('white', 5, { class: 'flat' }), touch('grey', 5.01, { class: 'flat' })];
    expect(roomAt([...ON, ...corrected], 6).learned.touches.map(({ found }) => found)).toEqual(['grey']);
  });

  it('moves by 2 % at most for one wrong press after two right ones, and no more for three within minutes', () => {
    const right = [touch('grey', byTables * 0.5, { class: 'flat' }), touch('white', byTables * 1.1, { class: 'flat' })];
    const before = factors([...ON, ...right])['taping tape'] ?? 1;
    for (const presses of [1, 3]) {
      const wrong = Array.from({ length: presses }, (_, press) =>
        touch('grey', byTables * 1.3 + press / 60, { class: 'flat' }),
      );
      const after = factors([...ON, ...right, ...wrong])['taping tape'] ?? 1;
      expect(Math.abs(Math.log(after / before))).toBeLessThanOrEqual(Math.log(1.02) + 1e-9);
    }
  });

  it('is nothing from setting mud, nor from what was not on yet, and goes when it is taken back', () => {
    const setting = KINDS.map((kind) => coat(kind, 'tape', TAPED, 45));
    expect(factors([...setting, touch('grey', 5)])).toEqual({});
    expect(factors([...ON, touch('grey', -1)])).toEqual({});
    const late = touch('grey', byTables * 1.2);
    const back = logEntry({ kind: 'void', at: TAPED, role: 'lead', payload: { target: late.id } });
    expect(readyAfter([...ON, late, back])).toBe(byTables);
  });

  it('speaks for the slowest coat where a whole room is not dry, and for all of them where it is', () => {
    const filled = [...ON, coat('fasteners', 'fill', TAPED)];
    expect(roomAt([...filled, touch('grey', 20)], 21).learned.touches).toHaveLength(1);
    expect(roomAt([...filled, touch('white', 20)], 21).learned.touches.length).toBeGreaterThan(1);
  });

  it('is the same in whatever order it came', () => {
    const some = [touch('grey', byTables), touch('patchy', byTables * 1.3), touch('white', byTables * 1.6)];
    expect(factors([...ON, ...some.toReversed()])).toEqual(factors([...some, ...ON]));
  });

  it('reaches the plan: what is to come of the same kind dries slower too', () => {
    const tapedFlats = [coat('flat')];
    const slow = [1.1, 1.2, 1.3, 1.4].map((times) => touch('grey', byTables * times, { class: 'flat' }));
    const mudOf = (entries: readonly Entry[], work: string) =>
      oneRoomSnapshot(LINE, TAPED + 60 * HOUR)
        .inputWith(entries)
        .items.find((item) => item.work === work)?.muds[0]?.slowness ?? 1;
    expect(mudOf(tapedFlats, 'tape.angle')).toBe(1);
    expect(mudOf([...tapedFlats, ...slow], 'tape.angle')).toBeGreaterThan(1.3);
    expect(mudOf([...tapedFlats, ...slow], 'fill.flat')).toBe(1);
  });
});

describe('which coat a touch check speaks for', () => {
  const factorOf = (entries: readonly Entry[], hours: number) =>
    Object.fromEntries(roomAt(entries, hours).learned.touches.map((one) => [one.kind, one.dried]));
  const flatsOn = (face: string, at: number) => {
    const own = taken.pieces.filter((piece) => piece.class === 'flat' && piece.face === face);
    const on = own.map(({ id, amount }) => ({ id, amount, of: amount }));
    return logEntry({
      kind: 'coat',
      at,
      payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' }, faces: [face], on },
    });
  };
  const idsOn = (face: string) =>
    taken.pieces.filter((one) => one.class === 'flat' && one.face === face).map(({ id }) => id);

  it('is the one that is on top: what went on last, not what lies under it', () => {
    const filled = [coat('flat'), coat('flat', 'fill', TAPED + 40 * HOUR)];
    expect(Object.keys(factorOf([...filled, touch('grey', 45, { class: 'flat' })], 46))).toEqual(['all-purpose fill']);
    expect(Object.keys(factorOf([...filled, touch('grey', 30, { class: 'flat' })], 46))).toEqual(['taping tape']);
    // What went on at that very moment was not there to be touched.
    expect(Object.keys(factorOf([...filled, touch('grey', 40, { class: 'flat' })], 46))).toEqual(['taping tape']);
  });

  it('of two that went on one after the other is the one that dried less', () => {
    const parts = [flatsOn('w0', TAPED), flatsOn('c0', TAPED + 5 * HOUR)];
    const [both, late] = [
      factorOf([...parts, touch('grey', 10, { class: 'flat' })], 11),
      factorOf([flatsOn('c0', TAPED + 5 * HOUR), touch('grey', 10, { class: 'flat' })], 11),
    ];
    expect(both['taping tape']).toBeCloseTo(late['taping tape'] ?? 0, 9);
    // On the wall alone it is that of the wall.
    const onWall = factorOf([...parts, touch('grey', 10, { class: 'flat', pieces: idsOn('w0') })], 11);
    expect(onWall['taping tape']).toBeCloseTo(2 * (late['taping tape'] ?? 0), 6);
  });

  it('is still that of a wall which another coat covered only in part', () => {
    const part = { ...flatsOn('c0', TAPED + 5 * HOUR) };
    const entries = [flatsOn('w0', TAPED), flatsOn('c0', TAPED), part];
    const touches = roomAt([...entries, touch('white', 9, { class: 'flat' })], 10).learned.touches;
    expect(touches).toHaveLength(1);
    expect(touches[0]?.dried).toBeCloseTo(
      factorOf([part, touch('white', 9, { class: 'flat' })], 10)['taping tape'] ?? 0,
      9,
    );
  });

  it('is that which dries last where a room is not dry, whichever was logged first', () => {
    for (const late of ['flat', 'angle'] as const) {
      const early = late === 'flat' ? 'angle' : 'flat';
      // A tape and a fill coat dry apart.
      const entries = [
        coat(early, 'tape', TAPED - 60 * HOUR),
        coat(early, 'fill', TAPED),
        coat(late, 'tape', TAPED + 6 * HOUR),
      ];
      expect(Object.keys(factorOf([...entries, touch('grey', 8)], 9)), late).toEqual(['taping tape']);
    }
  });

  it('within ten minutes is one look, to the minute', () => {
    const looks = (minutes: number) =>
      roomAt([...ON, touch('grey', 5, { class: 'flat' }), touch('grey', 5 + minutes / 60, { class: 'flat' })], 6)
        .learned.touches.length;
    expect([looks(9), looks(10), looks(11)]).toEqual([1, 1, 2]);
  });
});
