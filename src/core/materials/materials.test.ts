import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { usualMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { bevelledMethod, sectionFor } from '../section/sectionFor';
import { cutBead } from './cut/cutBead';
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
    const { tape } = loadList([supplied(LINE, 4)], 'in');
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

  it('takes of a butt whose paper edges were cut back what its own section takes', () => {
    const plain = supplied("A 20' x 10' x 8', hung wall 1 across 48 at 10' + 48 at 6'8", 4);
    const some = supplied("A 20' x 10' x 8', hung wall 1 across 48 at 10' bevelled + 48 at 6'8", 4);
    expect(some.tally.bevelled).toEqual({ length: 48 * 25.4, count: 1 });
    const litres = ({ coats, method }: typeof plain) =>
      coats.flatMap((coat) => (coat.class === 'butt' ? [mudOf(coat, method)] : []));
    const cut = sectionFor('butt', bevelledMethod(plain.method)).coats;
    const usual = sectionFor('butt', plain.method).coats;
    const [before, after] = [litres(plain), litres(some)];
    expect(after).toHaveLength(usual.length);
    // 4 ft of all are 1.219 m.
    for (const [index, whole] of before.entries())
      expect(after[index]).toBeCloseTo(whole + ((cut[index]?.wet ?? 0) - (usual[index]?.wet ?? 0)) * 1.2192, 9);
    // A part of it, however small, takes its part.
    for (const coat of some.coats.filter(({ class: kind }) => kind === 'butt'))
      expect(mudOf({ ...coat, amount: coat.amount / 10 }, some.method)).toBeCloseTo(mudOf(coat, some.method) / 10, 9);
    const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);
    expect(sum(after)).toBeLessThan(sum(before));
  });

  it('adds up to the same mud by product and by coat', () => {
    const { mud, mudByCoat } = loadList([supplied(LINE, 5)], 'in');
    const byProduct = mud.reduce((sum, { net }) => sum + net, 0);
    expect(byProduct).toBeCloseTo(
      Object.values(mudByCoat).reduce((sum, litres) => sum + litres, 0),
      9,
    );
    expect(mudByCoat.skim).toBeGreaterThan(0);
  });

  it('rounds packs up once for the house, not room by room', () => {
    const room = supplied(LINE, 4);
    expect(
      loadList(
        Array.from({ length: 3 }, () => room),
        'in',
      ).tape.packs,
    ).toBe(1);
  });

  it('orders neither tape nor mud for level 0, and tape for level 1', () => {
    const none = loadList([supplied(LINE, 0)], 'in');
    expect([none.tape.packs, none.mud.length]).toEqual([0, 0]);
    expect(loadList([supplied(LINE, 1)], 'in').tape.packs).toBe(1);
  });

  it('cuts bead piece by piece, and never one profile from a stick of another', () => {
    const doors = Array.from({ length: 6 }, (_, index) => `opening 32x80 wall 1 at ${10 + index * 40} bead`).join(', ');
    const { bead } = loadList([supplied(`A 24' x 10' x 8', ${doors}`, 4)], 'in');
    expect(bead.map(({ profile, net }) => [profile, Math.round(net / 25.4)])).toEqual([['square', 6 * 192]]);
    const pieces = [
      { profile: 'bullnose', length: 100 * 25.4, edge: 'a', room: 'hall' },
      { profile: 'square', length: 8 * 25.4, edge: 'b', room: 'hall' },
    ] as const;
    const cuts = cutBead(pieces, 'in').map(({ profile, list }) => [
      profile,
      list.sticks.map(({ length }) => Math.round(length / 25.4)),
    ]);
    // 100 in lie in a stick of 9 ft, 8 in in one of 8 ft.
    expect(cuts).toEqual([
      ['bullnose', [108]],
      ['square', [96]],
    ]);
  });

  it('is in metric packs in a metric house', () => {
    expect(loadList([supplied(LINE, 4)], 'mm').tape.pack).toBe(150_000);
    const piece = { profile: 'square', length: 2300, edge: 'a', room: 'hall' } as const;
    expect(cutBead([piece], 'mm')[0]?.list.sticks.map(({ length }) => length)).toEqual([2400]);
  });

  it('seals and skims only what is painted', () => {
    const plain = supplied(LINE, 4);
    const tiled = supplied(`${LINE}, tile 120x72 wall 4, cabinet 60x34 wall 3`, 4);
    const covered = (120 * 72 + 60 * 34) * 25.4 ** 2;
    expect(tiled.tally.boardArea).toBeCloseTo(plain.tally.boardArea, 3);
    expect(plain.tally.paintedArea - tiled.tally.paintedArea).toBeCloseTo(covered, 0);
    expect(loadList([tiled], 'in').sealer.net).toBeLessThan(loadList([plain], 'in').sealer.net);
  });
});
