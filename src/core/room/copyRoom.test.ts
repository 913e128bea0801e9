import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { copiesOf } from './copyRoom';

const { room } = roomOf("Flat 1: 12' x 10' x 8', window 36x48 wall 2 at 1'");

describe('copies of a room', () => {
  it('take the next free numbers', () => {
    expect(copiesOf(room, ['Flat 1', 'Flat 3'], 3, 'none', 'in').map(({ name }) => name)).toEqual([
      'Flat 2',
      'Flat 4',
      'Flat 5',
    ]);
    expect(copiesOf({ ...room, name: 'Bath' }, ['Bath'], 1, 'none', 'in')[0]?.name).toBe('Bath 2');
  });

  it('are mirror images all, or every other one', () => {
    const mirrored = (mirroring: 'all' | 'alternate') =>
      copiesOf(room, [], 4, mirroring, 'in').map((copy) => copy.mirrored ?? false);
    expect(mirrored('all')).toEqual([true, true, true, true]);
    expect(mirrored('alternate')).toEqual([true, false, true, false]);
    // Wall 2 of the original is wall 4 of its image, seen from the other end.
    expect(copiesOf(room, [], 1, 'all', 'in')[0]?.openings[0]).toMatchObject({ wall: 3, at: 120 - 12 - 36 });
  });

  it('are not yet placed on the plan', () => {
    expect(copiesOf({ ...room, at: [5, 5] }, [], 1, 'none', 'in')[0]?.at).toBeUndefined();
  });
});
