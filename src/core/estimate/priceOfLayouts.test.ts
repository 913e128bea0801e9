import { describe, expect, it } from 'vitest';
import { houseOf } from '../../../tests/houses/readRooms';
import { priceOfLayouts } from './priceOfLayouts';

const house = houseOf(["A 13' x 11' x 9', window 60x48 wall 1", "B 20' x 14' x 8', door 36x80 wall 2"], {
  boards: [
    { width: 48, lengths: [96, 120, 144] },
    { width: 54, lengths: [144] },
  ],
});

describe('three ways to hang the same rooms', () => {
  const prices = priceOfLayouts(house.rooms, house);
  const by = (aim: string) => {
    const found = prices.find((price) => price.aim === aim);
    if (!found) throw new Error(aim);
    return found;
  };

  it('are each best at what they aim for', () => {
    for (const { aim, tally, waste, sheets } of prices) {
      expect(by('joints').tally.classes.butt.length, aim).toBeLessThanOrEqual(tally.classes.butt.length + 1e-9);
      expect(by('boards').sheets, aim).toBeLessThanOrEqual(sheets);
      expect(by('waste').waste, aim).toBeLessThanOrEqual(waste + 1e-9);
    }
  });

  it('cover the same board', () => {
    for (const { tally } of prices) expect(tally.boardArea).toBeCloseTo(by('joints').tally.boardArea, 3);
  });

  it('tell how far they are', () => {
    const steps: number[] = [];
    priceOfLayouts(house.rooms, house, (done) => steps.push(done));
    expect(steps).toHaveLength(6);
    expect(steps.at(-1)).toBe(1);
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
  });
});
