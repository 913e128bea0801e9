import { describe, expect, it } from 'vitest';
import { floorsOf, moved } from './arrange';

const rooms = [
  { id: 'a', floor: 'Ground' },
  { id: 'b', floor: 'Ground' },
  { id: 'c', floor: 'Upper' },
  { id: 'd', floor: 'Ground' },
];
const order = (list: readonly { id: string; floor: string }[]) =>
  list.map(({ id, floor }) => `${id}${floor.charAt(0)}`);

describe('rooms in the list', () => {
  it('stand floor by floor, floors in the order of their first room', () => {
    expect(floorsOf(rooms).map(({ floor, rooms: on }) => [floor, on.map(({ id }) => id)])).toEqual([
      ['Ground', ['a', 'b', 'd']],
      ['Upper', ['c']],
    ]);
  });

  it('take the place of the room they are dropped on, and its floor', () => {
    expect(order(moved(rooms, 'a', 'd'))).toEqual(['bG', 'dG', 'aG', 'cU']);
    expect(order(moved(rooms, 'd', 'a'))).toEqual(['dG', 'aG', 'bG', 'cU']);
    expect(order(moved(rooms, 'b', 'c'))).toEqual(['aG', 'dG', 'cU', 'bU']);
    expect(order(moved(rooms, 'c', 'a'))).toEqual(['cG', 'aG', 'bG', 'dG']);
  });
});
