import { describe, expect, it } from 'vitest';
import type { Price } from '@/core/estimate/priceOf';
import { sortedText } from '@/core/measure/sortedText';
import { usualMethod } from '@/core/method/resolveMethod';
import { ANSWERS, QUESTIONS } from '@/core/room/methodAnswers';
import { smallWords } from '@/words/lengthWords';
import { adviceWords, perLengthWords, widthWords } from '@/words/sectionWords';
import { crewWords, differenceWords } from './priceWords';
import { asksOfClass, GROUPS, QUESTION_WORDS } from './questionWords';
import { patchFrom, tryOut } from './trial';

const PRICE: Price = { hours: 100, sandingHours: 12, litres: 150, rounds: 4, visits: 40, waitHours: 30, nights: 2 };

describe('the words of a difference', () => {
  it('name what differs and nothing else', () => {
    expect(differenceWords(PRICE, PRICE, 'in')).toBe('the same');
    expect(differenceWords({ ...PRICE, hours: 98.5 }, PRICE, 'in')).toBe('−1 h 30');
    expect(differenceWords({ ...PRICE, hours: 102, nights: 3 }, PRICE, 'in')).toBe('+2 h, +1 night');
    expect(differenceWords({ ...PRICE, rounds: 2, nights: 0 }, PRICE, 'in')).toBe('−2 rounds, −2 nights');
    expect(differenceWords({ ...PRICE, sandingHours: 13 }, PRICE, 'in')).toBe('+1 h of it sanding');
  });

  it('say by whose pace hours are, where it is known', () => {
    expect(crewWords({})).toBe('');
    const pace = { pace: 1.2, passes: 1, within: 1.2 };
    expect(crewWords({ x: pace })).toContain('1 timed pass of a kind');
    expect(crewWords({ x: pace, y: { ...pace, passes: 14 } })).toContain('14 timed passes of a kind');
  });

  it('say mud in the house’s unit', () => {
    const more = { ...PRICE, litres: PRICE.litres + 3.785411784 * 4 };
    expect(differenceWords(more, PRICE, 'in')).toBe('+4 gal');
    expect(differenceWords(more, PRICE, 'mm')).toBe('+15 l');
  });
});

describe('the words of a section', () => {
  it('give small heights in sixty-fourths or tenths of a mm', () => {
    expect(smallWords(25.4 / 8, 'in')).toBe('1/8 in');
    expect(smallWords(25.4 * (3 / 64), 'in')).toBe('3/64 in');
    expect(smallWords(25.4 * 1.5, 'in')).toBe('1 1/2 in');
    expect(smallWords(25.4, 'in')).toBe('1 in');
    expect(smallWords(0.1, 'in')).toBe('under 1/64 in');
    expect(smallWords(1.27, 'mm')).toBe('1.3 mm');
  });

  it('give widths in whole inches or centimetres, mud per 100 ft or metre', () => {
    expect([widthWords(304.8, 'in'), widthWords(304.8, 'mm')]).toEqual(['12 in', '300 mm']);
    // 0.75 gal on 100 ft are 0.0931 l/m
    expect(perLengthWords(0.0931, 'flat', 'in')).toBe('0.75 gal per 100 ft');
    expect(perLengthWords(0.0931, 'flat', 'mm')).toBe('0.093 l/m');
    expect(perLengthWords(0.005, 'fasteners', 'in')).toBe('0.13 gal per 100');
    expect(perLengthWords(0.2, 'surface', 'in')).toBe('4.9 gal per 1,000 ft²');
  });

  it('tell what to do', () => {
    expect(adviceWords({ kind: 'wider', to: 914.4, by: 203.2 }, 'in')).toBe('Wider by 8 in: 36 in over all.');
    const coat = { class: 'flat', key: 'fill', sides: undefined, trimmed: false } as const;
    expect(adviceWords({ kind: 'settingMud', coat, thickest: 4.7625 }, 'in')).toBe(
      'Setting mud for the fill coat: it lies 3/16 in deep, over 1/8 in.',
    );
    expect(adviceWords({ kind: 'cutBack', build: 5, width: 1700 }, 'mm')).toContain(
      '5.0 mm of build would take 1700 mm',
    );
    expect(adviceWords({ kind: 'prefill', gap: 6.35 }, 'in')).toBe('A gap of 1/4 in: pre-fill it with setting mud.');
  });
});

describe('the questions on the page', () => {
  it('are asked once each, with words for every answer', () => {
    const asked = GROUPS.flatMap(({ questions }) => questions);
    expect([...asked].sort()).toEqual([...QUESTIONS].sort());
    for (const question of QUESTIONS)
      expect(Object.keys(QUESTION_WORDS[question].answers).sort(), question).toEqual([...ANSWERS[question]].sort());
  });

  it('are asked of a class only where it can have an answer of its own', () => {
    expect(asksOfClass('centring', 'butt')).toBe(true);
    expect(asksOfClass('centring', 'flat')).toBe(false);
    expect(asksOfClass('angles', 'offAngle')).toBe(true);
    expect(asksOfClass('tape', 'bead')).toBe(false);
    expect(asksOfClass('order', 'flat')).toBe(false);
  });
});

describe('a method as text', () => {
  it('is the same in whatever order its choices were said', () => {
    const one = { tools: 'boxes', classes: { butt: { width: 36, found: { hump: 1, gap: 2 } } } };
    const other = { classes: { butt: { found: { gap: 2, hump: 1 }, width: 36 } }, tools: 'boxes', mud: undefined };
    expect(sortedText(one)).toBe(sortedText(other));
    expect(sortedText(one)).not.toBe(sortedText({ ...one, tools: 'knives' }));
    expect(sortedText([1, 2])).not.toBe(sortedText([2, 1]));
  });
});

describe('what the sliders have set', () => {
  const method = usualMethod(4);

  it('is the planned section while nothing is set', () => {
    expect(tryOut('butt', method, {})).toBe(tryOut('butt', method, {}));
    expect(tryOut('butt', method, { hump: 3 }).found.hump).toBe(3);
  });

  it('becomes a change in the unit of the house', () => {
    expect(patchFrom('butt', { width: 914.4, hump: 3.175 }, 'in')).toEqual({
      classes: { butt: { width: 36, found: { hump: 0.125 } } },
    });
    expect(patchFrom('flat', { mud: 'settingFirst' }, 'mm')).toEqual({ classes: { flat: { mud: 'settingFirst' } } });
  });
});
