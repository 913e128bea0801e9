import { describe, expect, it } from 'vitest';
import { jsonSteps } from './jsonSteps';
import { allSteps } from './steps';

describe('JSON in steps', () => {
  it.each([
    ['nested data', { a: [1, 'two', { three: [null, true] }], b: { c: { d: 'ü"\\\n' } }, 'e"': [] }],
    ['what JSON leaves out', { a: undefined, b: [undefined, () => 1], c: { d: undefined }, e: Number.NaN }],
    ['dates and numbers', { at: new Date(0), list: [new Date(1)], number: -0.5 }],
    ['a long list', Array.from({ length: 1001 }, (_, index) => ({ index, text: `${index}` }))],
    ['text', 'text'],
  ])('is that of JSON.stringify for %s', (_, value) => {
    expect(allSteps(jsonSteps(value))).toBe(JSON.stringify(value));
  });

  it('lets others in between in a long list', () => {
    const steps = jsonSteps({ list: Array.from({ length: 1000 }, (_, index) => index) });
    let count = 0;
    while (!steps.next().done) count += 1;
    expect(count).toBe(10);
  });
});
