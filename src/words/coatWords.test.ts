import { describe, expect, it } from 'vitest';
import { COATED_CLASSES, type CoatedClass } from '../core/method/coat';
import { coatsFor } from '../core/method/coatsFor';
import { ladderFor } from '../core/method/ladderFor';
import { resolveMethod } from '../core/method/resolveMethod';
import { SCHOOLS } from '../core/method/startingMethods';
import { ANSWERS } from '../core/room/methodAnswers';
import type { MethodChoices } from '../core/room/methodSchema';
import { troubleWords } from './airWords';
import { checkWords, coatName, purposeOf, setBacks, stepWords, toolWords, waitWords } from './coatWords';
import { bladeWords } from './lengthWords';
import { schoolWords } from './methodWords';

const UNITS = ['in', 'mm'] as const;
const toolsOf = (kind: CoatedClass, choices: MethodChoices, unit: (typeof UNITS)[number]) =>
  coatsFor(kind, resolveMethod({ unit, method: { level: 4, ...choices } })).map((coat) => toolWords(coat, unit));

describe('tools', () => {
  it('are sold by the inch, or by 25 mm', () => {
    expect(toolsOf('flat', {}, 'in')).toEqual(['tape from the belt, 6 in knife', '10 in knife', '12 in knife']);
    expect(toolsOf('flat', {}, 'mm')).toEqual(['tape from the belt, 150 mm knife', '250 mm knife', '300 mm knife']);
    expect(toolsOf('flat', { tools: 'boxes' }, 'mm')[1]).toBe('250 mm flat box, set to 2');
    expect([1 / 8, 5.5, 11.8].map((inches) => bladeWords(inches * 25.4, 'in'))).toEqual(['0 in', '5.5 in', '12 in']);
  });
  it('of a joint that is to be wider are the next ones that there are', () => {
    expect(toolsOf('butt', { classes: { butt: { width: 650 } } }, 'mm').at(-1)).toBe('325 mm knife');
  });
});

describe('everything that is said of coats', () => {
  const said = (unit: (typeof UNITS)[number]) =>
    ANSWERS.tools.flatMap((tools) =>
      ANSWERS.laying.flatMap((laying) => {
        const method = resolveMethod({ unit, method: { level: 5, tools, laying } });
        return COATED_CLASSES.flatMap((kind) =>
          ladderFor(kind, method).flatMap((step) =>
            step.kind === 'coat'
              ? [
                  coatName(step.coat),
                  purposeOf(step.coat),
                  toolWords(step.coat, unit),
                  waitWords(step.coat),
                  checkWords(step.coat, unit),
                ]
              : Object.values(stepWords(step, unit)),
          ),
        );
      }),
    );
  const others = (unit: (typeof UNITS)[number]) => [
    setBacks(unit),
    ...SCHOOLS.flatMap((school) => Object.values(schoolWords(school, unit))),
    ...(['cold', 'atDewPoint', 'nearDewPoint', 'tooDeep', 'driesBeforeItSets', 'settingTooThin'] as const).map((one) =>
      troubleWords(one, unit),
    ),
  ];
  const imperial = /\d (?:in|ft|gal)\b|°F|″|′/;
  const metric = /\d (?:mm|m|l)\b|°C/;

  it('holds no inch, foot or °F in a metric house, and no millimetre or °C in another', () => {
    const [inches, millimetres] = UNITS.map((unit) => [...said(unit), ...others(unit)]);
    expect(millimetres?.filter((words) => metric.test(words)).length).toBeGreaterThan(10);
    expect(millimetres?.filter((words) => imperial.test(words))).toEqual([]);
    expect(inches?.filter((words) => imperial.test(words)).length).toBeGreaterThan(10);
    // The metric school says by its name what it is.
    expect(inches?.filter((words) => metric.test(words) && !words.includes('50 mm past'))).toEqual([]);
  });
});
