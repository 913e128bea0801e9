import { describe, expect, it } from 'vitest';
import { COATED_CLASSES } from '@/core/method/coat';
import { usualMethod } from '@/core/method/resolveMethod';
import { sectionFor } from '@/core/section/sectionFor';
import { GLYPH_HEIGHT, GLYPH_WIDTH } from './glyphIds';
import { glyphShapes } from './glyphShapes';
import { frameFor, layerPath, placeOn } from './sectionPaths';

const METHOD = usualMethod(5);
/** The places of a path's corners. */
const corners = (path: string): readonly (readonly [number, number])[] =>
  [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((match) => [Number(match[1]), Number(match[2])]);
/** The area of a path's loops, whatever their way round. */
function areaOf(path: string): number {
  return path
    .split('Z')
    .map(corners)
    .reduce((sum, loop) => {
      const twice = loop.reduce((all, [x, y], index) => {
        const [nextX, nextY] = loop[(index + 1) % loop.length] ?? [x, y];
        return all + x * nextY - nextX * y;
      }, 0);
      return sum + Math.abs(twice) / 2;
    }, 0);
}

describe('the glyph of a section', () => {
  it.each(COATED_CLASSES)('of %s stays in its picture and shows every coat', (kind) => {
    const section = sectionFor(kind, METHOD);
    const shapes = glyphShapes(section);
    expect(shapes.coats).toHaveLength(section.coats.length);
    for (const { id, outline } of shapes.coats) {
      expect(areaOf(outline), id).toBeGreaterThan(3);
      for (const [x, y] of corners(outline)) {
        expect(x, id).toBeGreaterThanOrEqual(-1);
        expect(x, id).toBeLessThanOrEqual(GLYPH_WIDTH + 1);
        expect(y, id).toBeGreaterThanOrEqual(-1);
        expect(y, id).toBeLessThanOrEqual(GLYPH_HEIGHT + 1);
      }
    }
  });

  it('is drawn once for each section', () => {
    expect(glyphShapes(sectionFor('flat', METHOD))).toBe(glyphShapes(sectionFor('flat', METHOD)));
  });

  it('of an angle draws each side where it is: the first stands, the second lies', () => {
    const { coats } = glyphShapes(sectionFor('angle', METHOD));
    const box = (id: string) => {
      const found = corners(coats.find((coat) => coat.id === `coat-${id}`)?.outline ?? '');
      const spread = (axis: 0 | 1) =>
        Math.max(...found.map((at) => at[axis])) - Math.min(...found.map((at) => at[axis]));
      return { wide: spread(0), tall: spread(1) };
    };
    const [first, second] = [box('angle.fill.first'), box('angle.fill.second')];
    expect(first.tall).toBeGreaterThan(first.wide);
    expect(second.wide).toBeGreaterThan(second.tall);
  });
});

describe('a section drawn to scale', () => {
  it('has the area of the mud that is left, by its two scales', () => {
    const section = sectionFor('butt', METHOD);
    const frame = frameFor(section, 640, 240);
    const [plane] = section.planes;
    if (!plane) throw new Error('a butt has a plane');
    const place = placeOn('across', 0, frame);
    for (const [index, layer] of plane.layers.entries()) {
      const { coat, left } = section.coats[index] ?? {};
      if (!coat || left === undefined || coat.tape) continue;
      expect(coat.id).toBe(layer.coat);
      const area = areaOf(layerPath(plane, layer, place, frame, false, 600));
      const perMm2 = (frame.width / 2 / frame.reach) * frame.rise;
      // litres per metre are thousandths of a mm² of section; a smear thinner than a line is left out
      expect(area / perMm2 / (left * 1000), layer.coat).toBeGreaterThan(0.93);
      expect(area / perMm2 / (left * 1000), layer.coat).toBeLessThan(1.02);
    }
  });

  it('draws wet mud no lower than what is left of it', () => {
    const section = sectionFor('flat', METHOD);
    const frame = frameFor(section, 640, 240);
    const [plane] = section.planes;
    const layer = plane?.layers[1];
    if (!plane || !layer) throw new Error('a flat has a fill coat');
    const place = placeOn('across', 0, frame);
    expect(areaOf(layerPath(plane, layer, place, frame, true, 200))).toBeGreaterThan(
      areaOf(layerPath(plane, layer, place, frame, false, 200)),
    );
  });
});
