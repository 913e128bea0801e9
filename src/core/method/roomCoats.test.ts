import { describe, expect, it } from 'vitest';
import { HOUSE, head } from '../../../tests/houses/hallAndDen';
import { takeOff } from '../joints/takeOff';
import type { Room } from '../room/schema';
import { coatsFor } from './coatsFor';
import { resolveMethod } from './resolveMethod';
import { roomCoats } from './roomCoats';

describe('choices', () => {
  it('go from the room’s class over the room to the house’s class and the house', () => {
    const house = {
      unit: 'in' as const,
      method: { level: 4 as const, mud: 'setting' as const, classes: { butt: { mud: 'settingFirst' as const } } },
    };
    const room = { method: { tools: 'trowel' as const, classes: { butt: { tools: 'boxes' as const } } } };
    const method = resolveMethod(house, room);
    expect([method.all.mud, method.classes.butt.mud, method.classes.flat.mud]).toEqual([
      'setting',
      'settingFirst',
      'setting',
    ]);
    expect([method.all.tools, method.classes.butt.tools, method.classes.flat.tools]).toEqual([
      'trowel',
      'boxes',
      'trowel',
    ]);
    const roomSays = resolveMethod(house, { method: { mud: 'drying' } });
    expect([roomSays.all.mud, roomSays.classes.butt.mud]).toEqual(['drying', 'drying']);
  });

  it('for everything mean flats when they say mesh, and hard joints when they say trim', () => {
    const { classes } = resolveMethod(head({ tape: 'mesh', hard: 'trim' }));
    expect([classes.flat.tape, classes.mixed.tape, classes.butt.tape, classes.angle.tape]).toEqual([
      'mesh',
      'mesh',
      'paper',
      'paper',
    ]);
    expect([classes.existing.hard, classes.offAngle.hard, classes.flat.hard]).toEqual(['trim', 'trim', 'finish']);
  });

  it('keep widths and what was found in mm, whatever the house measures in', () => {
    const { classes } = resolveMethod({
      unit: 'in',
      method: { level: 4, classes: { butt: { width: 36, found: { hump: 0.125 } } } },
    });
    expect(classes.butt.width).toBeCloseTo(914.4, 9);
    expect(classes.butt.found.hump).toBeCloseTo(3.175, 9);
    // Floated on both sides of the crest, each with half of it.
    expect(
      coatsFor('butt', resolveMethod({ unit: 'in', method: { level: 4, classes: { butt: { width: 36 } } } })).at(-1)
        ?.tool.width,
    ).toBeCloseTo(457.2, 9);
  });
});

describe('a face with a level of its own', () => {
  const [hall] = HOUSE.rooms;
  if (!hall) throw new Error('the house has a hall');
  const coatsAt = (finish: Room['finish']) => {
    const room = { ...hall, ...(finish && { finish }) };
    const { tally } = takeOff(room, HOUSE);
    return { tally, coats: roomCoats(tally, resolveMethod(head({}), room), finish) };
  };

  it('skims the ceiling alone when it is at level 5', () => {
    const { coats, tally } = coatsAt({ faces: { c0: { level: 5 } } });
    const skim = coats.find(({ key }) => key === 'skim');
    expect(skim?.amount).toBeCloseTo(24 * 14 * 304.8 ** 2, 3);
    // What is not of the ceiling keeps its coats: all flats get the same three.
    const flats = coats.filter(({ class: kind }) => kind === 'flat');
    expect(flats.map(({ amount }) => amount)).toEqual(flats.map(() => expect.closeTo(tally.classes.flat.length, 6)));
  });

  it('gives a wall under tile fewer coats, and a joint between two faces those of the higher one', () => {
    const { coats, tally } = coatsAt({ faces: { w0: { level: 2 } } });
    const amounts = (kind: string) =>
      coats.filter((coat) => coat.class === kind).map(({ key, amount }) => [key, amount] as const);
    const flats = new Map(amounts('flat'));
    // The wall's flat is 24 ft less the 32 in door.
    expect(flats.get('tape')).toBeCloseTo(tally.classes.flat.length, 6);
    expect((flats.get('tape') ?? 0) - (flats.get('fill') ?? 0)).toBeCloseTo((24 * 12 - 32) * 25.4, 3);
    for (const [key, amount] of amounts('angle')) expect(amount, key).toBeCloseTo(tally.classes.angle.length, 6);
  });

  it('adds up to the room', () => {
    const { tally } = coatsAt({ faces: { c0: { level: 5 }, w2: { level: 3 } } });
    const parts = tally.parts ?? [];
    expect(parts.length).toBeGreaterThan(2);
    expect(parts.reduce((sum, part) => sum + part.paintedArea, 0)).toBeCloseTo(tally.paintedArea, 3);
    expect(parts.reduce((sum, part) => sum + part.fasteners, 0)).toBe(tally.fasteners);
    for (const kind of ['flat', 'butt', 'angle', 'bead'] as const)
      expect(parts.reduce((sum, part) => sum + (part.classes[kind] ?? 0), 0)).toBeCloseTo(
        tally.classes[kind].length,
        6,
      );
  });
});
