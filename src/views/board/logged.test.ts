import { describe, expect, it } from 'vitest';
import type { BoardCell } from './boardRows';
import { amountWords, partOf } from './logged';

const cell = (kind: BoardCell['class'], amount: number): BoardCell => ({
  class: kind,
  amount,
  now: 'go',
  words: { mark: 'go', title: 'Go' },
  coats: [],
});

describe('what of a class is logged', () => {
  it('is said in the unit of the house', () => {
    expect(amountWords(cell('flat', 3048), 'in')).toBe('10 ft of joint');
    expect(amountWords(cell('flat', 3048), 'mm')).toBe('3 m of joint');
    expect(amountWords(cell('surface', 9_290_304), 'in')).toBe('100 ft²');
    expect(amountWords(cell('surface', 9_290_304), 'mm')).toBe('9.3 m²');
    expect(amountWords(cell('fasteners', 230), 'mm')).toBe('230 to spot');
  });

  it('is a part of the whole by length or by count, never all of it', () => {
    expect(partOf("5'", cell('flat', 3048), 'in')).toBeCloseTo(0.5, 9);
    expect(partOf('1.524 m', cell('flat', 3048), 'mm')).toBeCloseTo(0.5, 9);
    expect(partOf('23', cell('fasteners', 230), 'in')).toBeCloseTo(0.1, 9);
    expect(partOf("10'", cell('flat', 3048), 'in')).toEqual({ reason: 'that is all of it or more' });
    expect(partOf('', cell('fasteners', 230), 'in')).toHaveProperty('reason');
    expect(partOf('0', cell('fasteners', 230), 'in')).toEqual({ reason: 'must be greater than 0' });
  });
});
