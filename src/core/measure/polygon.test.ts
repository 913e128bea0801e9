import fc from 'fast-check';
import polygonClipping, { type MultiPolygon } from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { chordsAt, isInside, reachIn } from './chords';
import { areaOfLoops, clipLoops, cutLoops, piecesOf, rectangle } from './polygon';
import { totalLength } from './span';
import type { Loop } from './vector';

// The reference for areas is the general-purpose library polygon-clipping. It fails on corners that differ by less than
// it can tell apart, so it gets whole thousandths of a millimetre.
const near = (mm: number) => Math.round(mm * 1000) / 1000;
const reference = (loops: readonly Loop[]): MultiPolygon =>
  loops.map((loop) => [loop.map(([x, y]): [number, number] => [near(x), near(y)])]);
const areaOf = (polygons: MultiPolygon): number =>
  polygons.reduce(
    (sum, rings) =>
      sum +
      rings.reduce((whole, ring, index) => {
        const area = Math.abs(
          ring.reduce((part, [x, y], at) => {
            const [nx, ny] = ring[(at + 1) % ring.length] ?? [x, y];
            return part + (x * ny - nx * y) / 2;
          }, 0),
        );
        return index === 0 ? area : whole - area;
      }, 0),
    0,
  );

/** A star-shaped polygon around a centre: simple by construction, often far from convex. */
const star = fc.array(fc.integer({ min: 300, max: 3000 }), { minLength: 3, maxLength: 9 }).map(
  (radii): Loop =>
    radii.map((radius, index) => {
      const angle = (2 * Math.PI * index) / radii.length;
      return [radius * Math.cos(angle), radius * Math.sin(angle)];
    }),
);
const L_SHAPE: Loop = [
  [0, 0],
  [1000, 0],
  [1000, 400],
  [600, 400],
  [600, 900],
  [0, 900],
];

describe('loops', () => {
  it('clipped at a line have the area that the reference library finds', () => {
    fc.assert(
      fc.property(
        star,
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.integer({ min: -1500, max: 1500 }),
        (loop, turn, offset) => {
          const normal = [Math.cos(turn), Math.sin(turn)] as const;
          const clipped = clipLoops([loop], { normal, offset });
          const far = 1e5;
          const corner = (along: number, deep: number): [number, number] => [
            near(normal[0] * (offset + deep) - normal[1] * along),
            near(normal[1] * (offset + deep) + normal[0] * along),
          ];
          const half: MultiPolygon = [[[corner(-far, 0), corner(far, 0), corner(far, far), corner(-far, far)]]];
          const expected = areaOf(polygonClipping.intersection(reference([loop]), half));
          expect(Math.abs(areaOfLoops(clipped) - expected)).toBeLessThan(Math.max(500, expected * 1e-4));
        },
      ),
      { numRuns: 300 },
    );
  });

  it('keep the whole area over all their pieces, each a simple one', () => {
    fc.assert(
      fc.property(star, (loop) => {
        const sides = [1, -1].flatMap((side) => piecesOf(clipLoops([loop], { normal: [0, side], offset: 0 })));
        expect(sides.reduce((sum, piece) => sum + areaOfLoops(piece), 0)).toBeCloseTo(areaOfLoops([loop]), 0);
        for (const piece of sides) expect(piece.filter((part) => areaOfLoops([part]) > 0)).toHaveLength(1);
      }),
    );
  });

  it('fall apart where a line cuts a U in two legs', () => {
    const u: Loop = [
      [0, 0],
      [900, 0],
      [900, 600],
      [600, 600],
      [600, 200],
      [300, 200],
      [300, 600],
      [0, 600],
    ];
    expect(piecesOf(clipLoops([u], { normal: [0, 1], offset: 300 })).map(areaOfLoops)).toEqual([90000, 90000]);
    // Cut exactly along the inner edge, the legs still part.
    expect(piecesOf(clipLoops([u], { normal: [0, 1], offset: 200 })).map(areaOfLoops)).toEqual([120000, 120000]);
  });

  it('lose a cut that lies against their rim, and keep one loop', () => {
    const cut = cutLoops([rectangle(0, 1000, 0, 800)], [rectangle(200, 500, 500, 800)]);
    expect(cut).toHaveLength(1);
    expect(areaOfLoops(cut)).toBe(1000 * 800 - 300 * 300);
    expect(cut[0]).toHaveLength(8);
  });

  it('keep a cut that lies free as a loop of its own', () => {
    const cut = cutLoops([rectangle(0, 1000, 0, 800)], [rectangle(200, 500, 300, 500)]);
    expect(cut.map((loop) => areaOfLoops([loop])).sort((a, b) => a - b)).toEqual([-60000, 800000]);
    expect(isInside([300, 400], cut)).toBe(false);
    expect(isInside([100, 400], cut)).toBe(true);
  });
});

describe('chords', () => {
  it('leave out what runs along the rim', () => {
    expect(chordsAt([L_SHAPE], 'v', 400)).toEqual([{ from: 0, to: 600 }]);
    expect(chordsAt([L_SHAPE], 'v', 200)).toEqual([{ from: 0, to: 1000 }]);
    expect(chordsAt([L_SHAPE], 'u', 600)).toEqual([{ from: 0, to: 400 }]);
    expect(chordsAt([L_SHAPE], 'u', 0)).toEqual([]);
  });

  it('add up to the area', () => {
    fc.assert(
      fc.property(star, (loop) => {
        const steps = 4000;
        const area = Array.from(
          { length: steps },
          (_, index) => (6000 / steps) * totalLength(chordsAt([loop], 'v', -3000 + (6000 * (index + 0.5)) / steps)),
        ).reduce((sum, slice) => sum + slice, 0);
        expect(area / areaOfLoops([loop])).toBeCloseTo(1, 2);
      }),
      { numRuns: 30 },
    );
  });

  it('reach in a band as far as the area does anywhere in it', () => {
    expect(reachIn([L_SHAPE], 'v', 300, 700)).toEqual([{ from: 0, to: 1000 }]);
    expect(reachIn([L_SHAPE], 'v', 400, 700)).toEqual([{ from: 0, to: 600 }]);
    const gable: Loop = [
      [0, 800],
      [500, 0],
      [1000, 800],
    ];
    expect(reachIn([gable], 'v', 0, 400)).toEqual([{ from: 250, to: 750 }]);
  });
});
