import { describe, expect, it } from 'vitest';
import type { BoardCell, BoardRow } from './boardRows';
import { amountWords, facesAt, partOf, wheres } from './logged';

const cell = (kind: BoardCell['class'], amount: number): BoardCell => ({
  class: kind,
  amount,
  now: 'go',
  words: { mark: 'go', title: 'Go' },
  coats: [],
  on: [0, 1, 2],
});
const row: BoardRow = {
  id: 'den',
  name: 'Den',
  level: 4,
  method: 0,
  way: '',
  progress: 0,
  tooLarge: false,
  held: undefined,
  over: false,
  faces: [
    { id: 'w0', words: 'wall 1', ceiling: false },
    { id: 'w5', words: 'wall 2', ceiling: false },
    { id: 'c0', words: 'ceiling', ceiling: true },
  ],
  cells: [],
};

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

  it('lies everywhere, on the walls, the ceiling, or one face on which some of it lies', () => {
    const flats = { row, cell: cell('flat', 3048) };
    expect(wheres(flats).map(([, words]) => words)).toEqual([
      'everywhere',
      'all but the ceiling',
      'the ceiling',
      'joints that I tap',
      'wall 1',
      'wall 2',
    ]);
    const at = (words: string) => facesAt(wheres(flats).find(([, own]) => own === words)?.[0] ?? 'none', flats);
    expect(at('everywhere')).toBeUndefined();
    expect(at('all but the ceiling')).toEqual(['w0', 'w5']);
    expect(at('the ceiling')).toEqual(['c0']);
    expect(at('wall 2')).toEqual(['w5']);
    const onWalls = { row, cell: { ...cell('bead', 3048), on: [1] } };
    expect(wheres(onWalls).map(([, words]) => words)).toEqual(['everywhere', 'joints that I tap', 'wall 2']);
  });
});
