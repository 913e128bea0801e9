import { describe, expect, it } from 'vitest';
import { houseOfRooms } from '../../../tests/bench/rooms';
import { AIR, HOUSE, head, rooms } from '../../../tests/houses/hallAndDen';
import { takeOff } from '../joints/takeOff';
import { startingMethods } from '../method/startingMethods';
import type { MethodChoices } from '../room/methodSchema';
import type { Room } from '../room/schema';
import { taperPays } from '../work/usualRates';
import { conflictsIn } from './conflictsIn';
import { withPatch } from './methodPatch';

const conflicts = (choices: MethodChoices, own: (room: Room) => Room = (room) => room) =>
  conflictsIn(
    head(choices),
    rooms.map(({ room, tally }) => ({ room: own(room), tally })),
    AIR,
  );
const ids = (choices: MethodChoices) => conflicts(choices).map(({ id }) => id);

describe('contradictions', () => {
  it('there are none in the usual method, nor in one that ships at level 4', () => {
    expect(ids({})).toEqual([]);
    for (const { choices } of startingMethods('in')) expect(ids(choices)).toEqual([]);
  });

  it.each([3, 10, 30])('is in no starting method, at any level and in any air, in a house of %d rooms', (count) => {
    const house = houseOfRooms(count);
    const plain = house.rooms.map((room) => ({
      room: { id: room.id, name: room.name },
      tally: takeOff(room, house).tally,
    }));
    const airs = [AIR, { temperature: 12, humidity: 75 }, { temperature: 28, humidity: 30 }];
    for (const { id, choices } of startingMethods('in'))
      for (const level of [2, 3, 4, 5] as const)
        for (const air of airs)
          expect(conflictsIn(head(choices, level), plain, air), `${id}, level ${level}`).toEqual([]);
  });

  it('one side of an angle wet over wet is fine in one mud', () => {
    for (const more of [{ product: 'lightweight' }, { product: 'allPurpose' }, { mud: 'setting' }] as const)
      expect(ids({ classes: { angle: { cover: 'oneSide', ...more } } })).not.toContain('cover.oneSide.angle');
  });

  // common practice, no source
  it.each<[string, MethodChoices, string, 'forbidden' | 'doubtful']>([
    ['mesh in drying mud', { tape: 'mesh' }, 'mesh.mud.flat', 'forbidden'],
    ['mesh in an angle', { classes: { angle: { tape: 'mesh', mud: 'settingFirst' } } }, 'mesh.angle', 'forbidden'],
    ['setting mud to the end', { mud: 'setting' }, 'setting.thin.flat', 'doubtful'],
    [
      'setting mud on later screws',
      { classes: { fasteners: { mud: 'setting' } } },
      'setting.thin.fasteners',
      'doubtful',
    ],
    ['both sides of an angle with a plain knife', { angles: 'both' }, 'angles.both.angle', 'forbidden'],
    ['wet sides that meet in three-ways', { angles: 'sides' }, 'angles.threeWays.angle', 'doubtful'],
    ['one coat where the level asks for two', { classes: { flat: { coats: 'one' } } }, 'level.flat', 'forbidden'],
    ['butts narrower than their hump needs', { classes: { butt: { width: 14 } } }, 'butt.narrow', 'doubtful'],
    ['butts that stand too high', { classes: { butt: { found: { hump: 0.2 } } } }, 'butt.build', 'doubtful'],
    ['butts crossed while soft', { order: 'noWait' }, 'order.noWait', 'doubtful'],
    ['a single wide coat on butts', { classes: { butt: { coats: 'one' } } }, 'level.butt', 'doubtful'],
    ['a single coat on flats', { classes: { flat: { coats: 'one' } } }, 'level.flat', 'forbidden'],
    ['all-purpose to the end', { product: 'allPurpose' }, 'product.allPurpose', 'doubtful'],
    ['tape run into a bead', { beads: 'runIn' }, 'beads.runIn', 'doubtful'],
    ['no sealer under paint', { last: 'none' }, 'last.none', 'doubtful'],
    [
      'one side of an angle wet, in another mud',
      { classes: { angle: { cover: 'oneSide' } } },
      'cover.oneSide.angle',
      'forbidden',
    ],
    ['boxed butts left uncentred', { tools: 'boxes', centring: 'none' }, 'butt.centring', 'forbidden'],
  ])('%s', (_, choices, id, severity) => {
    const found = conflicts(choices).find((conflict) => conflict.id === id);
    expect(found?.severity).toBe(severity);
    if (!found) return;
    // The mend takes it away and brings nothing forbidden in.
    const mended = withPatch(head(choices).method, found.mend);
    const after = conflictsIn({ unit: HOUSE.unit, method: mended }, rooms, AIR);
    if (id !== 'butt.build') expect(after.map((conflict) => conflict.id)).not.toContain(id);
    const before = new Set(ids(choices));
    expect(after.filter((conflict) => conflict.severity === 'forbidden' && !before.has(conflict.id))).toEqual([]);
  });

  // common practice, no source: 250 ft of flats an hour against 150 with an applicator or a dispenser and 90 from the belt; one hour to set
  // up and clean out, each day
  it.each([
    ['flats against an applicator', { flat: 374 }, 'applicator', 375, false],
    ['just enough of them', { flat: 376 }, 'applicator', 375, true],
    ['against the belt', { flat: 141 }, 'belt', 140.625, true],
    ['angles against an applicator: the head lays both', { angle: 500 }, 'applicator', Number.POSITIVE_INFINITY, false],
    ['a bedroom of 146 ft', { flat: 62, angle: 84 }, 'applicator', 883, false],
    ['a basement of 347 ft', { flat: 200, butt: 40, angle: 107 }, 'applicator', 518, false],
    ['two days of taping', { flat: 2000 }, 'applicator', 750, true],
  ] as const)('a mechanical taper for %s', (_words, feet, otherwise, least, pays) => {
    const found = taperPays(feet, otherwise);
    expect(Math.round(found.least)).toBe(Math.round(least));
    expect(found.wins >= 0).toBe(pays);
  });

  it('a mechanical taper is warned of in a small house, with what else lays its tape', () => {
    const small = rooms.slice(1);
    const found = conflictsIn(head({ laying: 'taper' }), small, AIR).find(({ id }) => id === 'laying.taper');
    expect(found).toMatchObject({ severity: 'doubtful', mend: { choices: { laying: 'applicator' } } });
    const belt = { laying: 'taper', classes: { angle: { laying: 'belt' } } } as const;
    expect(conflictsIn(head(belt), small, AIR).find(({ id }) => id === 'laying.taper')?.mend).toEqual({
      choices: { laying: 'belt' },
    });
    const large = Array.from({ length: 12 }, () => rooms).flat();
    expect(conflictsIn(head({ laying: 'taper' }), large, AIR).map(({ id }) => id)).not.toContain('laying.taper');
  });

  it('a taper is set up for the house: a small room of it is no small job', () => {
    const many = Array.from({ length: 12 }, (_, copy) =>
      rooms.map(({ room, tally }) => ({ room: { ...room, id: `${room.id}-${copy}` }, tally })),
    ).flat();
    const found = (own: (room: Room) => Room) =>
      conflictsIn(
        head({ laying: 'taper' }),
        many.map(({ room, tally }) => ({ room: own(room), tally })),
        AIR,
      );
    const small = (room: Room) =>
      room.name === 'Den'
        ? { ...room, finish: { light: 'ordinary' as const }, method: { mud: 'drying' as const } }
        : room;
    expect(found(small)).toEqual([]);
    expect(found((room) => ({ ...room, finish: { surface: 'flat paint' } }))).toEqual([]);
  });

  it('in dry, hot air warn of setting mud that dries first, in cold air do not', () => {
    const late = { mud: 'settingFirst', settingMinutes: 90, classes: { flat: { coats: 'three' } } } as const;
    const thin = (air: { temperature: number; humidity: number }) =>
      conflictsIn(head(late), rooms, air).filter(({ id }) => id.startsWith('setting.thin'));
    expect(thin({ temperature: 38, humidity: 10 }).length).toBeGreaterThan(0);
    expect(thin({ temperature: 12, humidity: 70 })).toEqual([]);
  });

  it('of a room carry its name, and are judged in its own light', () => {
    const named = conflicts({}, (room) => (room.name === 'Hall' ? { ...room, finish: { light: 'low sun' } } : room));
    expect(named.map(({ id, room }) => [id.split('.').slice(-2).join('.'), room?.name])).toEqual([
      ['butt.light', 'Hall'],
    ]);
    // A skim hides them.
    const skimmed = conflicts({ last: 'skim' }, (room) => ({ ...room, finish: { light: 'low sun' } }));
    expect(skimmed).toEqual([]);
    const own = conflicts({}, (room) =>
      room.name === 'Den' ? { ...room, method: { order: 'noWait', last: 'none' } } : room,
    );
    expect(own.map(({ room }) => room?.name)).toEqual(['Den']);
  });
});
