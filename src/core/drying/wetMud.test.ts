import { describe, expect, it } from 'vitest';
import type { Coat, CoatedClass } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { resolveMethod, usualMethod } from '../method/resolveMethod';
import { sectionFor } from '../section/sectionFor';
import { wetMudOf } from './wetMud';

const METHOD = usualMethod(4);
const coatOf = (kind: CoatedClass, id: string, method = METHOD): Coat =>
  coatsFor(kind, method).find((coat) => coat.id === id) as Coat;
const inSection = (kind: CoatedClass, key: string) =>
  sectionFor(kind, METHOD).coats.find(({ coat }) => coat.key === key)?.thickest ?? Number.NaN;

describe('the mud of a coat, as its method puts it on', () => {
  it('is half as thick again in places as its section', () => {
    for (const kind of ['flat', 'butt', 'bead', 'existing'] as const)
      expect(wetMudOf(coatOf(kind, `${kind}.fill`), METHOD).thickness).toBeCloseTo(1.5 * inSection(kind, 'fill'), 9);
  });

  it('gathers in a corner: it is as thick there as the same coat on a flat, and thicker where its own is', () => {
    expect(inSection('flat', 'fill')).toBeGreaterThan(inSection('angle', 'fill'));
    for (const side of ['first', 'second'])
      expect(wetMudOf(coatOf('angle', `angle.fill.${side}`), METHOD).thickness).toBeCloseTo(
        1.5 * inSection('flat', 'fill'),
        9,
      );
    const own = { ...coatOf('angle', 'angle.fill.first'), thickest: 2 };
    expect(wetMudOf(own, METHOD).thickness).toBe(3);
    // Where flats have no such coat, its own counts.
    const rare = { ...coatOf('angle', 'angle.fill.first'), key: 'extra' as const, thickest: 0.4 };
    expect(wetMudOf(rare, METHOD).thickness).toBeCloseTo(0.6, 9);
  });

  it('dries as the table says under tape, however thin it was wiped', () => {
    expect(inSection('butt', 'tape') * 1.5).toBeLessThan(25.4 / 16);
    expect(wetMudOf(coatOf('butt', 'butt.tape'), METHOD).thickness).toBe(25.4 / 16);
  });

  it('is as thick as a usual tape coat where the method no longer asks for the coat', () => {
    const gone = { ...coatOf('butt', 'butt.fill'), key: 'extra' as const };
    expect(wetMudOf(gone, METHOD).thickness).toBeCloseTo((1.5 * 25.4) / 16, 9);
  });

  it.each([
    ['flat', 'flat.tape', 'board', 'open'],
    ['flat', 'flat.fill', 'mud', 'open'],
    ['angle', 'angle.tape', 'board', 'corner'],
    ['offAngle', 'offAngle.fill.first', 'mud', 'corner'],
    ['bead', 'bead.tape', 'metal', 'open'],
    ['trim', 'trim.tape', 'metal', 'open'],
    ['trim', 'trim.fill', 'mud', 'open'],
    ['fasteners', 'fasteners.tape', 'board', 'open'],
    ['existing', 'existing.tape', 'painted', 'open'],
    ['existing', 'existing.fill', 'mud', 'open'],
  ] as const)('%s: %s lies on %s, %s', (kind, id, substrate, lies) => {
    expect(wetMudOf(coatOf(kind, id), METHOD)).toMatchObject({ substrate, lies, mud: { kind: 'drying' } });
  });

  it('sets by its label where the method asks for setting mud', () => {
    const setting = resolveMethod({ unit: 'in', method: { level: 4, mud: 'setting', settingMinutes: 90 } });
    expect(wetMudOf(coatOf('flat', 'flat.tape', setting), setting).mud).toEqual({ kind: 'setting', minutes: 90 });
  });
});
