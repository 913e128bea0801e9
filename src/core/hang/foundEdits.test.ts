import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRoom } from '../../../tests/houses/anyRoom';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { MM_PER_INCH } from '../measure/unit';
import { facesOf } from '../room/faces/facesOf';
import { type FoundFace, resolveHang } from '../room/resolveHang';
import {
  addButt,
  addSeam,
  cutEdgeOf,
  type FoundEdit,
  flipCourse,
  foundOf,
  framingOn,
  isSameFound,
  moveButt,
  moveSeam,
  removeButt,
  removeSeam,
  setButt,
  snapped,
  turnRun,
} from './foundEdits';
import { hangRoom } from './hangRoom';

const inch = (inches: number) => inches * MM_PER_INCH;
const HOUSE = { unit: 'in', hang: {} } as const;
/** 20 ft walls of 8 ft: two courses with a butt each. */
const { room, house } = roomOf("Hall 20' x 12' x 8', door 32x80 wall 3");
const plan = resolveHang(house, room);
const wall = facesOf(room, 'in').find(({ id }) => id === 'w0');
if (!wall) throw new Error('the room has its first wall');
const planned = (() => {
  const hung = hangRoom([wall], plan)[0];
  const found = hung && foundOf(hung);
  if (!found) throw new Error('the wall has courses');
  return found;
})();
const done = (edit: FoundEdit): FoundFace => {
  if (!edit.ok) throw new Error(edit.why);
  return edit.found;
};
const why = (edit: FoundEdit) => (edit.ok ? undefined : edit.why);
/** The tally of a room whose first wall was found so. */
const tallyWith = (found: FoundFace | undefined) => {
  const inchesOf = (some: boolean | readonly number[]) =>
    typeof some === 'boolean' ? some : some.map((at) => at / MM_PER_INCH);
  const hung = found && {
    w0: {
      run: found.run,
      courses: found.courses.map(({ breadth, butts, backed, bevelled = false, flipped }) => ({
        breadth: breadth / MM_PER_INCH,
        butts: butts.map((at) => at / MM_PER_INCH),
        backed: inchesOf(backed),
        bevelled: inchesOf(bevelled),
        ...(flipped && { flipped }),
      })),
    },
  };
  return takeOff({ ...room, ...(hung && { hung: hung as typeof room.hung }) }, house).tally;
};
/** Inches of its classes. */
const classesWith = (found: FoundFace | undefined) =>
  Object.fromEntries(
    Object.entries(tallyWith(found).classes).map(([kind, { length, count }]) => [
      kind,
      [Math.round(length / MM_PER_INCH), count],
    ]),
  );
const PLAIN = classesWith(undefined);
const differs = (found: FoundFace) =>
  Object.fromEntries(
    Object.entries(classesWith(found))
      .map(
        ([kind, [length = 0, count = 0]]) =>
          [kind, [length - (PLAIN[kind]?.[0] ?? 0), count - (PLAIN[kind]?.[1] ?? 0)]] as const,
      )
      .filter(([, [length, count]]) => length !== 0 || count !== 0),
  );
const at = (course: number) => planned.courses[course]?.butts[0] ?? 0;

describe('a face as hung', () => {
  it('is the plan as long as nothing was found otherwise', () => {
    expect(planned.courses.map(({ breadth, butts }) => [breadth, butts.length])).toEqual([
      [inch(48), 1],
      [inch(48), 1],
    ]);
    expect(classesWith(planned)).toEqual(PLAIN);
  });

  // By hand: rips of 12 and 36 in about a board of 48. The upper one is cut at the ceiling, its taper at the seam below.
  it('has a rip that hangs the other way round: its factory edge in the angle, its cut edge at the seam', () => {
    const course = (breadth: number) => ({ breadth: inch(breadth), butts: [], backed: false });
    const rips: FoundFace = { run: 'across', courses: [course(12), course(48), course(36)] };
    expect([0, 1, 2].map((own) => cutEdgeOf(wall, rips, own, plan))).toEqual(['first', undefined, 'last']);
    const flipped = done(flipCourse(rips, 0));
    expect(cutEdgeOf(wall, flipped, 0, plan)).toBe('last');
    const [before, after] = [tallyWith(rips), tallyWith(flipped)];
    const inches = (mm: number) => Math.round(mm / MM_PER_INCH);
    expect(inches(before.classes.flat.length - after.classes.flat.length)).toBe(240);
    expect(inches(after.classes.mixed.length - before.classes.mixed.length)).toBe(240);
    const tapers = ({ factoryEdgeInAngle: { one, both } }: typeof before) => one + 2 * both;
    expect(inches(tapers(after) - tapers(before))).toBe(240);
    expect(isSameFound(rips, flipped)).toBe(false);
    expect(isSameFound(rips, done(flipCourse(flipped, 0)))).toBe(true);
    // At the floor nothing is taped: there only the seam changes.
    const lower = tallyWith(done(flipCourse(rips, 2)));
    expect(inches(lower.classes.mixed.length - before.classes.mixed.length)).toBe(240);
    expect(inches(tapers(lower) - tapers(before))).toBe(0);
  });

  it('of any room is what its plan says, wherever rows of boards can say it', () => {
    let told = 0;
    fc.assert(
      fc.property(anyRoom, (any) => {
        const bare = { ...any, hung: undefined };
        const before = takeOff(bare, HOUSE);
        const rooms = resolveHang(HOUSE, bare);
        const found = Object.fromEntries(
          before.faces.flatMap((hung) => {
            const own = hung.boards.length > 0 ? foundOf(hung) : undefined;
            return own ? [[hung.face.id, own] as const] : [];
          }),
        );
        told += Object.keys(found).length;
        const again = hangRoom(
          before.faces.map(({ face }) => face),
          { ...rooms, found },
        );
        for (const [index, { face, boards }] of before.faces.entries())
          if (found[face.id])
            expect(simple(again[index]?.boards ?? []), `${face.id} of ${any.name}`).toEqual(simple(boards));
      }),
      { numRuns: 120, seed: 5 },
    );
    expect(told).toBeGreaterThan(500);
  });

  // By hand: what each edit of a wall of 20 by 8 ft in two courses changes, inches and how many.
  it.each<[string, () => FoundFace, object]>([
    ['a butt moved by a bay', () => done(moveButt(wall, planned, { course: 0, at: at(0) }, at(0) - inch(16))), {}],
    ['a butt more', () => done(addButt(wall, planned, { course: 1, at: inch(32) })), { butt: [48, 1] }],
    ['a butt less', () => done(removeButt(planned, { course: 0, at: at(0) })), { butt: [-48, -1] }],
    [
      'a butt over a backer',
      () => done(setButt(planned, { course: 0, at: at(0) }, 'backed')),
      { butt: [-48, -1], backedButt: [48, 1] },
    ],
    // It is a butt as before: what differs is the mud, see below.
    ['a butt bevelled', () => done(setButt(planned, { course: 0, at: at(0) }, 'bevelled')), {}],
    // The strip is ripped: its cut edge meets the taper of the next one. The butt of the course is two.
    ['a strip more', () => done(addSeam(planned, inch(60))), { butt: [0, 1], mixed: [240, 1] }],
    [
      'a wider strip',
      () => done(moveSeam(done(addSeam(planned, inch(60))), 1, inch(72), plan)),
      { butt: [0, 1], mixed: [240, 1] },
    ],
    ['that strip taken away', () => done(removeSeam(done(addSeam(planned, inch(60))), 1, plan)), {}],
    ['boards upright', () => done(turnRun(wall, 'upright', plan)), { flat: [4 * 96 - 240, 3], butt: [-96, -2] }],
  ])('%s changes exactly that', (_words, edited, expected) => {
    expect(differs(edited())).toEqual(expected);
  });

  it('counts butts whose paper edges are cut back, and keeps the mark on them', () => {
    const one = done(setButt(planned, { course: 0, at: at(0) }, 'bevelled'));
    const moved = done(moveButt(wall, one, { course: 0, at: at(0) }, at(0) + inch(16)));
    const more = done(addButt(wall, moved, { course: 0, at: inch(32) }));
    // Where every butt of a course is so, one more is so too.
    expect(more.courses[0]?.bevelled).toBe(true);
    const but = done(setButt(more, { course: 0, at: inch(32) }, 'plain'));
    expect(but.courses[0]?.bevelled).toEqual([at(0) + inch(16)]);
    const back = done(setButt(but, { course: 0, at: inch(32) }, 'backed'));
    expect(back.courses[0]).toMatchObject({ backed: [inch(32)], bevelled: [at(0) + inch(16)] });
    expect(isSameFound(done(setButt(one, { course: 0, at: at(0) }, 'plain')), planned)).toBe(true);
    expect(isSameFound(one, planned)).toBe(false);
    expect(tallyWith(planned).bevelled).toBeUndefined();
    expect(tallyWith(one).bevelled).toEqual({ length: inch(48), count: 1 });
    expect(tallyWith(back).bevelled).toEqual({ length: inch(48), count: 1 });
  });

  it('refuses what cannot hang so, and says why', () => {
    expect(why(moveButt(wall, planned, { course: 0, at: 1 }, 2))).toBe('noButt');
    expect(why(moveButt(wall, planned, { course: 0, at: at(0) }, inch(239)))).toBe('tooShort');
    expect(why(moveButt(wall, planned, { course: 0, at: at(0) }, inch(300)))).toBe('noBoard');
    const two = done(addButt(wall, planned, { course: 0, at: inch(32) }));
    expect(why(moveButt(wall, two, { course: 0, at: inch(32) }, at(0) + inch(16)))).toBe('pastButt');
    expect(why(addButt(wall, two, { course: 0, at: inch(33) }))).toBe('tooNear');
    expect(why(moveSeam(planned, 0, inch(60), plan))).toBe('tooWide');
    expect(why(moveSeam(planned, 0, inch(97), plan))).toBe('pastSeam');
    expect(why(removeSeam(planned, 0, plan))).toBe('tooWide');
    expect(why(removeSeam(planned, 1, plan))).toBe('noSeam');
    expect(why(addSeam(planned, inch(1)))).toBe('tooNarrow');
    expect(why(addSeam(planned, inch(100)))).toBe('offFace');
  });

  it('snaps to the framing, also in a mirrored room, where it stands from the other end', () => {
    const members = framingOn(wall, 'across', plan.framing);
    expect(members).toHaveLength(14);
    expect(snapped(inch(70), members)).toBeCloseTo(inch(64), 6);
    const other = framingOn({ ...wall, width: inch(245), mirrored: true }, 'across', plan.framing);
    expect(other[0]).toBeCloseTo(inch(5), 6);
  });

  it('comes back to what it was, whatever is done and undone', () => {
    const place = fc.integer({ min: 1, max: 14 }).map((bay) => inch(bay * 16));
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(1), place, place), { maxLength: 12 }), (steps) => {
        let found = planned;
        const undo: ((now: FoundFace) => FoundEdit)[] = [];
        for (const [course, from, to] of steps) {
          const moved = moveButt(wall, found, { course, at: from }, to);
          if (moved.ok) undo.push((now) => moveButt(wall, now, { course, at: to }, from));
          const edit = moved.ok ? moved : addButt(wall, found, { course, at: to });
          if (!moved.ok && edit.ok) undo.push((now) => removeButt(now, { course, at: to }));
          if (edit.ok) found = edit.found;
        }
        for (const back of undo.toReversed()) found = done(back(found));
        expect(isSameFound(found, planned)).toBe(true);
      }),
      { numRuns: 300, seed: 7 },
    );
  });
});

const simple = (boards: ReturnType<typeof hangRoom>[number]['boards']) =>
  boards
    .map(({ u0, u1, v0, v1, long, lowEdge, highEdge }) => ({
      box: [u0, u1, v0, v1].map((value) => Math.round(value * 10)),
      edges: [long, lowEdge, highEdge],
    }))
    .sort((a, b) => (a.box.join() < b.box.join() ? -1 : 1));
