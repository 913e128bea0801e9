import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyChoices } from '../../../tests/houses/anyChoices';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import type { CoatEntry } from '../log/entry';
import type { Coat } from '../method/coat';
import { type Method, resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import type { MethodChoices } from '../room/methodSchema';
import { appliedCoats } from './appliedCoats';

const { house, room } = roomOf("Den: 12' x 10' x 8', window 36x48 @36 bead, niche 30x40x6 wall 2, soffit 12x10 wall 3");
const { tally, pieces } = takeOff(room, house);
const methodOf = (choices: MethodChoices, level: 3 | 4 | 5 = 4): Method =>
  resolveMethod({ unit: 'in', method: { ...choices, level } });

let count = 0;
/** A coat as the board logs it, by class and side. */
function logged(coat: Pick<Coat, 'class' | 'key' | 'side'>, part = 1): CoatEntry {
  count += 1;
  const at = new Date(count * 3_600_000).toISOString();
  return {
    id: `00000000-0000-4000-8000-${String(count).padStart(12, '0')}`,
    room: 'room-0',
    at,
    kind: 'coat',
    payload: {
      class: coat.class,
      key: coat.key,
      ...(coat.side ? { side: coat.side } : {}),
      part,
      mud: { kind: 'drying' },
    },
    seq: count,
    by: '00000000-0000-4000-8000-00000000000a',
    role: 'lead',
    recordedAt: at,
  };
}
const everyCoat = (method: Method) => roomCoats(tally, method).map((coat) => logged(coat));
const shares = (method: Method, entries: readonly CoatEntry[]) => {
  const { coats } = appliedCoats(pieces, method, entries);
  return Object.fromEntries(roomCoats(tally, method).map(({ id }) => [id, coats.get(id)?.share ?? 0]));
};
const ofClass = (kind: string, all: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(all).filter(([id]) => id.startsWith(`${kind}.`)));

describe('coats that are on, beside those that are asked for', () => {
  it('are all there when the room was coated by its method', () => {
    fc.assert(
      fc.property(anyChoices(), fc.constantFrom(3, 4, 5), (choices, level) => {
        const method = methodOf(choices, level);
        const entries = everyCoat(method);
        expect(new Set(Object.values(shares(method, entries)))).toEqual(new Set([1]));
        expect(appliedCoats(pieces, method, entries).more).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });

  it('stay on when the house goes from opposite sides to one side a round, and to both at once', () => {
    const opposite = methodOf({ angles: 'opposite' });
    const entries = everyCoat(opposite);
    for (const angles of ['sides', 'both'] as const)
      expect(new Set(Object.values(shares(methodOf({ angles }), entries)))).toEqual(new Set([1]));
  });

  it('count half where only the first sides were run, whatever order comes after', () => {
    const tape = everyCoat(methodOf({ angles: 'opposite' })).filter(({ payload: { key } }) => key === 'tape');
    const entries = [...tape, logged({ class: 'angle', key: 'fill', side: 'first' })];
    expect(ofClass('angle', shares(methodOf({ angles: 'opposite' }), entries))).toEqual({
      'angle.tape': 1,
      'angle.fill.first': 1,
      'angle.fill.second': 0,
    });
    const both = shares(methodOf({ angles: 'both' }), entries);
    expect(both['angle.fill']).toBeCloseTo(0.5, 9);
    const sides = ofClass('angle', shares(methodOf({ angles: 'sides' }), entries));
    // Of each angle one side is on: together as much as half of all sides.
    expect((sides['angle.fill.left'] ?? 0) + (sides['angle.fill.right'] ?? 0)).toBeCloseTo(1, 9);
  });

  it('are asked for only what is more: one coat, then three', () => {
    const one = methodOf({ coats: 'one' });
    const entries = everyCoat(one);
    expect(ofClass('flat', shares(methodOf({ coats: 'three' }), entries))).toEqual({
      'flat.tape': 1,
      'flat.fill': 1,
      'flat.finish': 0,
      'flat.extra': 0,
    });
    expect(appliedCoats(pieces, one, entries).more).toEqual([]);
  });

  it('are kept as more than is asked for when fewer are', () => {
    const entries = everyCoat(methodOf({ coats: 'three' }));
    const { more } = appliedCoats(pieces, methodOf({ coats: 'one' }), entries);
    expect(new Set(more.map(({ payload }) => payload.key))).toEqual(new Set(['finish', 'extra']));
    expect(more.length).toBeGreaterThan(5);
  });

  it('count by their order after the tape, not by their name', () => {
    const entries = [
      logged({ class: 'flat', key: 'tape', side: undefined }),
      logged({ class: 'flat', key: 'finish', side: undefined }),
    ];
    expect(ofClass('flat', shares(methodOf({}), entries))).toEqual({
      'flat.tape': 1,
      'flat.fill': 1,
      'flat.finish': 0,
    });
  });

  it('logged twice are one coat when two people said so, and two when the first was dry', () => {
    const coat = (key: 'tape' | 'fill', at: number) => {
      const entry = logged({ class: 'flat', key, side: undefined });
      return { ...entry, at: new Date(at * 3_600_000).toISOString() };
    };
    const twice = (hours: number) =>
      ofClass('flat', shares(methodOf({}), [coat('tape', 0), coat('fill', 20), coat('fill', 20 + hours)]));
    expect(twice(2)).toEqual({ 'flat.tape': 1, 'flat.fill': 1, 'flat.finish': 0 });
    expect(twice(20)).toEqual({ 'flat.tape': 1, 'flat.fill': 1, 'flat.finish': 1 });
  });

  it('on some faces are on those, and the rest is the rest', () => {
    const flats = pieces.filter((piece) => piece.class === 'flat');
    const whole = flats.reduce((sum, { amount }) => sum + amount, 0);
    const ceiling = flats.reduce((sum, { face, amount }) => sum + (face === 'c0' ? amount : 0), 0) / whole;
    const on = (key: 'tape' | 'fill', faces?: string[]) => {
      const entry = logged({ class: 'flat', key, side: undefined });
      return { ...entry, payload: { ...entry.payload, ...(faces && { faces }) } };
    };
    const log = [on('tape', ['c0'])];
    expect(shares(methodOf({}), log)['flat.tape']).toBeCloseTo(ceiling, 9);
    // Days later somebody logs the rest of the tape: the ceiling does not get a second tape coat by that.
    for (let days = 0; days < 24; days += 1) logged({ class: 'bead', key: 'tape', side: undefined });
    log.push(on('tape'), on('fill', ['c0']));
    expect(ofClass('flat', shares(methodOf({}), log))).toEqual({
      'flat.tape': 1,
      'flat.fill': expect.closeTo(ceiling, 9),
      'flat.finish': 0,
    });
    expect(appliedCoats(pieces, methodOf({}), log).more).toEqual([]);
    // Neither nothing nor everything is on the ceiling.
    expect(Math.abs(ceiling - 0.5)).toBeLessThan(0.4);
  });

  it('of a class that is no longer in the room have no place, and are kept', () => {
    const entries = [logged({ class: 'trim', key: 'fill', side: undefined })];
    expect(appliedCoats(pieces, methodOf({}), entries)).toMatchObject({ coats: new Map(), more: entries });
  });

  it('never become less by a change of method and back, and nothing is asked for twice', () => {
    const history = fc.array(fc.record({ place: fc.nat(), part: fc.constantFrom(0.25, 0.5, 1) }), { maxLength: 30 });
    fc.assert(
      fc.property(
        anyChoices(),
        anyChoices(),
        fc.constantFrom(3, 4),
        history,
        fc.boolean(),
        (one, other, level, said, all) => {
          const [method, next] = [methodOf(one, level), methodOf(other, level)];
          const coats = roomCoats(tally, method);
          const entries = all
            ? everyCoat(method)
            : said.flatMap(({ place, part }) => {
                const coat = coats[place % coats.length];
                return coat ? [logged(coat, part)] : [];
              });
          const before = appliedCoats(pieces, method, entries);
          appliedCoats(pieces, next, entries);
          expect(appliedCoats(pieces, method, entries)).toEqual(before);
          // Every entry is somewhere: on a coat that is asked for, or more than that.
          const after = appliedCoats(pieces, next, entries);
          const found = new Set([
            ...after.more,
            ...[...after.coats.values()].flatMap(({ applications }) => applications),
          ]);
          expect(found.size).toBe(entries.length);
          // A class that is done, and of which the other method asks no more coats of a piece, is done there too.
          for (const kind of new Set(coats.map((coat) => coat.class))) {
            const done = coats
              .filter((coat) => coat.class === kind)
              .every(({ id }) => before.coats.get(id)?.share === 1);
            const asked = (by: Method) =>
              roomCoats(tally, by).filter(
                (coat) => coat.class === kind && coat.side !== 'second' && coat.side !== 'right',
              ).length;
            const rest = (by: Method) =>
              roomCoats(tally, by).filter(
                (coat) => coat.class === kind && coat.side !== 'first' && coat.side !== 'left',
              ).length;
            if (!done || asked(next) > asked(method) || rest(next) > rest(method) || asked(method) !== rest(method))
              continue;
            for (const { id } of roomCoats(tally, next).filter((coat) => coat.class === kind))
              expect([id, after.coats.get(id)?.share]).toEqual([id, 1]);
          }
        },
      ),
      { numRuns: 200 },
    );
  });
});
