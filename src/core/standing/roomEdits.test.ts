import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyChoices } from '../../../tests/houses/anyChoices';
import { anyRoom } from '../../../tests/houses/anyRoom';
import { roomOf } from '../../../tests/houses/readRooms';
import { placeOf } from '../joints/jointId';
import { type TakeOff, takeOff } from '../joints/takeOff';
import type { CoatEntry } from '../log/entry';
import { type Method, resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { withIds, withoutIds } from '../room/ids';
import { keepIds } from '../room/keepIds';
import { PARTS, partsOf } from '../room/parts';
import type { QuickRoom, Room } from '../room/schema';
import { appliedCoats } from './appliedCoats';
import { amountCovered, coveredBy } from './coveredBy';

const HOUSE = { unit: 'in', hang: {} } as const;
type Said = Parameters<typeof coveredBy>[0];

const known = new WeakMap<Room, TakeOff>();
/** Each room is asked for many times. */
function taken(room: Room): TakeOff {
  const off = known.get(room) ?? takeOff(room, HOUSE);
  known.set(room, off);
  return off;
}

let count = 0;
/** What was said, recorded with what it lies on in the room of that day, a day after what was said before. */
function recorded(said: Said, room: Room, method: Method): CoatEntry {
  count += 1;
  const found = coveredBy(said, taken(room).pieces, method, room.finish);
  if (!found.ok) throw new Error(found.problem.reason);
  const at = new Date(count * 86_400_000).toISOString();
  const stamp = { seq: count, by: '', role: 'lead', recordedAt: at, id: String(count), room: 'room', at } as const;
  return { ...stamp, kind: 'coat', payload: { ...said, on: found.on } };
}

const everything = (room: Room, method: Method): readonly CoatEntry[] =>
  roomCoats(taken(room).tally, method, room.finish).map(({ class: kind, key, side }) =>
    recorded({ class: kind, key, ...(side && { side }), part: 1, mud: { kind: 'drying' } }, room, method),
  );

/** What is on each piece: the shares of the coats that are asked for. */
function onPieces(room: Room, method: Method, entries: readonly CoatEntry[]): ReadonlyMap<string, readonly number[]> {
  const { stretches } = appliedCoats(taken(room).pieces, method, entries, room.finish);
  return new Map(
    stretches.flatMap(({ pieces, coats }) => pieces.map(({ id }) => [id, coats.map(({ share }) => share)] as const)),
  );
}

interface Edit {
  readonly longer: number;
  readonly which: number;
  readonly place: number;
  readonly moved: number;
}
const anyEdit: fc.Arbitrary<Edit> = fc.record({
  longer: fc.integer({ min: 0, max: 40 }),
  which: fc.nat(),
  place: fc.nat(),
  moved: fc.integer({ min: -3, max: 3 }),
});

/** A wall made longer, an opening moved, a part taken away; as somebody writes it who knows no ids. */
function edited(room: QuickRoom & { readonly id: string }, { longer, which, place, moved }: Edit): Room {
  const kinds = PARTS.filter((kind) => partsOf(room, kind).length > 0);
  const kind = kinds[which % Math.max(1, kinds.length)];
  const gone = kind && place % (partsOf(room, kind).length + 1);
  const { beads: _beads, finish: _finish, hung: _hung, ...plain } = withoutIds(room);
  const next = {
    ...plain,
    outline: plain.outline.map(([x, y]): [number, number] => [x > 80 ? x + longer : x, y]),
    ...(plain.openings && {
      openings: plain.openings.map((own) => ({ ...own, at: Math.max(0, own.at + moved) })),
    }),
    ...(kind && { [kind]: partsOf(plain, kind).filter((_, index) => index !== gone) }),
  };
  return { ...keepIds(room, next, 'in'), id: room.id };
}

const anyNamed = anyRoom.map((room) => ({
  ...withIds({ ...room, beads: undefined, hung: undefined }, 'in'),
  id: 'room',
}));
const methodOf = (choices: Parameters<typeof resolveMethod>[0]['method']): Method =>
  resolveMethod({ unit: 'in', method: choices });

describe('a room that is measured anew', () => {
  it('keeps what is on: only what grew is open, as far as it grew, and undone it stands as it stood', () => {
    fc.assert(
      fc.property(anyNamed, anyChoices(), anyEdit, (room, choices, edit) => {
        const method = methodOf({ ...choices, level: 4 });
        const entries = everything(room, method);
        const before = onPieces(room, method, entries);
        const next = edited(room, edit);
        const where = ({ class: kind, id }: { readonly class: string; readonly id: string }) =>
          `${kind} ${placeOf(id)}`;
        const [then, now] = [taken(room).pieces, taken(next).pieces];
        // A joint that became another class is a new one, and the old one is gone.
        const keyOf = ({ class: kind, id }: (typeof now)[number]) => `${kind} ${id}`;
        const amounts = new Map(then.map((piece) => [keyOf(piece), piece.amount]));
        const left = new Set(now.map(keyOf));
        const sumsOf = (pieces: typeof now) => {
          const sums = new Map<string, number>();
          for (const piece of pieces) sums.set(where(piece), (sums.get(where(piece)) ?? 0) + piece.amount);
          return sums;
        };
        const [gone, fresh] = [
          sumsOf(then.filter((piece) => !left.has(keyOf(piece)))),
          sumsOf(now.filter((piece) => !amounts.has(keyOf(piece)))),
        ];
        const after = onPieces(next, method, entries);
        for (const piece of now) {
          const was = amounts.get(keyOf(piece)) ?? gone.get(where(piece));
          if (was === undefined) continue;
          const is = amounts.has(keyOf(piece)) ? piece.amount : (fresh.get(where(piece)) ?? piece.amount);
          const share = is > was * 1.02 ? was / is : 1;
          // As near to that the tenth decides.
          if (Math.abs(is - was * 1.02) < 0.15) continue;
          // Amounts are kept in tenths of a mm.
          const nearly = Math.max(0.0005, 0.15 / is);
          for (const own of after.get(piece.id) ?? [])
            expect([piece.id, own, Math.abs(own - share) < nearly]).toEqual([piece.id, own, true]);
        }
        expect(onPieces(room, method, entries)).toEqual(before);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps what is on some faces and pieces, as much as it was', () => {
    const anySome = fc.array(
      fc.record({ coat: fc.nat(), face: fc.nat(), piece: fc.option(fc.nat()), part: fc.constantFrom(0.3, 1) }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anyNamed, anyChoices(), anyEdit, anySome, (room, choices, edit, some) => {
        const method = methodOf({ ...choices, level: 4 });
        const { pieces, tally } = taken(room);
        const coats = roomCoats(tally, method, room.finish);
        const entries = some.flatMap(({ coat, face, piece, part }) => {
          const own = coats[coat % Math.max(1, coats.length)];
          if (!own) return [];
          const there = pieces.filter((candidate) => candidate.class === own.class);
          const one = there[(piece ?? face) % there.length];
          if (!one) return [];
          const base = { class: own.class, key: own.key, mud: { kind: 'drying' } } as const;
          const said: Said =
            piece === null
              ? { ...base, part, faces: [one.face] }
              : { ...base, part: 1, pieces: [{ id: one.id, amount: one.amount * part }] };
          return [recorded(said, room, method)];
        });
        const next = edited(room, edit);
        const [before, after] = [onPieces(room, method, entries), onPieces(next, method, entries)];
        const untouched = new Set(taken(next).pieces.map(({ id }) => id));
        const all = pieces.every(({ id }) => untouched.has(id));
        const amounts = new Map(taken(next).pieces.map(({ id, amount }) => [id, amount]));
        const same = new Set(pieces.flatMap(({ id, amount }) => ((amounts.get(id) ?? 0) <= amount * 1.02 ? [id] : [])));
        for (const [id, shares] of before)
          if (all && after.has(id) && same.has(id)) expect([id, after.get(id)]).toEqual([id, shares]);
        expect(onPieces(room, method, entries)).toEqual(before);
        // Whatever lies nowhere any more is kept as more.
        const { more, coats: on } = appliedCoats(taken(next).pieces, method, entries, next.finish);
        const placed = new Set([...more, ...[...on.values()].flatMap(({ applications }) => applications)]);
        expect(placed.size).toBe(entries.length);
      }),
      { numRuns: 60 },
    );
  });
});

describe('pieces, by hand', () => {
  const { room } = roomOf("Den: 16' x 10' x 8'");
  const method = methodOf({ level: 4 });
  const tape = (part: Partial<Said>): Said => ({
    class: 'flat',
    key: 'tape',
    part: 1,
    mud: { kind: 'drying' },
    ...part,
  });
  const longer = (by: number): Room => edited(room as Room, { longer: by, which: 0, place: 0, moved: 0 });
  const flats = taken(room).pieces.filter((piece) => piece.class === 'flat' && piece.face === 'w0');

  it('that are longer than they were are open as far as they grew', () => {
    const [first] = flats;
    if (!first) throw new Error('a wall 8 ft high has a flat');
    const named = [recorded(tape({ pieces: [{ id: first.id }] }), room, method)];
    expect(onPieces(room, method, named).get(first.id)?.[0]).toBe(1);
    // 192 in of seam are taped: of 204 in a foot is open, of 193 nothing, which is how far two people measure apart.
    const all = [recorded(tape({}), room, method)];
    const after = onPieces(longer(12), method, all);
    expect(flats.map(({ id }) => after.get(id)?.[0])).toEqual(flats.map(() => expect.closeTo(192 / 204, 3)));
    const nearly = onPieces(longer(1), method, all);
    expect(flats.map(({ id }) => nearly.get(id)?.[0])).toEqual(flats.map(() => 1));
  });

  it('are refused when they are not there, of another class or side, twice, or said longer than they are', () => {
    const { pieces } = taken(room);
    const [flat] = flats;
    const corner = pieces.find(({ lies }) => lies?.left === false);
    if (!flat || !corner) throw new Error('there are flats and corners');
    const reason = (said: Said) => {
      const found = coveredBy(said, pieces, method);
      return found.ok ? 'taken' : `${found.problem.path}: ${found.problem.reason}`;
    };
    expect([
      reason(tape({ pieces: [{ id: 'w9#v0.0@w9' }] })),
      reason(tape({ class: 'butt', pieces: [{ id: flat.id }] })),
      reason(tape({ class: 'angle', side: 'left', pieces: [{ id: corner.id }] })),
      reason(tape({ pieces: [{ id: flat.id, amount: flat.amount * 1.1 }] })),
      reason(tape({ pieces: [{ id: flat.id, amount: flat.amount }] })),
    ]).toEqual([
      'payload.pieces[0].id: the room has no piece "w9#v0.0@w9"',
      'payload.pieces[0].id: is of another class (flat)',
      'payload.pieces[0].id: is not of the side "left"',
      `payload.pieces[0].amount: is more than the piece has (${Math.round(flat.amount * 10) / 10})`,
      'taken',
    ]);
  });

  it('of both sides of an angle are its length once', () => {
    const { pieces } = taken(room);
    const found = coveredBy(tape({ class: 'angle' }), pieces, method);
    // Four corners of 8 ft and 52 ft round the ceiling.
    expect(found.ok && amountCovered({ on: found.on }) / 304.8).toBeCloseTo(84, 3);
  });
});
