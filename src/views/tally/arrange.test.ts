import { describe, expect, it } from 'vitest';
import { levelsOf, moved } from './arrange';

const rooms = [
  { id: 'a', level: 'Ground' },
  { id: 'b', level: 'Ground' },
  { id: 'c', level: 'Upper' },
  { id: 'd', level: 'Ground' },
];
const order = (list: readonly { id: string; level: string }[]) =>
  list.map(({ id, level }) => `${id}${level.charAt(0)}`);

describe('rooms in the list', () => {
  it('stand floor by floor, floors in the order of their first room', () => {
    expect(levelsOf(rooms).map(({ level, rooms: on }) => [level, on.map(({ id }) => id)])).toEqual([
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
