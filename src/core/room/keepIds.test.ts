import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRoom } from '../../../tests/houses/anyRoom';
import { takeOff } from '../joints/takeOff';
import { formatQuickLine } from '../quickline/formatQuickLine';
import { parseQuickLine } from '../quickline/parseQuickLine';
import { checkRoom } from './checks/checkRoom';
import { idsIn, withIds, withNames, withoutIds } from './ids';
import { keepIds } from './keepIds';
import { PARTS, partsOf } from './parts';
import { type QuickRoom, type Room, roomSchema } from './schema';

const HOUSE = { unit: 'in', hang: {} } as const;

/** A room as its line says it after another one, or from nothing. */
function said(line: string, before?: QuickRoom): QuickRoom {
  const reading = parseQuickLine(line, HOUSE, before);
  if (!reading.ok) throw new Error(`${line}: ${reading.reason}`);
  return before ? reading.room : withIds(reading.room, 'in');
}
const idsOf = (parts: readonly { readonly id?: string | undefined }[] | undefined) => (parts ?? []).map(({ id }) => id);
const joints = (room: QuickRoom) => takeOff({ ...room, id: 'room' }, HOUSE).joints;

describe('ids of walls and parts', () => {
  it('are the numbers of a new room, and what is said of it by number stays true', () => {
    const room = said("Den: 12' x 10' x 8', window 24x36 wall 2 bead, edge w1.o0.head L, level 5 of wall 3");
    expect(room).toMatchObject({
      walls: ['w0', 'w1', 'w2', 'w3'],
      openings: [{ id: 'o0' }],
      beads: { edges: { 'w1.o0.head': 'L' } },
      finish: { faces: { w2: { level: 5 } } },
      given: 3,
    });
  });

  it('keep the trim of a window on that window when another one is taken away', () => {
    const windows = ['window 24x36 wall 1', 'window 30x36 wall 2', 'window 36x36 wall 3'];
    const line = (which: readonly string[]) => `Den: 12' x 10' x 8', ${which.join(', ')}, edge w1.o1 J`;
    const three = said(line(windows));
    const two = said(line(windows.slice(1)), three);
    expect(idsOf(two.openings)).toEqual(['o1', 'o2']);
    expect(two.beads?.edges).toEqual({ 'w1.o1': 'J' });
    const trims = joints(two).filter(({ profile }) => profile === 'J');
    // Round the window of 30 by 36 in: its two jambs, head and sill.
    expect(trims.map(({ length }) => Math.round(length / 25.4)).sort()).toEqual([30, 30, 36, 36]);
    expect(trims.map(({ id }) => id).sort()).toEqual(
      joints(three)
        .filter(({ profile }) => profile === 'J')
        .map(({ id }) => id)
        .sort(),
    );
  });

  it('are given to nothing else when what had them is gone', () => {
    const first = said("Den: 12' x 10' x 8', window 24x36 wall 1, window 30x40 wall 2");
    const one = said("Den: 12' x 10' x 8', window 24x36 wall 1", first);
    const again = said("Den: 12' x 10' x 8', window 24x36 wall 1, door 32x80 wall 3", one);
    expect(idsOf(again.openings)).toEqual(['o0', 'o4']);
  });

  it('stay when the room is renamed, and its windows moved, widened and lifted', () => {
    const before = said("Den: 12' x 10' x 8', window 24x36 wall 1 at 1', window 24x36 wall 1 at 5', door 32x80 wall 2");
    const after = said(
      "Study: 12' x 10' x 9', door 32x80 wall 2 at 1', window 24x36 @30 wall 1 at 1'6, window 30x36 wall 1 at 5'",
      before,
    );
    expect(idsOf(after.openings)).toEqual(['o2', 'o0', 'o1']);
    expect(after.walls).toEqual(before.walls);
  });

  it('of walls stay when a wall gets longer, a corner is cut out, and the walk begins elsewhere', () => {
    const before = said("Den: 12' x 10' x 8', window 24x36 wall 3");
    expect(said("Den: 14' x 10' x 8', window 24x36 wall 3", before).walls).toEqual(['w0', 'w1', 'w2', 'w3']);
    // Turned by a quarter: what was its second wall is the first one now, and the window goes with its wall.
    const turned = said("Den: 10' x 12' x 8', window 24x36 wall 2", before);
    expect(turned).toMatchObject({ walls: ['w1', 'w2', 'w3', 'w0'], openings: [{ id: 'o0' }] });
    const cut = said("Den: r 12' d 7' l 3' d 3' l 9' u 10', height 8', window 24x36 wall 5", before);
    expect(cut.walls?.[0]).toBe('w0');
    expect(cut.walls?.at(-1)).toBe('w3');
    expect(new Set(cut.walls).size).toBe(6);
    expect(cut.walls?.filter((id) => before.walls?.includes(id))).toHaveLength(4);
  });

  it('that somebody chose, and a count that is at its end, leave a room that can be read', () => {
    const room = said("Den: 12' x 10' x 8', window 24x36 wall 1");
    const [window] = room.openings;
    const odd = { ...room, openings: [{ ...window, id: 'w9999999999999999999' }] as Room['openings'] };
    const more = withIds(
      { ...odd, openings: [...odd.openings, { ...odd.openings[0], id: undefined }] as Room['openings'] },
      'in',
    );
    expect(roomSchema.safeParse({ ...more, id: 'den' }).success).toBe(true);
    const atEnd = keepIds(
      { ...room, given: 999_999 },
      withoutIds({ ...room, openings: [...room.openings, ...room.openings] }),
      'in',
    );
    expect(roomSchema.safeParse({ ...atEnd, id: 'den' }).success).toBe(true);
    expect(new Set(idsIn(atEnd)).size).toBe(idsIn(atEnd).length);
  });

  it('of a copy are its own, by number again', () => {
    const room = said("Den: 12' x 10' x 8', window 24x36 wall 1, window 30x40 wall 2, edge w1.o1.head L");
    const edited = said("Den: 12' x 10' x 8', window 30x40 wall 2, edge w1.o1.head L", room);
    expect(withoutIds(edited)).toMatchObject({ beads: { edges: { 'w1.o0.head': 'L' } } });
    expect(idsIn(withoutIds(edited))).toEqual([]);
  });
});

describe('rooms of any kind', () => {
  const anyNamed = anyRoom.map((room) => withIds(room, 'in'));
  it('have ids that tell their parts apart, and joints that are told apart by theirs', () => {
    fc.assert(
      fc.property(anyNamed, (room) => {
        const ids = idsIn(room);
        expect(new Set(ids).size).toBe(ids.length);
        expect(checkRoom(room, HOUSE)).toEqual([]);
        const own = takeOff(room, HOUSE).joints.map(({ id }) => id);
        expect(new Set(own).size).toBe(own.length);
      }),
      { numRuns: 60 },
    );
  });

  it('said again by their line are the same parts', () => {
    fc.assert(
      fc.property(anyNamed, (room) => {
        const again = said(formatQuickLine(room, 'in'), room);
        expect(again.walls).toEqual(room.walls);
        for (const kind of PARTS) expect(idsOf(again[kind])).toEqual(idsOf(room[kind]));
        expect([again.beads, again.finish?.faces, again.hung && Object.keys(again.hung)]).toEqual([
          room.beads,
          room.finish?.faces,
          room.hung && Object.keys(room.hung),
        ]);
      }),
      { numRuns: 60 },
    );
  });

  it('keep the ids of all that is not touched when a part is taken away or a wall moves', () => {
    fc.assert(
      fc.property(anyNamed, fc.nat(), fc.nat(), fc.integer({ min: 1, max: 40 }), (room, which, place, by) => {
        const kinds = PARTS.filter((kind) => partsOf(room, kind).length > 0);
        const kind = kinds[which % Math.max(1, kinds.length)];
        const plain = withoutIds({ ...room, beads: undefined, finish: undefined, hung: undefined });
        const longer = plain.outline.map(([x, y]): [number, number] => [x > 80 ? x + by : x, y]);
        const gone = kind && place % partsOf(room, kind).length;
        const after = keepIds(
          room,
          {
            ...plain,
            outline: longer,
            ...(kind && { [kind]: partsOf(plain, kind).filter((_, index) => index !== gone) }),
          },
          'in',
        );
        expect(after.walls).toEqual(room.walls);
        for (const own of PARTS) {
          const left = idsOf(partsOf(room, own)).filter((_, index) => own !== kind || index !== gone);
          expect(idsOf(partsOf(after, own))).toEqual(left);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('are the same joints, whatever their parts are called', () => {
    fc.assert(
      fc.property(anyNamed, (room) => {
        const ids = new Set(idsIn(room));
        const name = (text: string) => text.replace(/\w+/g, (part) => (ids.has(part) ? `x${part}` : part));
        const other: Room = {
          ...withNames(room, name),
          walls: room.walls?.map(name),
          ...Object.fromEntries(
            PARTS.filter((kind) => room[kind]).map((kind) => [
              kind,
              partsOf(room, kind).map((part) => ({ ...part, id: name(part.id ?? '') })),
            ]),
          ),
        };
        expect(checkRoom(other, HOUSE)).toEqual([]);
        const [one, two] = [takeOff(room, HOUSE), takeOff(other, HOUSE)];
        expect(two.tally).toEqual({
          ...one.tally,
          beadPieces: one.tally.beadPieces.map((piece) => ({ ...piece, edge: name(piece.edge) })),
          ...(one.tally.parts && {
            parts: one.tally.parts.map((part) => ({ ...part, faces: part.faces.map(name).sort() })),
          }),
        });
        expect(two.joints.map(({ id }) => id.replace(/#.*/, '').split('~').sort())).toEqual(
          one.joints.map(({ id }) => name(id.replace(/#.*/, '')).split('~').sort()),
        );
      }),
      { numRuns: 40 },
    );
  });
});

describe('ids that tell nothing apart', () => {
  const room = said("Den: 12' x 10' x 8', window 24x36 wall 1, window 30x40 wall 2");
  const [one, other] = room.openings;
  const refusal = (wrong: object) => checkRoom({ ...room, id: 'den', ...wrong }, HOUSE);

  it('are refused with their place', () => {
    expect(refusal({ openings: [one, { ...other, id: 'o0' }] })).toEqual([
      { path: 'openings[1].id', reason: '"o0" is the id of openings[0] too' },
    ]);
    expect(refusal({ walls: ['w0', 'w1', 'w0', 'w3'] })).toEqual([
      { path: 'walls[2]', reason: '"w0" is the id of walls[0] too' },
    ]);
    expect(refusal({ walls: ['w0', 'w1'] })).toEqual([{ path: 'walls', reason: 'names 2 walls, the room has 4' }]);
    expect(refusal({ openings: [{ ...one, id: 'head' }, other] })).toMatchObject([{ path: 'openings[0].id' }]);
  });
});
