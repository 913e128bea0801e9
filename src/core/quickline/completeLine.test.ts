import { describe, expect, it } from 'vitest';
import { completionsAt } from './completeLine';

const offered = (line: string) => completionsAt(line, line.length, 'in').options.map(({ text }) => text);

describe('completion of the quick line', () => {
  it('offers items after a comma, and those that begin as typed', () => {
    expect(offered("Pantry 7' x 5', ")).toContain('door ');
    expect(offered("Pantry 7' x 5', so")).toEqual(['soffit ']);
    expect(completionsAt("Pantry 7' x 5', so", 18, 'in').from).toBe(16);
  });

  it('offers nothing in the name and the sizes', () => {
    expect(offered("Pantry 7' x ")).toEqual([]);
  });

  it('offers the words of the item that is being written, each once', () => {
    expect(offered("A 7' x 5', window 24x36 ")).toEqual([
      '@',
      'wall ',
      'at ',
      'casing',
      'bead',
      'open',
      'depth ',
      'arch ',
    ]);
    expect(offered("A 7' x 5', window 24x36 @40 wall 2 b")).toEqual(['bead']);
    expect(offered("A 7' x 5', window 24x36 @40 bead ")).toEqual(['wall ', 'at ', 'depth ', 'arch ']);
  });

  it('offers the choices of an item that is one', () => {
    expect(offered("A 7' x 5', aim ")).toEqual(['joints', 'boards', 'waste']);
    expect(offered("A 7' x 5', light l")).toEqual(['low sun', 'lamp along the wall']);
  });

  it('does not interrupt a length', () => {
    expect(offered("A 7' x 5', window 24")).toEqual([]);
  });
});
