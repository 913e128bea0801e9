import { describe, expect, it } from 'vitest';
import type { CoatEntry } from '../log/entry';
import { layersOf, wholeIfNearly } from './layers';

const HOUR = 3_600_000;
const DRYING = { kind: 'drying' };
const coat = (key: string, hours: number, more: object = {}): CoatEntry =>
  ({
    at: new Date(hours * HOUR).toISOString(),
    kind: 'coat',
    payload: { class: 'flat', key, part: 1, mud: DRYING, ...more },
  }) as CoatEntry;

/** The layers under entries that each cover a part of the same pieces: their keys and shares. */
function layers(entries: readonly CoatEntry[], parts: readonly number[] = entries.map(() => 1)): string {
  const top = entries.reduce<{ entry: number; part: number; below: never } | undefined>(
    (below, _entry, index) => ({ entry: index, part: parts[index] ?? 1, below: below as never }),
    undefined,
  );
  const found = layersOf(entries, [top as never]).get(top as never) ?? [];
  return found.map(({ key, share, entries: under }) => `${key} ${share} (${under.length})`).join(', ');
}

describe('the layers of a coat that was logged again', () => {
  const SETTING = { mud: { kind: 'setting', minutes: 20 } };
  it.each([
    ['one of each', [coat('tape', 0), coat('fill', 30)], [1, 1], 'tape 1 (1), fill 1 (1)'],
    ['two halves', [coat('fill', 0), coat('fill', 1)], [0.5, 0.5], 'fill 1 (2)'],
    ['two halves a day apart', [coat('fill', 0), coat('fill', 30)], [0.5, 0.5], 'fill 1 (2)'],
    ['a half and more than the rest', [coat('fill', 0), coat('fill', 30)], [0.5, 0.8], 'fill 1 (2)'],
    ['twice within the hour: two people said so', [coat('fill', 0), coat('fill', 1)], [1, 1], 'fill 1 (2)'],
    ['again after three hours: the next one', [coat('fill', 0), coat('fill', 3)], [1, 1], 'fill 1 (1), fill 1 (1)'],
    ['a minute sooner: the same', [coat('fill', 0), coat('fill', 3 - 1 / 60)], [1, 1], 'fill 1 (2)'],
    [
      'after three hours, said to be the same',
      [coat('fill', 0), coat('fill', 5, { repeat: 'same' })],
      [1, 1],
      'fill 1 (2)',
    ],
    [
      'within the hour, said to be the next',
      [coat('fill', 0), coat('fill', 1, { repeat: 'next' })],
      [1, 1],
      'fill 1 (1), fill 1 (1)',
    ],
    [
      'setting mud after one and a half times its label',
      [coat('fill', 0, SETTING), coat('fill', 0.5)],
      [1, 1],
      'fill 1 (1), fill 1 (1)',
    ],
    ['a minute sooner', [coat('fill', 0, SETTING), coat('fill', 0.5 - 1 / 60)], [1, 1], 'fill 1 (2)'],
    [
      'three of them',
      [coat('fill', 0), coat('fill', 30), coat('fill', 60)],
      [1, 1, 1],
      'fill 1 (1), fill 1 (1), fill 1 (1)',
    ],
    [
      'the third goes by the second',
      [coat('fill', 0), coat('fill', 30), coat('fill', 31)],
      [1, 1, 1],
      'fill 1 (1), fill 1 (2)',
    ],
  ] as const)('%s', (_words, entries, parts, found) => {
    expect(layers(entries, parts)).toBe(found);
  });

  it('is what is missing where some pieces have it and others not', () => {
    // The first piece has its fill, the other has not.
    const entries = [coat('fill', 0), coat('fill', 30)];
    const first = { entry: 1, part: 1, below: { entry: 0, part: 1, below: undefined } };
    const other = { entry: 1, part: 1, below: undefined };
    const found = layersOf(entries, [first, other]);
    expect(found.get(first)?.map(({ share }) => share)).toEqual([1]);
    expect(found.get(other)?.map(({ share }) => share)).toEqual([1]);
  });

  it('is another one only where all of it could be coated again', () => {
    const entries = [coat('fill', 0), coat('fill', 29), coat('fill', 30)];
    const old = { entry: 2, part: 1, below: { entry: 0, part: 1, below: undefined } };
    const fresh = { entry: 2, part: 1, below: { entry: 1, part: 1, below: undefined } };
    const found = layersOf(entries, [old, fresh, undefined, old]);
    expect(found.get(old)).toHaveLength(1);
    expect(found.get(fresh)).toHaveLength(1);
    expect(found.get(undefined)).toEqual([]);
  });
});

describe('a share', () => {
  it.each([
    [1, 1],
    [0.9995, 1],
    [1.4, 1],
    [0.999, 0.999],
    [0.5, 0.5],
    [0, 0],
  ])('%f counts as %f', (share, whole) => {
    expect(wholeIfNearly(share)).toBe(whole);
  });
});
