import { memoizeLast } from '../measure/memoizeLast';
import type { CoatedClass, CoatId } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { choicesFor, type Method } from '../method/resolveMethod';
import { buildSection, type Section } from './buildSection';
import { type JointFound, USUAL_BEVEL_MM, USUAL_JOINT } from './joint';

const MOST_REMEMBERED = 400;
const byMethod = new WeakMap<Method, Map<CoatedClass, Section>>();
const byContent = new Map<string, Section>();

/** The joint of a class as a method finds it: what was measured, else as usual. */
export function foundIn(kind: CoatedClass, method: Method): JointFound {
  const { taper, hump, gap, nose, bevel } = choicesFor(method, kind).found;
  return {
    ...USUAL_JOINT,
    taper: taper ?? USUAL_JOINT.taper,
    hump: hump ?? USUAL_JOINT.hump,
    bevel: bevel ?? USUAL_JOINT.bevel,
    gap: gap ?? USUAL_JOINT.gap,
    nose: nose ?? USUAL_JOINT.nose,
  };
}

/** The section of a class under a method. Rooms finished alike share it: it is worked out once for each content. */
export function sectionFor(kind: CoatedClass, method: Method): Section {
  const known = byMethod.get(method) ?? new Map<CoatedClass, Section>();
  byMethod.set(method, known);
  let section = known.get(kind);
  if (!section) {
    section = cachedSection(kind, method);
    known.set(kind, section);
  }
  return section;
}

/** The same method where the paper edges of butts were cut back to a channel. */
export const bevelledMethod = memoizeLast((method: Method): Method => {
  const { butt } = method.classes;
  return {
    ...method,
    classes: { ...method.classes, butt: { ...butt, found: { ...butt.found, bevel: USUAL_BEVEL_MM } } },
  };
});

function cachedSection(kind: CoatedClass, method: Method): Section {
  const coats = coatsFor(kind, method);
  const found = foundIn(kind, method);
  const sandBetween = choicesFor(method, kind).between === 'sand';
  const { shrinkage } = method;
  const key = JSON.stringify([kind, coats, found, sandBetween, shrinkage]);
  let section = byContent.get(key);
  if (!section) {
    section = buildSection(kind, coats, found, { sandBetween, shrinkage });
    if (byContent.size >= MOST_REMEMBERED) byContent.delete(byContent.keys().next().value ?? key);
    byContent.set(key, section);
  }
  return section;
}

/** Wet litres that one coat of a class takes per metre of joint, per fastener, or per square metre. */
export function litresPer(id: CoatId, section: Section): number {
  return section.coats.find(({ coat }) => coat.id === id)?.wet ?? 0;
}
