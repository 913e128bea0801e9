import { describe, expect, it } from 'vitest';
import { readHouse } from './readHouse';

const FILE = { format: 'oak-tally-house', version: 2, unit: 'in', name: 'Plot 6' };
const room = (index: number, more: object = {}) => ({
  id: `room-${index}`,
  name: `Room ${index}`,
  outline: [
    [0, 0],
    [120, 0],
    [120, 96],
    [0, 96],
  ],
  height: 96,
  ...more,
});
const problemsOf = (json: object) => {
  const read = readHouse(json);
  return read.ok ? [] : read.problems.map(({ path, reason }) => `${path} ${reason}`.trim());
};

describe('a house file with wrong parts', () => {
  it('is told at most fifty of them, and that there are more', () => {
    const corners = problemsOf({
      ...FILE,
      rooms: Array.from({ length: 2000 }, (_, index) => room(index, { outline: ['a', 'b', 'c'] })),
    });
    expect(corners).toHaveLength(51);
    expect(corners[0]).toBe('rooms[0].outline[0] must be a pair of numbers');
    expect(corners.at(-1)).toBe('and more problems');
    const flat = problemsOf({
      ...FILE,
      rooms: Array.from({ length: 60 }, (_, index) => room(index % 2, { height: 1 })),
    });
    expect(flat).toHaveLength(51);
    expect(
      problemsOf({ ...FILE, rooms: Array.from({ length: 50 }, (_, index) => room(index, { height: 0 })) }),
    ).toHaveLength(50);
  });

  it('is told the problems of its head before those of its rooms', () => {
    expect(problemsOf({ ...FILE, name: '', rooms: [room(0), room(1, { height: 0 })] })).toEqual([
      'name needs a name',
      'rooms[1].height must be greater than 0',
    ]);
  });

  it('is told the first room that has an id', () => {
    expect(problemsOf({ ...FILE, rooms: [room(0), room(1), room(0), room(0)] })).toEqual([
      'rooms[2].id "room-0" is the id of rooms[0] too',
      'rooms[3].id "room-0" is the id of rooms[0] too',
    ]);
  });

  it.each(['__proto__', 'constructor', 'toString'])('refuses %s as an id', (id) => {
    expect(problemsOf({ ...FILE, rooms: [room(0, { id })] })).toEqual(['rooms[0].id is a reserved word']);
    const opening = { id, kind: 'door', wall: 1, at: 20, width: 32, height: 80 };
    expect(problemsOf({ ...FILE, rooms: [room(0, { openings: [opening] })] })).toContain(
      'rooms[0].openings[0].id is a reserved word',
    );
  });
});
