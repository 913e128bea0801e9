import { z } from 'zod';
import { levelSchema } from './levelSchema';
import { ANSWERS, METHOD_CLASSES } from './methodAnswers';

const positive = () => z.number().gt(0, 'must be greater than 0');
const notNegative = () => z.number().min(0, 'must not be negative');

const answers = {
  tools: z.enum(ANSWERS.tools).optional(),
  laying: z.enum(ANSWERS.laying).optional(),
  cover: z.enum(ANSWERS.cover).optional(),
  tape: z.enum(ANSWERS.tape).optional(),
  mud: z.enum(ANSWERS.mud).optional(),
  product: z.enum(ANSWERS.product).optional(),
  consistency: z.enum(ANSWERS.consistency).optional(),
  coats: z.enum(ANSWERS.coats).optional(),
  lastPass: z.enum(ANSWERS.lastPass).optional(),
  angles: z.enum(ANSWERS.angles).optional(),
  angleTool: z.enum(ANSWERS.angleTool).optional(),
  between: z.enum(ANSWERS.between).optional(),
  order: z.enum(ANSWERS.order).optional(),
  centring: z.enum(ANSWERS.centring).optional(),
  beads: z.enum(ANSWERS.beads).optional(),
  beadStrip: z.enum(ANSWERS.beadStrip).optional(),
  hard: z.enum(ANSWERS.hard).optional(),
  last: z.enum(ANSWERS.last).optional(),
};

/** What was found of the joints of a class, in the unit of the file; what is not said is as usual. */
export const jointFoundSchema = z.strictObject({
  taper: notNegative().optional(),
  hump: notNegative().optional(),
  bevel: notNegative().optional(),
  gap: notNegative().optional(),
  nose: notNegative().optional(),
});

export const classMethodSchema = z.strictObject({
  ...answers,
  /** How wide the joint is finished, both sides together; the knives widen toward it. */
  width: positive().optional(),
  found: jointFoundSchema.optional(),
});

/** Choices of a house or a room; a room's go before the house's, a class's before those of all classes. */
export const choicesSchema = z.strictObject({
  ...answers,
  /** Minutes on the label of setting mud. */
  settingMinutes: z.number().min(5, 'must be at least 5').max(360, 'must be at most 360').optional(),
  classes: z.partialRecord(z.enum(METHOD_CLASSES), classMethodSchema).optional(),
});
export type MethodChoices = z.infer<typeof choicesSchema>;
export type ClassMethod = z.infer<typeof classMethodSchema>;
export type JointFoundChoices = z.infer<typeof jointFoundSchema>;

export const methodSchema = choicesSchema.extend({ level: levelSchema.default(4) });
