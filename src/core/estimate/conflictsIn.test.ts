import { describe, expect, it } from 'vitest';
import { AIR, HOUSE, head, rooms } from '../../../tests/houses/hallAndDen';
import type { MethodChoices } from '../room/methodSchema';
import type { Room } from '../room/schema';
import { taperBreakEvenFeet } from '../work/usualRates';
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
  it('there are none in the usual method', () => {
    expect(ids({})).toEqual([]);
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

  it('a mechanical taper pays from its break-even on', () => {
    // 60 min over 1/90 − 1/250 h a foot
    expect(taperBreakEvenFeet()).toBeCloseTo(140.625, 6);
    const small = rooms.slice(1).map(({ room, tally }) => ({
      room,
      tally: { ...tally, classes: { ...tally.classes, angle: { length: 0, count: 0 } } },
    }));
    expect(conflictsIn(head({ laying: 'taper' }), small, AIR).map(({ id }) => id)).toContain('laying.taper');
    expect(ids({ laying: 'taper' })).not.toContain('laying.taper');
  });

  it('a taper is set up for the house: a small room of it is no small job', () => {
    const small = (room: Room) =>
      room.name === 'Den'
        ? { ...room, finish: { light: 'ordinary' as const }, method: { mud: 'drying' as const } }
        : room;
    expect(conflicts({ laying: 'taper' }, small).map(({ id }) => id)).toEqual([]);
    const finished = conflicts({ laying: 'taper' }, (room) => ({ ...room, finish: { surface: 'flat paint' } }));
    expect(finished).toEqual([]);
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
      ['butt.narrow', 'Hall'],
    ]);
    const own = conflicts({}, (room) =>
      room.name === 'Den' ? { ...room, method: { order: 'noWait', last: 'none' } } : room,
    );
    expect(own.map(({ room }) => room?.name)).toEqual(['Den']);
  });
});
