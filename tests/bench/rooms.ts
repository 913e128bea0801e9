import { parseQuickLine } from '../../src/core/house/parseQuickLine';
import type { House, Room } from '../../src/core/house/schema';

/** A house of so many rectangular rooms of mixed sizes, each with a door and a window, all different. */
export function houseOfRooms(count: number): House {
  const head = { unit: 'in', name: `${count} rooms`, hang: {}, method: { level: 4 } } as const;
  const rooms = Array.from({ length: count }, (_, index): Room => {
    const [length, width] = [96 + ((index * 37) % 200), 90 + ((index * 53) % 130)];
    const line = `Room ${index}: ${length} x ${width} x ${index % 5 === 0 ? 108 : 96}, door 32x80 wall 1, window 36x48 @36 wall 2 ${index % 2 === 0 ? 'bead' : 'casing'}`;
    const reading = parseQuickLine(line, head);
    if (!reading.ok) throw new Error(`${line}: ${reading.reason}`);
    return { ...reading.room, id: `room-${index}` };
  });
  return { format: 'oak-tally-house', version: 1, ...head, rooms };
}

/** The middle of several timings, ms. */
export function median(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
}
