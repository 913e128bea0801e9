import { CLASS_TRAITS, type ClassTraits, isAccessory, isAngle } from '../joints/classTraits';
import { MM_PER_INCH } from '../measure/unit';
import type { CoatedClass, CoatKey, Tool } from './coat';
import type { ClassChoices } from './resolveMethod';

/** Knife widths in inches by coat: 6, then 8 to 10, then 12; butts 12 and 14. Common practice, no source. */
const KNIVES: Readonly<Record<ClassTraits['knives'], Readonly<Record<Exclude<CoatKey, 'sides' | 'skim'>, number>>>> = {
  flat: { tape: 6, fill: 10, finish: 12, extra: 14 },
  mixed: { tape: 6, fill: 14, finish: 18, extra: 18 },
  butt: { tape: 6, fill: 12, finish: 14, extra: 16 },
  tieIn: { tape: 6, fill: 14, finish: 20, extra: 20 },
  angle: { tape: 4, fill: 5, finish: 6, extra: 6 },
  bead: { tape: 6, fill: 8, finish: 10, extra: 12 },
  fasteners: { tape: 6, fill: 6, finish: 6, extra: 8 },
};
/** The coats of an inside angle stay within this on each side. Common practice, no source. */
export const MOST_ANGLE_SIDE_MM = 8 * MM_PER_INCH;
const SKIM_KNIFE = 14;
const WIDEST_BOX_MM = 12 * MM_PER_INCH + 1;
const TROWELS = { fill: 14, finish: 16, extra: 16 } as const;
const BOXES = { fill: 10, finish: 12, extra: 12 } as const;
/** The box's setting, lower leaves more: printed on the card and checked with a blade after the first run. A skim is run at
 * 2, backed butts one lower than flats. Common practice, no source. */
const BOX_SETTINGS = { fill: 2, finish: 2, extra: 3 } as const;

/** The tool of a coat, by the school chosen; a chosen width of the joint widens the last knives to it. */
export function toolFor(kind: CoatedClass, key: CoatKey, isLast: boolean, choices: ClassChoices): Tool {
  if (key === 'skim' || key === 'sides') return knife(SKIM_KNIFE);
  if (key === 'tape') return tapeTool(kind, choices);
  if (isAngle(kind)) {
    const inches = KNIVES.angle[key];
    return choices.angles === 'both' && choices.angleTool === 'corner'
      ? { kind: 'corner', width: CORNER_TOOL_MM }
      : widened(knife(inches), 2, isLast, { width: choices.width && Math.min(choices.width, 2 * MOST_ANGLE_SIDE_MM) });
  }
  if (isAccessory(kind)) return widened(knife(KNIVES[CLASS_TRAITS[kind].knives][key]), 2, isLast, choices);
  const { sides } = CLASS_TRAITS[kind];
  switch (choices.tools) {
    case 'knives':
      return widened(knife(KNIVES[CLASS_TRAITS[kind].knives][key]), sides, isLast, choices);
    case 'trowel':
      return widened(blade('trowel', TROWELS[key]), sides, isLast, choices);
    case 'boxes':
      return boxFor(kind, key, isLast, choices);
  }
}

function boxFor(kind: CoatedClass, key: 'fill' | 'finish' | 'extra', isLast: boolean, choices: ClassChoices): Tool {
  // An unbacked butt is boxed on both sides, and centred with a knife.
  const inches = BOXES[key];
  const { sides } = CLASS_TRAITS[kind];
  const tool = widened(blade('box', inches), sides, isLast, choices);
  // What is wider than any box is finished with a knife.
  if (tool.width > WIDEST_BOX_MM) return { ...tool, kind: 'knife' };
  return { ...tool, setting: BOX_SETTINGS[key] - (CLASS_TRAITS[kind].boxed === 'backed' ? 1 : 0) };
}

function tapeTool(kind: CoatedClass, { laying, tape }: ClassChoices): Tool {
  const plain = knife(KNIVES[CLASS_TRAITS[kind].knives].tape);
  if (isAccessory(kind)) return plain;
  if (tape !== 'paper') return { ...plain, tapeFrom: 'roll' };
  if (isAngle(kind) && (laying === 'applicator' || laying === 'taper'))
    return { kind: 'head', width: CORNER_TOOL_MM, tapeFrom: laying };
  return laying === 'taper' ? { ...plain, kind: 'taper', tapeFrom: laying } : { ...plain, tapeFrom: laying };
}
/** What is pushed through a corner covers so much of each side. */
const CORNER_TOOL_MM = 3 * MM_PER_INCH;

const knife = (inches: number): Tool => blade('knife', inches);
const blade = (kind: 'knife' | 'trowel' | 'box', inches: number): Tool => ({ kind, width: inches * MM_PER_INCH });

/** A joint that is to be finished to a width gets knives that reach it: the last one whole, those before no wider. */
function widened(tool: Tool, sides: 1 | 2, isLast: boolean, { width }: Pick<ClassChoices, 'width'>): Tool {
  if (width === undefined) return tool;
  return { ...tool, width: isLast ? width / sides : Math.min(tool.width, width / sides) };
}
