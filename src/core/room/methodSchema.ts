import { z } from 'zod';
import { levelSchema } from './levelSchema';
import { ANSWERS, type AnswerTo, METHOD_CLASSES, QUESTIONS, type Question } from './methodAnswers';

const positive = () => z.number().gt(0, 'must be greater than 0');
const notNegative = () => z.number().min(0, 'must not be negative');

type AnswerSchemas = {
  [Key in Question]: z.ZodOptional<z.ZodEnum<{ [Answer in AnswerTo<Key>]: Answer }>>;
};
const answers = Object.fromEntries(
  QUESTIONS.map((question) => [question, z.enum(ANSWERS[question]).optional()]),
) as unknown as AnswerSchemas;

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
