import { boxOf } from '../measure/polygon';
import type { Span } from '../measure/span';
import { MM_PER_INCH, TOLERANCE_MM } from '../measure/unit';
import type { Face } from '../room/faces/face';
import type { FoundFace, HangPlan, SomeButts } from '../room/resolveHang';
import { asFound, coursesOn, isAmong } from './asFound';
import { hangFace } from './hangFace';
import type { HungFace } from './hangRoom';
import { stretchesOf, stripOf } from './strip';

/** Why boards cannot hang so. */
export type NotSo =
  | 'noButt'
  | 'pastButt'
  | 'noCourse'
  | 'noSeam'
  | 'pastSeam'
  | 'tooWide'
  | 'tooNarrow'
  | 'offFace'
  | 'oneStrip'
  | 'noBoard'
  | 'tooShort'
  | 'tooNear';

/** A face as somebody found it, after a change; or why it cannot be so. */
export type FoundEdit = { readonly ok: true; readonly found: FoundFace } | { readonly ok: false; readonly why: NotSo };

/** One butt: in which course, and where along it; mm. */
export interface FoundButt {
  readonly course: number;
  readonly at: number;
}

/** How the boards end at a butt: as they were cut, over a backer, or with their paper edges cut back to a channel. */
export const BUTT_ENDS = ['plain', 'backed', 'bevelled'] as const;
export type ButtEnds = (typeof BUTT_ENDS)[number];

/** Nobody hangs a piece of board shorter or narrower than this. Common practice, no source. */
const LEAST_PIECE_MM = 2 * MM_PER_INCH;

/**
 * A face as it is planned, as one would write down how it was found; undefined where rows of boards side by side do not say
 * it, as on a soffit that is hung leg by leg.
 */
export function foundOf({ face, boards }: HungFace): FoundFace | undefined {
  const [first] = boards;
  if (!first || boards.some(({ long }) => long !== first.long)) return undefined;
  const across = first.long === 'u';
  const rows = new Map<number, { t0: number; t1: number; butts: number[]; backed: number[]; bevelled: number[] }>();
  const sorted = boards.toSorted((a, b) => (across ? a.v0 - b.v0 || a.u0 - b.u0 : a.u0 - b.u0 || a.v0 - b.v0));
  for (const board of sorted) {
    const [s0, s1, t0, t1] = across
      ? [board.u0, board.u1, board.v0, board.v1]
      : [board.v0, board.v1, board.u0, board.u1];
    const known = [...rows.values()].find((row) => Math.abs(row.t0 - t0) <= TOLERANCE_MM);
    const row = known ?? { t0, t1, butts: [], backed: [], bevelled: [] };
    if (!known) rows.set(t0, row);
    const next = sorted.find(
      (other) =>
        Math.abs((across ? other.u0 : other.v0) - s1) <= TOLERANCE_MM &&
        Math.abs((across ? other.v0 : other.u0) - t0) <= TOLERANCE_MM,
    );
    if (!next || s1 - s0 <= TOLERANCE_MM) continue;
    row.butts.push(s1);
    if (board.backed) row.backed.push(s1);
    if (board.bevelled) row.bevelled.push(s1);
  }
  const found: FoundFace = {
    run: across ? 'across' : 'upright',
    courses: [...rows.values()].map(({ t0, t1, butts, backed, bevelled }) => ({
      breadth: t1 - t0,
      butts,
      backed: allOr(backed, butts),
      ...(bevelled.length > 0 && { bevelled: allOr(bevelled, butts) }),
    })),
  };
  // Rows that do not fill the face one after the other are no courses of it.
  const reached = found.courses.reduce((sum, { breadth }) => sum + breadth, 0);
  const { breadth } = stripOf({ ...face, mirrored: false }, first.long);
  return Math.abs(reached - (breadth.to - breadth.from)) <= TOLERANCE_MM ? found : undefined;
}

/** Where the framing stands along a course, as far as a face reaches; mm. */
export function framingOn(face: Face, run: FoundFace['run'], framing: number): readonly number[] {
  const { from, to } = reachOf(face, run);
  const mirrored = face.mirrored && run === 'across';
  const count = Math.floor((to - from) / framing + TOLERANCE_MM);
  const members = Array.from({ length: count + 1 }, (_, index) =>
    mirrored ? face.width - index * framing : index * framing,
  );
  return members.filter((at) => at > from + TOLERANCE_MM && at < to - TOLERANCE_MM).sort((a, b) => a - b);
}

/** The member that is nearest to a place; the place itself where there is none. */
export const snapped = (at: number, members: readonly number[]): number =>
  members.reduce((best, member) => (Math.abs(member - at) < Math.abs(best - at) ? member : best), members[0] ?? at);

/** Moves a butt along its course; not past another one, nor off the board. */
export function moveButt(face: Face, found: FoundFace, { course, at }: FoundButt, to: number): FoundEdit {
  const own = found.courses[course];
  if (!own?.butts.some((butt) => same(butt, at))) return refused('noButt');
  const others = own.butts.filter((butt) => !same(butt, at));
  const why = whyNotAt(face, found, course, others, to);
  if (why) return refused(why);
  const passed = others.find((butt) => (butt - at) * (butt - to) < 0);
  if (passed !== undefined) return refused('pastButt');
  const was = endsAt(own, at);
  return withCourse(found, course, [...others, to], (place) => (same(place, to) ? was : endsAt(own, place)));
}

/** One butt more in a course. */
export function addButt(face: Face, found: FoundFace, { course, at }: FoundButt): FoundEdit {
  const own = found.courses[course];
  if (!own) return refused('noCourse');
  const why = whyNotAt(face, found, course, own.butts, at);
  if (why) return refused(why);
  const all = own.backed === true ? 'backed' : own.bevelled === true ? 'bevelled' : 'plain';
  return withCourse(found, course, [...own.butts, at], (place) => (same(place, at) ? all : endsAt(own, place)));
}

/** The boards on both sides of a butt are one. */
export function removeButt(found: FoundFace, { course, at }: FoundButt): FoundEdit {
  const own = found.courses[course];
  if (!own?.butts.some((butt) => same(butt, at))) return refused('noButt');
  const rest = own.butts.filter((butt) => !same(butt, at));
  return withCourse(found, course, rest, (place) => endsAt(own, place));
}

/** A butt is hung over a backer, its paper edges are cut back, or neither. */
export function setButt(found: FoundFace, { course, at }: FoundButt, ends: ButtEnds): FoundEdit {
  const own = found.courses[course];
  if (!own?.butts.some((butt) => same(butt, at))) return refused('noButt');
  return withCourse(found, course, own.butts, (place) => (same(place, at) ? ends : endsAt(own, place)));
}

/**
 * At which of its sides a course is cut, the one it begins with or the one it ends with; undefined where it is as broad as a
 * board or fills the face alone.
 */
export function cutEdgeOf(
  face: Face,
  { run, courses }: FoundFace,
  course: number,
  plan: HangPlan,
): 'first' | 'last' | undefined {
  const strip = stripOf({ ...face, mirrored: false }, run === 'across' ? 'u' : 'v');
  const { lowEdge, highEdge } = coursesOn(strip.breadth, courses, plan)[course] ?? {};
  if (lowEdge === highEdge) return undefined;
  return lowEdge === 'square' ? 'first' : 'last';
}

/** A rip hangs the other way round: what was cut lies where its factory edge lay. */
export const flipCourse = (found: FoundFace, course: number): FoundEdit => ({
  ok: true,
  found: {
    ...found,
    courses: found.courses.map((own, index) => {
      if (index !== course) return own;
      const { flipped, ...rest } = own;
      return flipped ? rest : { ...rest, flipped: true };
    }),
  },
});

/** Moves the seam after a course to another place across the face, mm from where its courses begin. */
export function moveSeam(found: FoundFace, course: number, to: number, plan: Pick<HangPlan, 'boards'>): FoundEdit {
  const [before, after] = [found.courses[course], found.courses[course + 1]];
  if (!before || !after) return refused('noSeam');
  const start = found.courses.slice(0, course).reduce((sum, { breadth }) => sum + breadth, 0);
  const end = start + before.breadth + after.breadth;
  if (to <= start + LEAST_PIECE_MM || to >= end - LEAST_PIECE_MM) return refused('pastSeam');
  const breadths = [to - start, end - to];
  if (Math.max(...breadths) > widestOf(plan) + TOLERANCE_MM) return refused('tooWide');
  return {
    ok: true,
    found: {
      ...found,
      courses: found.courses.map((own, index) => {
        const breadth = index === course ? breadths[0] : index === course + 1 ? breadths[1] : undefined;
        return breadth === undefined ? own : { ...own, breadth };
      }),
    },
  };
}

/** One seam more, mm from where the courses begin: the course there is two. Its butts stay in both. */
export function addSeam(found: FoundFace, at: number): FoundEdit {
  let start = 0;
  for (const [index, own] of found.courses.entries()) {
    const end = start + own.breadth;
    if (at > start && at < end) {
      if (Math.min(at - start, end - at) < LEAST_PIECE_MM) return refused('tooNarrow');
      const courses = found.courses.toSpliced(index, 1, { ...own, breadth: at - start }, { ...own, breadth: end - at });
      return { ok: true, found: { ...found, courses } };
    }
    start = end;
  }
  return refused('offFace');
}

/** The courses on both sides of a seam are one, with the butts of the first. */
export function removeSeam(found: FoundFace, course: number, plan: Pick<HangPlan, 'boards'>): FoundEdit {
  const [before, after] = [found.courses[course], found.courses[course + 1]];
  if (!before || !after) return refused('noSeam');
  const breadth = before.breadth + after.breadth;
  if (breadth > widestOf(plan) + TOLERANCE_MM) return refused('tooWide');
  return { ok: true, found: { ...found, courses: found.courses.toSpliced(course, 2, { ...before, breadth }) } };
}

/** The face hung the other way, as it would be planned so. */
export function turnRun(face: Face, run: FoundFace['run'], plan: HangPlan): FoundEdit {
  const plain = { searchStart: false, byLegs: false };
  const boards = hangFace(face, plan, { ...plain, long: [run === 'across' ? 'u' : 'v'] });
  const found = foundOf({ face, boards });
  return found?.run === run ? { ok: true, found } : refused('oneStrip');
}

/** Whether two say the same of a face. */
export const isSameFound = (a: FoundFace | undefined, b: FoundFace | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    a.run === b.run &&
    a.courses.length === b.courses.length &&
    a.courses.every((course, index) => {
      const other = b.courses[index];
      return (
        other !== undefined &&
        Math.abs(course.breadth - other.breadth) <= TOLERANCE_MM &&
        (course.flipped ?? false) === (other.flipped ?? false) &&
        course.butts.length === other.butts.length &&
        course.butts.every(
          (butt, place) =>
            same(butt, other.butts[place] ?? Number.NaN) &&
            endsAt(course, butt) === endsAt(other, other.butts[place] ?? Number.NaN),
        )
      );
    }));

const same = (a: number, b: number): boolean => Math.abs(a - b) <= TOLERANCE_MM;
const refused = (why: NotSo): FoundEdit => ({ ok: false, why });
const widestOf = ({ boards }: Pick<HangPlan, 'boards'>): number => Math.max(...boards.map(({ width }) => width));

/** How the boards end at a butt of a course. */
export function endsAt(
  { backed, bevelled = false }: Pick<FoundFace['courses'][number], 'backed' | 'bevelled'>,
  at: number,
): ButtEnds {
  if (isAmong(at, backed)) return 'backed';
  return isAmong(at, bevelled) ? 'bevelled' : 'plain';
}

/** All of them, none, or which. */
function allOr(some: readonly number[], butts: readonly number[]): SomeButts {
  if (some.length === 0) return false;
  return some.length === butts.length ? true : some;
}

function withCourse(
  found: FoundFace,
  course: number,
  butts: readonly number[],
  ends: (at: number) => ButtEnds,
): FoundEdit {
  const sorted = butts.toSorted((a, b) => a - b);
  const which = (kind: ButtEnds) =>
    allOr(
      sorted.filter((at) => ends(at) === kind),
      sorted,
    );
  const [backed, bevelled] = [which('backed'), which('bevelled')];
  const courses = found.courses.map((own, index) => {
    if (index !== course) return own;
    const { bevelled: _before, ...rest } = own;
    return { ...rest, butts: sorted, backed, ...(bevelled && { bevelled }) };
  });
  return { ok: true, found: { ...found, courses } };
}

/** How far a face reaches along its courses. */
function reachOf(face: Face, run: FoundFace['run']): Span {
  const box = boxOf(face.loops);
  return run === 'across' ? { from: box.u0, to: box.u1 } : { from: box.v0, to: box.v1 };
}

/** Why no butt can stand at a place of a course, beside those that are there. */
function whyNotAt(
  face: Face,
  found: FoundFace,
  course: number,
  others: readonly number[],
  at: number,
): NotSo | undefined {
  const strip = stripOf({ ...face, mirrored: false }, found.run === 'across' ? 'u' : 'v');
  const t0 = strip.breadth.from + found.courses.slice(0, course).reduce((sum, { breadth }) => sum + breadth, 0);
  const t1 = t0 + (found.courses[course]?.breadth ?? 0);
  const on = stretchesOf(strip, { t0, t1, lowEdge: 'square', highEdge: 'square', stock: { width: 0, lengths: [] } });
  const stretch = on.find(({ from, to }) => at > from && at < to);
  if (!stretch) return 'noBoard';
  if (Math.min(at - stretch.from, stretch.to - at) < LEAST_PIECE_MM) return 'tooShort';
  return others.some((butt) => Math.abs(butt - at) < LEAST_PIECE_MM) ? 'tooNear' : undefined;
}

/** The boards of a face with what was found of it. */
export const boardsAsFound = (face: Face, found: FoundFace, plan: HangPlan): HungFace => ({
  face,
  boards: asFound(face, found, plan),
});
