import { COATED_CLASSES } from '@/core/method/coat';
import { type Method, resolveMethod } from '@/core/method/resolveMethod';
import type { Site } from '@/core/readiness/siteOf';
import type { Section } from '@/core/section/buildSection';
import { sectionFor } from '@/core/section/sectionFor';

/** Every section that the glyphs of a house may need: the house's method whole, then what rooms do in another way. */
export function sectionsOf(site: Site): readonly Section[] {
  const house = resolveMethod(site.house);
  const methods = new Set<Method>(site.rooms.map(({ method }) => method));
  const full = house.level < 5 ? { ...house, level: 5 as const } : house;
  return [house, ...methods, full].flatMap((method) => COATED_CLASSES.map((kind) => sectionFor(kind, method)));
}
