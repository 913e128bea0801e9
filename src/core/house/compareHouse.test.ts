import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRoom } from '../../../tests/houses/anyRoom';
import { houseOf } from '../../../tests/houses/readRooms';
import { withIds } from '../room/ids';
import { compareHouse } from './compareHouse';
import { readHouse } from './readHouse';

const house = houseOf(["Hall 12' x 10' x 8', door 32x80 wall 1", "Den 14' x 10' x 8'", "Bath 8' x 5' x 8'"]);
const { rooms, format: _format, version: _version, ...head } = house;
const [hall, den, bath] = rooms;
if (!hall || !den || !bath) throw new Error('the house has its rooms');

describe('a house file beside its house', () => {
  it('is the same where nothing was changed', () => {
    expect(compareHouse(head, rooms, house)).toEqual({
      added: [],
      changed: [],
      gone: [],
      same: 3,
      method: false,
      hang: false,
    });
  });

  it('says what is new, what is changed and in what, and what is gone', () => {
    const file = {
      ...house,
      method: { ...house.method, level: 5 as const },
      rooms: [{ ...hall, height: 108, openings: [] }, den, { ...bath, id: 'linen', name: 'Linen' }],
    };
    const found = compareHouse(head, rooms, file);
    expect(found.added.map(({ id }) => id)).toEqual(['linen']);
    expect(found.gone.map(({ id }) => id)).toEqual([bath.id]);
    expect(found.changed.map(({ now, parts }) => [now.id, [...parts].sort()])).toEqual([
      [hall.id, ['height', 'openings']],
    ]);
    expect([found.same, found.method, found.hang]).toEqual([1, true, false]);
  });

  it('of any rooms is what it was, written out and read again, as hung and method included', () => {
    fc.assert(
      fc.property(fc.array(anyRoom, { minLength: 1, maxLength: 4 }), (some) => {
        const made = some.map((room, index) =>
          withIds({ ...room, id: `r${index}`, method: { tools: 'boxes' as const } }, 'in'),
        );
        const written = JSON.parse(JSON.stringify({ ...house, version: 2, rooms: made }));
        const read = readHouse(written);
        if (!read.ok) throw new Error(JSON.stringify(read.problems));
        expect(compareHouse(head, made, read.house)).toMatchObject({
          added: [],
          changed: [],
          gone: [],
          same: made.length,
        });
      }),
      { numRuns: 60, seed: 3 },
    );
  });
});
