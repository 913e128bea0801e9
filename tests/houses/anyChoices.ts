import fc from 'fast-check';
import { ANSWERS, QUESTIONS } from '@/core/room/methodAnswers';
import { choicesSchema } from '@/core/room/methodSchema';

/** Any answers, some of them for classes of their own. */
export const anyChoices = () => {
  const said = Object.fromEntries(
    QUESTIONS.map((question) => [question, fc.option(fc.constantFrom(...ANSWERS[question]), { nil: undefined })]),
  );
  return fc
    .record({
      ...said,
      classes: fc.dictionary(fc.constantFrom('flat', 'butt', 'angle', 'bead', 'fasteners'), fc.record(said), {
        maxKeys: 3,
      }),
    })
    .map((choices) => choicesSchema.parse(JSON.parse(JSON.stringify(choices))));
};
