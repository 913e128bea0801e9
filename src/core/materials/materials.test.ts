import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { gallonsFromLitres } from '../measure/unit';
import { coatsFor } from '../method/coatsFor';
import { roomCoats } from '../method/roomCoats';
import { loadList, mudOf } from './loadList';

const supplied = (line: string, level: 0 | 1 | 4 | 5) => {
  const { house, room } = roomOf(line);
  const { tally } = takeOff(room, house);
  return { tally, coats: roomCoats(tally, { level }) };
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

  it('takes mud by the trade’s table: the flats of the worked example, by hand', () => {
    const { tally } = supplied(LINE, 4);
    const gallons = coatsFor('flat', { level: 4 }).map((coat) => gallonsFromLitres(mudOf(coat, tally)));
    // 62 ft 4 in at 0.55, 0.75 and 0.45 gal per 100 ft
    [0.55, 0.75, 0.45].forEach((rate, index) => {
      expect(gallons[index]).toBeCloseTo((62 + 1 / 3) * (rate / 100), 9);
    });
  });

  it('adds up to the same mud by product and by coat', () => {
    const { mud, mudByCoat } = loadList([supplied(LINE, 5)]);
    const byProduct = mud.reduce((sum, { net }) => sum + net, 0);
    expect(byProduct).toBeCloseTo(mudByCoat.tape + mudByCoat.fill + mudByCoat.finish + mudByCoat.skim, 9);
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
