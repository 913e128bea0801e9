import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COATED_CLASSES, type CoatedClass } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { type Method, resolveMethod, usualMethod } from '../method/resolveMethod';
import { startingMethods } from '../method/startingMethods';
import { LIGHTS } from '../room/kinds';
import { bladeSurface } from './blade';
import { buildSection } from './buildSection';
import { USUAL_BEVEL_MM, USUAL_JOINT } from './joint';
import { judgeSection } from './judgeSection';
import { sectionFor } from './sectionFor';
import { levelFor, toleranceFor } from './tolerance';

const METHOD = usualMethod(4);
const INCH = 25.4;
const withWidth = (kind: 'butt' | 'flat' | 'bead' | 'angle', width: number): Method => ({
  ...METHOD,
  classes: { ...METHOD.classes, [kind]: { ...METHOD.classes[kind], width } },
});
const sectionOf = (kind: CoatedClass, method = METHOD, found = USUAL_JOINT) =>
  buildSection(kind, coatsFor(kind, method), found);

describe('a blade drawn over a surface', () => {
  const surface = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 8, maxLength: 60 });

  it('never leaves less than what is there, and touches nothing beside it', () => {
    fc.assert(
      fc.property(
        surface,
        fc.double({ min: 0, max: 0.01, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (heights, bow, film) => {
          const [first, last] = [2, heights.length - 3];
          const left = bladeSurface(heights, first, last, 2, { bow, film });
          for (const [index, height] of heights.entries()) {
            expect(left[index]).toBeGreaterThanOrEqual(height);
            if (index < first || index > last) expect(left[index]).toBe(height);
          }
        },
      ),
    );
  });

  it('bridges a hollow when it is stiff: a valley of 1 mm is filled to its shoulders', () => {
    expect(bladeSurface([0, -0.5, -1, -0.5, 0], 0, 4, 10, { bow: 0, film: 0 })).toEqual([0, 0, 0, 0, 0]);
  });

  it('bows into a hollow by the curve that it can take: 8 × 1 mm over its width squared leaves 1 mm', () => {
    const deep = Array.from({ length: 101 }, (_, index) => (index === 0 || index === 100 ? 0 : -9));
    const left = bladeSurface(deep, 0, 100, 2, { bow: 8 / 200 ** 2, film: 0 });
    expect(left[50]).toBeCloseTo(-1, 9);
  });

  it('digs deeper the softer it is', () => {
    fc.assert(
      fc.property(
        surface,
        fc.double({ min: 0, max: 0.01, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (heights, bow, softer) => {
          const stiff = bladeSurface(heights, 0, heights.length - 1, 2, { bow, film: 0 });
          const soft = bladeSurface(heights, 0, heights.length - 1, 2, { bow: bow * softer, film: 0 });
          for (const [index, height] of soft.entries()) expect(height).toBeLessThanOrEqual((stiff[index] ?? 0) + 1e-9);
        },
      ),
    );
  });
});

describe('a joint in section', () => {
  const found = fc.record({
    taper: fc.double({ min: 0.508, max: 2.286, noNaN: true }),
    hump: fc.double({ min: 0, max: 6, noNaN: true }),
    gap: fc.double({ min: 0, max: 8, noNaN: true }),
    nose: fc.double({ min: 0.5, max: 4, noNaN: true }),
  });

  it('keeps its mud: what goes on, less what shrinks and is sanded, is what is there', () => {
    fc.assert(
      fc.property(fc.constantFrom(...COATED_CLASSES), found, fc.boolean(), (kind, measures, sandBetween) => {
        const joint = { ...USUAL_JOINT, ...measures };
        const section = buildSection(kind, coatsFor(kind, usualMethod(5)), joint, { sandBetween });
        for (const { wet, shrunk, sanded, left } of section.coats) {
          expect(wet - shrunk - sanded - left).toBeCloseTo(0, 12);
          expect(Math.min(wet, shrunk, sanded, left)).toBeGreaterThanOrEqual(-1e-12);
        }
        if (section.layout !== 'across') return;
        // All coats together with the tape fill what lies between the board and the surface; the gap is beside it.
        const [plane] = section.planes;
        const between = (plane?.top ?? []).reduce((sum, top, index) => sum + (top - (plane?.board[index] ?? 0)) * 2, 0);
        const tape = (plane?.layers ?? []).reduce(
          (sum, { tape: laid }) =>
            sum + (laid ? laid.top.reduce((all, top, index) => all + (top - (laid.bottom[index] ?? 0)) * 2, 0) : 0),
          0,
        );
        const inGap = joint.gap * 4 * (1 - 0.3);
        const left = section.coats.reduce((sum, coat) => sum + coat.left * 1000, 0);
        expect(left).toBeCloseTo(between - tape + inGap, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('is sanded at the end only, unless coats are sanded between', () => {
    for (const kind of COATED_CLASSES) {
      const coats = coatsFor(kind, METHOD);
      const lastOnes = coats.filter(
        (coat, at) => !coats.slice(at + 1).some(({ side }) => !side || !coat.side || side === coat.side),
      );
      for (const { coat, sanded } of buildSection(kind, coats).coats)
        expect(sanded > 0, coat.id).toBe(lastOnes.includes(coat));
      for (const { coat, sanded } of buildSection(kind, coats, USUAL_JOINT, { sandBetween: true }).coats)
        expect(sanded, coat.id).toBeGreaterThan(0);
    }
  });

  it('never sands into the tape', () => {
    fc.assert(
      fc.property(fc.constantFrom<CoatedClass>('flat', 'butt', 'mixed', 'angle'), found, (kind, measures) => {
        const section = buildSection(
          kind,
          coatsFor(kind, METHOD),
          { ...USUAL_JOINT, ...measures },
          { sandBetween: true },
        );
        for (const { layers } of section.planes) {
          for (const { tape, sanded, below, dry } of layers) {
            for (const [index, top] of sanded.entries()) {
              expect(top).toBeLessThanOrEqual((dry[index] ?? 0) + 1e-12);
              if (!tape) expect(top).toBeGreaterThanOrEqual((below[index] ?? 0) - 1e-12);
            }
          }
        }
      }),
      { numRuns: 30 },
    );
  });

  it('fills a deeper taper with more mud, at both ends of the standard’s range', () => {
    // source: ASTM C1396 (from memory): 0.020 to 0.090 in deep
    const mud = (inches: number) =>
      sectionOf('flat', METHOD, { ...USUAL_JOINT, taper: inches * INCH }).coats.reduce((sum, { wet }) => sum + wet, 0);
    expect(mud(0.02)).toBeLessThan(mud(0.05));
    expect(mud(0.05)).toBeLessThan(mud(0.09));
    for (const inches of [0.02, 0.09]) {
      const judged = judgeSection(sectionOf('flat', METHOD, { ...USUAL_JOINT, taper: inches * INCH }), toleranceFor());
      expect(judged.shows, `${inches} in`).toBe(false);
    }
  });

  it('cut back to a channel, a butt is still a butt, but flatter', () => {
    // common practice, no source
    const crown = (bevel: number) =>
      judgeSection(sectionOf('butt', METHOD, { ...USUAL_JOINT, bevel }), toleranceFor()).crown;
    expect(crown(USUAL_BEVEL_MM)).toBeLessThan(crown(0));
    expect(crown(USUAL_BEVEL_MM)).toBeGreaterThan(judgeSection(sectionOf('flat'), toleranceFor()).crown);
  });

  it('a factory edge in a corner takes more mud on its side, two on both', () => {
    const tape = (factoryEdges: 0 | 1 | 2) =>
      sectionOf('angle', METHOD, { ...USUAL_JOINT, factoryEdges }).coats.reduce((sum, { wet }) => sum + wet, 0);
    expect(tape(1)).toBeGreaterThan(tape(0));
    expect(tape(2) - tape(1)).toBeCloseTo(tape(1) - tape(0), 9);
  });

  it('runs each side of an angle by itself', () => {
    const section = sectionOf('angle');
    expect(section.planes.map(({ layers }) => layers.map(({ coat }) => coat))).toEqual([
      ['angle.tape', 'angle.fill.first'],
      ['angle.tape', 'angle.fill.second'],
    ]);
  });

  it('sets mud on without shrinking it much: setting mud keeps nineteen parts of twenty', () => {
    const setting = {
      ...METHOD,
      classes: { ...METHOD.classes, flat: { ...METHOD.classes.flat, mud: 'setting' as const } },
    };
    for (const { wet, shrunk } of sectionOf('flat', setting).coats) expect(shrunk / wet).toBeLessThan(0.05);
    for (const { wet, shrunk } of sectionOf('flat').coats) expect(shrunk / wet).toBeGreaterThan(0.2);
  });
});

describe('whether a joint shows', () => {
  const steepest = (kind: 'butt' | 'flat', width: number, hump: number) =>
    judgeSection(sectionOf(kind, withWidth(kind, width), { ...USUAL_JOINT, hump }), toleranceFor());

  it('more width never shows more, and a narrower knife never hides more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 16, max: 40, noNaN: true }),
        fc.double({ min: 2, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (inches, more, hump) => {
          const [narrow, wide] = [
            steepest('butt', inches * INCH, hump),
            steepest('butt', (inches + more) * INCH, hump),
          ];
          expect(Number(wide.shows)).toBeLessThanOrEqual(Number(narrow.shows));
          expect(wide.steepest).toBeLessThanOrEqual(narrow.steepest * 1.02);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('an ordinary butt is advised 24 to 28 in, a bad one about 36', () => {
    // common practice, no source
    const advised = (hump: number) => {
      const { advice, width, crown } = judgeSection(
        sectionOf('butt', METHOD, { ...USUAL_JOINT, hump }),
        toleranceFor(),
      );
      const wider = advice.find(({ kind }) => kind === 'wider');
      return { inches: (wider?.kind === 'wider' ? wider.to : Math.max(width, 340 * crown)) / INCH, advice };
    };
    expect(advised(USUAL_JOINT.hump).inches).toBeGreaterThanOrEqual(24);
    expect(advised(USUAL_JOINT.hump).inches).toBeLessThanOrEqual(28);
    const bad = advised(1.8).inches;
    expect(bad).toBeGreaterThan(33);
    expect(bad).toBeLessThan(39);
    expect(advised(4.2).advice.map(({ kind }) => kind)).toContain('cutBack');
  });

  it('a flat takes 10 to 12 in', () => {
    // common practice, no source
    const { width, shows } = judgeSection(sectionOf('flat'), toleranceFor());
    expect(width / INCH).toBeGreaterThan(9.5);
    expect(width / INCH).toBeLessThan(12);
    expect(shows).toBe(false);
  });

  it('low sun and gloss show what ordinary light and heavy texture hide', () => {
    const butt = sectionOf('butt');
    expect(judgeSection(butt, toleranceFor('flat paint', 'ordinary')).shows).toBe(false);
    expect(judgeSection(butt, toleranceFor('flat paint', 'low sun')).shows).toBe(true);
    expect(judgeSection(butt, toleranceFor('gloss', 'ordinary')).shows).toBe(true);
    expect(judgeSection(butt, toleranceFor('heavy texture', 'low sun')).shows).toBe(false);
    expect([
      levelFor('heavy texture', 'low sun'),
      levelFor('flat paint'),
      levelFor('gloss'),
      levelFor('flat paint', 'low sun'),
    ]).toEqual([3, 4, 5, 5]);
  });

  it('a fill over 1/8 in asks for setting mud', () => {
    const deep = judgeSection(sectionOf('butt', METHOD, { ...USUAL_JOINT, hump: 0, gap: 5 }), toleranceFor());
    expect(deep.advice.map(({ kind }) => kind)).toContain('prefill');
    const dimple = judgeSection(sectionOf('fasteners', METHOD, { ...USUAL_JOINT, dimple: 4 }), toleranceFor());
    expect(dimple.advice.map(({ kind }) => kind)).toContain('settingMud');
  });
});

describe('an inside angle', () => {
  it('is never advised by a knife laid across it: no wider, no coat more', () => {
    for (const { choices } of startingMethods('in'))
      for (const level of [3, 4] as const) {
        const method = resolveMethod({ unit: 'in', method: { ...choices, level } });
        for (const kind of ['angle', 'offAngle'] as const)
          for (const light of LIGHTS) {
            const { advice } = judgeSection(sectionFor(kind, method), toleranceFor('flat paint', light));
            for (const { kind: what } of advice) expect(['enough', 'featherEdges', 'squareCorner']).toContain(what);
          }
      }
  });

  it('is told to be feathered where the edge of a corner tool stands in a raking light, and squared where it is full', () => {
    const boxes = startingMethods('in').find(({ id }) => id === 'boxes')?.choices;
    const tool = resolveMethod({ unit: 'in', method: { ...boxes, level: 4 } });
    const kinds = (section: ReturnType<typeof sectionFor>, light: 'ordinary' | 'lamp along the wall') =>
      judgeSection(section, toleranceFor('flat paint', light)).advice.map(({ kind }) => kind);
    expect(kinds(sectionFor('angle', tool), 'ordinary')).toEqual(['enough']);
    expect(kinds(sectionFor('angle', tool), 'lamp along the wall')).toEqual(['featherEdges']);
    const [plane] = sectionFor('angle', METHOD).planes;
    if (!plane) throw new Error('an angle has two sides');
    const full = { ...sectionFor('angle', METHOD), planes: [{ ...plane, top: plane.top.map((height) => height * 4) }] };
    expect(kinds(full, 'ordinary')).toContain('squareCorner');
  });

  it('stays within 8 in a side, whatever is asked for', () => {
    for (const inches of [10, 16, 21, 40]) {
      const last = coatsFor('angle', withWidth('angle', inches * INCH)).at(-1);
      expect(last?.tool.width).toBeCloseTo((Math.min(inches, 16) / 2) * INCH, 9);
    }
  });
});

describe('the methods that ship', () => {
  const KINDS = COATED_CLASSES.filter((kind) => kind !== 'surface');
  it.each(startingMethods('in').flatMap(({ id, choices }) => KINDS.map((kind) => [id, kind, choices] as const)))(
    '%s holds by its own judgement on %s at level 4',
    (_id, kind, choices) => {
      const method = resolveMethod({ unit: 'in', method: { ...choices, level: 4 } });
      const { shows, advice } = judgeSection(sectionFor(kind, method), toleranceFor());
      expect(shows, JSON.stringify(advice)).toBe(false);
    },
  );
});

describe('every coat of every class', () => {
  it('goes on, and is named once', () => {
    for (const kind of COATED_CLASSES) {
      const section = sectionOf(kind, usualMethod(5));
      const ids = section.coats.map(({ coat }) => coat.id);
      expect(new Set(ids).size, kind).toBe(ids.length);
      for (const { wet, coat } of section.coats) expect(wet, coat.id).toBeGreaterThan(0);
    }
  });
});
