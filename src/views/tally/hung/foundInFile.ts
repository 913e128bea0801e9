import { fromMm, type LengthUnit } from '@/core/measure/unit';
import type { FoundFace } from '@/core/room/resolveHang';
import type { HungCourses } from '@/core/room/schema';

/** What was found of a face, in the unit of its house. */
export const foundInFile = ({ run, courses }: FoundFace, unit: LengthUnit): HungCourses => ({
  run,
  courses: courses.map(({ breadth, butts, backed, bevelled, flipped }) => ({
    breadth: fromMm(breadth, unit),
    butts: butts.map((at) => fromMm(at, unit)),
    backed: typeof backed === 'boolean' ? backed : backed.map((at) => fromMm(at, unit)),
    ...(bevelled && { bevelled: bevelled === true ? true : bevelled.map((at) => fromMm(at, unit)) }),
    ...(flipped && { flipped }),
  })),
});
