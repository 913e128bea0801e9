import { snapped } from '@/core/hang/foundEdits';
import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import type { FoundFace } from '@/core/room/resolveHang';

/** A seam is moved by so much; mm. */
export const seamStep = (unit: LengthUnit): number => (unit === 'in' ? MM_PER_INCH : 10);

/** The member in the middle of the longest piece of a course. */
export function freeMember({ courses }: FoundFace, course: number, members: readonly number[]): number {
  const stops = [0, ...(courses[course]?.butts ?? []), (members.at(-1) ?? 0) + (members[0] ?? 0)];
  const middles = stops
    .slice(1)
    .map((to, index) => ({ length: to - (stops[index] ?? 0), middle: (to + (stops[index] ?? 0)) / 2 }));
  const longest = middles.reduce((best, one) => (one.length > best.length ? one : best), { length: 0, middle: 0 });
  return snapped(longest.middle, members);
}

/** The course that is broadest. */
export const widestCourse = ({ courses }: FoundFace): number =>
  courses.reduce((best, { breadth }, index) => (breadth > (courses[best]?.breadth ?? 0) ? index : best), 0);
