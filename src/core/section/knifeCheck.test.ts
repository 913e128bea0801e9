import { describe, expect, it } from 'vitest';
import { knifeCheck } from './knifeCheck';
import { rockUnder } from './rockUnder';
import { toleranceFor } from './tolerance';

const INCH = 25.4;
describe('a knife laid across', () => {
  // common practice, no source: pressed down at one end, the other lifts by twice the hump under its middle
  it('lifts by twice the hump, by hand: a ridge of 1 mm under its middle', () => {
    const ridge = Array.from({ length: 151 }, (_, index) => Math.max(0, 1 - Math.abs(index - 75) / 75));
    expect(rockUnder(ridge, -150, 2, 300, 0)).toMatchObject({
      lift: expect.closeTo(2, 9),
      hump: expect.closeTo(1, 9),
      gap: expect.closeTo(0, 9),
    });
  });

  it('lies still over a hollow and shows light in it', () => {
    const hollow = Array.from({ length: 151 }, (_, index) => -Math.max(0, 1 - Math.abs(index - 75) / 50));
    expect(rockUnder(hollow, -150, 2, 300, 0)).toMatchObject({ lift: 0, hump: 0, gap: 1, gapAt: 0 });
  });

  it('says the hump, its width and the mud: a lift of 1/8 in under a 12 in knife', () => {
    const finding = knifeCheck({ kind: 'rocks', lift: INCH / 8, pivot: 6 * INCH }, 12 * INCH, 12 * INCH, {
      slope: 1 / 170,
      gap: 0.5,
    });
    expect(finding.height).toBeCloseTo(INCH / 16, 9);
    // 2 × 170 × 1/16 in
    expect(finding.width / INCH).toBeCloseTo(21.25, 9);
    // Half of 1/16 in × the 9 1/4 in that are new, as wet mud that shrinks by 27 %.
    expect(finding.extraMud).toBeCloseTo((1.5875 * 9.25 * INCH) / 2 / 0.73 / 1000, 9);
    expect(finding.extraCoat).toBe(true);
  });

  it('finds a hump beside its middle by the lever, and by light under both ends', () => {
    // By hand: a 300 mm knife on a hump 100 mm from the pressed end; 3 mm × 100 / 300.
    expect(knifeCheck({ kind: 'rocks', lift: 3, pivot: 100 }, 300, 300, toleranceFor()).height).toBeCloseTo(1, 9);
    expect(knifeCheck({ kind: 'ends', gap: 1 }, 300, 300, toleranceFor())).toMatchObject({ kind: 'hump', height: 1 });
    const ridge = Array.from({ length: 151 }, (_, index) => (index === 50 ? 1 : 0));
    expect(rockUnder(ridge, -150, 2, 300, 0).lift).toBeCloseTo(3, 9);
  });

  it('does not depend on the knife’s length', () => {
    const hump = (knife: number) =>
      knifeCheck({ kind: 'rocks', lift: 4, pivot: knife / 2 }, knife, 300, toleranceFor()).height;
    expect(hump(300)).toBe(hump(600));
    expect(knifeCheck({ kind: 'flat' }, 300, 300, toleranceFor()).kind).toBe('flat');
  });

  // Common practice, no source: 3/16 in of build is too much already, and past 36 in nobody floats on.
  it.each([
    ['1/16 in', 1 / 16, 12, false],
    ['1/8 in', 1 / 8, 21, false],
    ['3/16 in', 3 / 16, 32, false],
    ['7/32 in', 7 / 32, 37, true],
    ['1/4 in', 1 / 4, 43, true],
    ['3/8 in, a build of 3/16 in', 3 / 8, 64, true],
  ])('a lift of %s would take so many inches, and is floated or cut back', (_words, lift, inches, cutBack) => {
    const found = knifeCheck(
      { kind: 'rocks', lift: lift * INCH, pivot: 6 * INCH },
      12 * INCH,
      12 * INCH,
      toleranceFor(),
    );
    expect(Math.round(found.width / INCH)).toBe(inches);
    expect(found.cutBack).toBe(cutBack);
  });

  it('of 3/16 in of build is too much in any light', () => {
    const found = (build: number) =>
      knifeCheck({ kind: 'ends', gap: build * INCH }, 12 * INCH, 12 * INCH, toleranceFor('heavy texture'));
    expect(found(3 / 16).cutBack).toBe(true);
    expect(found(3 / 16 - 0.001).cutBack).toBe(false);
  });
});
