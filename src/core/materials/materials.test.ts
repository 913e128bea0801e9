import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { usualMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { sectionFor } from '../section/sectionFor';
import { loadList, mudOf } from './loadList';

const supplied = (line: string, level: 0 | 1 | 4 | 5) => {
  const { house, room } = roomOf(line);
  const { tally } = takeOff(room, house);
  const method = usualMethod(level);
  return { tally, method, coats: roomCoats(tally, method) };
};
const LINE = "A 12' x 10' x 8', door 32x80 wall 1, window 36x48 @36 wall 2, ceiling along";

describe('the load list', () => {
  it('orders tape with waste in whole rolls', () => {
    const { tape } = loadList([supplied(LINE, 4)]);
    // The worked example's 1,660 in, and a tenth more; a roll is 500 ft.
    expect(tape.net / 25.4).toBeCloseTo(1660, 6);
    expect(tape.gross / tape.net).toBeCloseTo(1.1, 9);
    expect(tape.packs).toBe(1);
  });

  it('takes mud by the section of each joint: the flats of the worked example', () => {
    const { coats, method } = supplied(LINE, 4);
    const flats = coats.filter((coat) => coat.class === 'flat');
    const volumes = sectionFor('flat', method).coats;
    expect(flats).toHaveLength(3);
    // 62 ft 4 in are 19.0 m.
    for (const [index, coat] of flats.entries())
      expect(mudOf(coat, method)).toBeCloseTo((volumes[index]?.wet ?? 0) * 748 * 0.0254, 9);
  });

  it('adds up to the same mud by product and by coat', () => {
    const { mud, mudByCoat } = loadList([supplied(LINE, 5)]);
    const byProduct = mud.reduce((sum, { net }) => sum + net, 0);
    expect(byProduct).toBeCloseTo(
      Object.values(mudByCoat).reduce((sum, litres) => sum + litres, 0),
      9,
    );
    expect(mudByCoat.skim).toBeGreaterThan(0);
  });

  it('rounds packs up once for the house, not room by room', () => {
    const room = supplied(LINE, 4);
    expect(loadList(Array.from({ length: 3 }, () => room)).tape.packs).toBe(1);
  });

  it('orders neither tape nor mud for level 0, and tape for level 1', () => {
    const none = loadList([supplied(LINE, 0)]);
    expect([none.tape.packs, none.mud.length]).toEqual([0, 0]);
    expect(loadList([supplied(LINE, 1)]).tape.packs).toBe(1);
  });
});
