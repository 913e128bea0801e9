import { describe, expect, it } from 'vitest';
import { houseOf } from '../../../tests/houses/readRooms';
import { type TakenOff, takeOff, whatIsKept } from '../../core/joints/takeOff';
import { cachedTakeOffs } from './cachedTakeOffs';
import type { Question } from './takeOffWorker';

const house = houseOf(["Den: 12' x 10' x 8'", "Hall: 100' x 80' x 10'", "Shaft: 90' x 90' x 40'"]);

describe('the take-offs of a house', () => {
  it('are those of its rooms, the large ones from aside, each asked for once', async () => {
    const asked: string[] = [];
    const aside = async ({ room, head }: Question): Promise<TakenOff> => {
      asked.push(room.name);
      return whatIsKept(takeOff(room, head));
    };
    const [first, again] = await Promise.all([
      cachedTakeOffs(house, house.rooms, aside),
      cachedTakeOffs(house, house.rooms, aside),
    ]);
    for (const room of house.rooms) {
      expect(first.get(room)).toEqual(whatIsKept(takeOff(room, house)));
      expect(again.get(room)).toEqual(first.get(room));
    }
    expect(asked).toEqual(['Hall', 'Shaft']);
  });

  it('go on without one that takes too long', async () => {
    const late = houseOf(["Nook: 8' x 6' x 8'", "Loft: 101' x 81' x 10'"]);
    const found = await cachedTakeOffs(late, late.rooms, async () => undefined);
    expect(late.rooms.map((room) => found.has(room))).toEqual([true, false]);
  });
});
