import { describe, expect, it } from 'vitest';
import { TROUBLE_WORDS } from '@/core/drying/coatTimes';
import { COATED_CLASSES } from '@/core/method/coat';
import { ladderFor } from '@/core/method/ladderFor';
import { resolveMethod } from '@/core/method/resolveMethod';
import { startingMethods } from '@/core/method/startingMethods';
import { ANSWERS } from '@/core/room/methodAnswers';
import { inUnit } from './unitWords';

describe('words of the trade in a metric house', () => {
  it.each([
    ['10 in flat box, set to 2', '250 mm flat box, set to 2'],
    ['no light under a 12 in knife; the edges', 'no light under a 300 mm knife; the edges'],
    ['gaps over 1/8 in and broken board', 'gaps over 3 mm and broken board'],
    ['setting mud is better over 1/8 in', 'setting mud is better over 3 mm'],
    ['fill with 14 and 16 in trowels', 'fill with 350 and 400 mm trowels'],
    ['it ends 10 to 12 in wide, a bad one 36 in;', 'it ends 250 to 300 mm wide, a bad one 900 mm;'],
    ['1,200 ft of tape: below 141 ft setting up', '366 m of tape: below 43 m setting up'],
    ['finishing needs 10 °C (50 °F)', 'finishing needs 10 °C'],
    ['two wet sides meet in 8 three-ways when', 'two wet sides meet in 8 three-ways when'],
    ['mesh in drying mud', 'mesh in drying mud'],
  ])('%s', (inInches, metric) => {
    expect(inUnit(inInches, 'mm')).toBe(metric);
  });

  it('stay as they are in a house measured in inches, with one temperature', () => {
    expect(inUnit('10 in flat box', 'in')).toBe('10 in flat box');
    expect(inUnit('finishing needs 10 °C (50 °F)', 'in')).toBe('finishing needs 50 °F');
  });

  it('hold no inch, foot or °F in any ladder, school or trouble', () => {
    const imperial = /\d (?:in|ft|gal)\b|°F|″|′/;
    const schools = startingMethods('mm').map(({ words }) => words);
    const ladders = ANSWERS.tools.flatMap((tools) =>
      ANSWERS.laying.flatMap((laying) => {
        const method = resolveMethod({ unit: 'mm', method: { level: 5, tools, laying } });
        return COATED_CLASSES.flatMap((kind) =>
          ladderFor(kind, method).flatMap((step) =>
            step.kind === 'coat' ? [step.coat.tool, step.coat.check, step.coat.purpose, step.coat.wait] : [step.what],
          ),
        );
      }),
    );
    const all = [...ladders, ...schools, ...Object.values(TROUBLE_WORDS)];
    expect(all.filter((words) => imperial.test(words)).length).toBeGreaterThan(10);
    expect(all.map((words) => inUnit(words, 'mm')).filter((words) => imperial.test(words))).toEqual([]);
  });
});
