import { MM_PER_INCH } from '../measure/unit';
import { coatsFor } from '../method/coatsFor';
import { choicesFor, type Method } from '../method/resolveMethod';
import type { MethodClass } from '../room/methodAnswers';
import { buildSection } from './buildSection';
import { judgeSection, MOST_WIDTH_MM } from './judgeSection';
import { foundIn } from './sectionFor';
import type { Tolerance } from './tolerance';

/**
 * The width that a joint has to be finished to so that it does not show, in steps of an inch from what the knives give
 * now: a blade leaves next to nothing under its ends, so this is more than what the hump asks for.
 *
 * @returns mm, both sides together; undefined where no width hides it
 */
export function widthThatHides(kind: MethodClass, method: Method, tolerance: Tolerance): number | undefined {
  const choices = choicesFor(method, kind);
  const found = foundIn(kind, method);
  const start = judgeSection(buildSection(kind, coatsFor(kind, method), found), tolerance).width;
  for (let width = Math.ceil(start / MM_PER_INCH) * MM_PER_INCH; width <= MOST_WIDTH_MM; width += MM_PER_INCH) {
    const classes = { ...method.classes, [kind]: { ...choices, width } };
    const { shows } = judgeSection(buildSection(kind, coatsFor(kind, { ...method, classes }), found), tolerance);
    if (!shows) return width;
  }
  return undefined;
}
