import { type House, houseSchema } from '@/core/house/schema';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import type { HangChoices, Room } from '@/core/room/schema';

/** A house of rooms written as quick lines, in inches. */
export function houseOf(lines: readonly string[], hang: HangChoices = {}): House {
  const rooms = lines.map((line, index): Room => {
    const reading = parseQuickLine(line, { unit: 'in', hang });
    if (!reading.ok) throw new Error(`${line}: ${reading.reason}`);
    return { ...reading.room, id: `room-${index}` };
  });
  return houseSchema.parse({ format: 'oak-tally-house', version: 1, unit: 'in', name: 'Test house', hang, rooms });
}

/** The only room of a one-room house. */
export function roomOf(line: string, hang: HangChoices = {}): { readonly house: House; readonly room: Room } {
  const house = houseOf([line], hang);
  const [room] = house.rooms;
  if (!room) throw new Error('the house has one room');
  return { house, room };
}
