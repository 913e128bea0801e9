import { describe, expect, it } from 'vitest';
import { houseOf } from '../../../tests/houses/readRooms';
import { MM_PER_INCH } from '../measure/unit';
import { betterStock } from './betterStock';

const by = (rooms: readonly string[], hang = {}) =>
  new Map(betterStock(houseOf([...rooms], hang).rooms, houseOf([...rooms], hang)).map((one) => [one.stock, one]));

// Common practice, no source: two 54 in boards make a 9 ft wall with one seam; 16 ft boards make a 16 ft wall without a butt.
describe('boards that would help', () => {
  it('are wider ones on walls of nine feet: one seam less all round, by hand', () => {
    const wider = by(["A 12' x 10' x 9'"]).get('wider');
    // 48 + 48 + 12 has two seams, 54 + 54 one; the ceiling of 10 ft takes a seam in 54 + 54 + 12 as in 48 + 48 + 24.
    expect(wider?.flat).toBeCloseTo(-44 * 12 * MM_PER_INCH, 3);
    expect(wider?.butts).toBe(0);
    expect(wider?.hours).toBeLessThan(0);
    expect(wider?.litres).toBeLessThan(0);
  });

  it('are longer ones where a wall is longer than a board, and the longest where that is not enough', () => {
    const fourteen = by(["A 14' x 12' x 8'"]);
    expect(fourteen.get('longer')?.butts).toBeLessThan(0);
    expect(fourteen.get('longest')?.butts).toBe(fourteen.get('longer')?.butts);
    const sixteen = by(["A 16' x 12' x 8'"]);
    expect(sixteen.get('longest')?.butts).toBeLessThan(sixteen.get('longer')?.butts ?? 0);
  });

  it('are none in a closet of eight feet, nor those that are hung already', () => {
    expect([...by(["A 6' x 4' x 8'"]).keys()]).toEqual([]);
    const boards = [{ width: 54, lengths: [96, 120, 144, 192] }];
    const had = by(["A 16' x 12' x 9'"], { boards });
    expect(had.has('wider')).toBe(false);
    expect(had.has('longest')).toBe(false);
  });

  it('leave what was found hung as it is, and come with the most saved first', () => {
    const house = houseOf(["A 20' x 14' x 9'"]);
    const answers = betterStock(house.rooms, house);
    expect(answers.length).toBeGreaterThan(1);
    expect(answers.map(({ hours }) => hours)).toEqual(answers.map(({ hours }) => hours).sort((a, b) => a - b));
    const hung = Object.fromEntries(
      ['w0', 'w1', 'w2', 'w3', 'c0'].map((face) => [
        face,
        {
          run: 'across' as const,
          courses: [48, 48, 48, 48]
            .slice(0, face === 'c0' ? 4 : 3)
            .map((breadth) => ({ breadth, butts: [], backed: false })),
        },
      ]),
    );
    expect(
      betterStock(
        house.rooms.map((room) => ({ ...room, hung })),
        house,
      ),
    ).toEqual([]);
  });
});
