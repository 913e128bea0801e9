import { describe, expect, it } from 'vitest';
import { foldName } from './foldName';

describe('a name', () => {
  it.each([
    ['Marit', 'MARIT'],
    ['İpek', 'İPEK'],
    ['ΑΣ', 'ας'],
    ['ΑΣ', 'ασ'],
    ['Weiß', 'WEISS'],
    ['Zoe\u0301', 'Zoé'],
    [' Osei ', 'osei'],
  ])('%s is the same as %s', (one, other) => {
    expect(foldName(one)).toBe(foldName(other));
  });

  it('stays what it is, folded again, and tells names apart', () => {
    for (const name of ['İpek', 'ΑΣ', 'Weiß', 'Zoé']) expect(foldName(foldName(name))).toBe(foldName(name));
    expect(foldName('Zoé')).not.toBe(foldName('Zoe'));
  });
});
