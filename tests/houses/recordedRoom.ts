import type { Air } from '@/core/air/air';
import { newEntrySchema } from '@/core/log/entry';
import { withIds } from '@/core/room/ids';
import { EntryRecorder, type Refusal } from '@/core/rules/recordEntries';
import { editedRooms, ruledHouse } from '@/core/rules/ruledHouse';
import { houseSnapshot, type RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { readRoom } from './fileRooms';
import { TOBIN } from './logEntry';

const HOUR_MS = 3_600_000;
const START = Date.parse('2031-05-05T07:00:00Z');
const AIR = { temperature: 21.1, humidity: 50 };

/** What was sent: hours after seven o'clock on the first day, the kind and what it says. */
export type Sent = readonly [hours: number, kind: string, payload?: object, id?: string];

/** The instant so many hours after seven o'clock on the first day, ms since 1970. */
export const hoursIn = (hours: number): number => START + hours * HOUR_MS;

/** Every coat of a room to level 4, a day and more between the rounds. */
export const EVERY_COAT: readonly Sent[] = [
  ...['flat.tape', 'angle.tape', 'fasteners.tape'].map((of) => coat(0, of)),
  ...['flat.fill', 'angle.fill.first', 'fasteners.fill'].map((of) => coat(40, of)),
  ...['flat.finish', 'angle.fill.second', 'fasteners.finish'].map((of) => coat(80, of)),
];

/** A room, 20 ft by 12 ft: a butt in every course of its long walls. */
export const WITH_BUTTS = {
  outline: [
    [0, 0],
    [240, 0],
    [240, 144],
    [0, 144],
  ],
};

/** A coat by its name: `angle.fill.first`. */
export function coat(hours: number, of: string, more: object = {}): Sent {
  const [kind, key, side] = of.split('.');
  return [hours, 'coat', { class: kind, key, ...(side ? { side } : {}), ...more }];
}

/**
 * A room, 12 ft by 10 ft by 8 ft, as it stands so many hours after the first day began, by what the server recorded of what was sent.
 *
 * @param edit the room as it is since an hour
 */
export function recordedRoom(
  sent: readonly Sent[],
  hours: number,
  {
    room = {},
    head = { method: { level: 4 } },
    air = AIR,
    edit,
  }: {
    readonly room?: object;
    readonly head?: object;
    /** °C and %, all the time. */
    readonly air?: Air;
    readonly edit?: { readonly at: number; readonly room?: object; readonly head?: object };
  } = {},
): {
  readonly room: RoomSnapshot;
  readonly refused: readonly (Refusal | undefined)[];
  readonly log: EntryRecorder['log'];
} {
  const first = readRoom(room, head).house;
  const before = ruledHouse(
    first,
    first.rooms.map((own) => withIds(own, first.unit)),
    air,
  );
  const then = edit && readRoom({ ...room, ...edit.room }, edit.head ?? head).house;
  const after = then ? ruledHouse(then, editedRooms(before.rooms, then), air) : before;
  const houseAt = (at: number) => (edit && at >= hoursIn(edit.at) ? after : before);
  const recorder = new EntryRecorder();
  const refused = sent.map(([at, kind, payload = {}, id], index) => {
    const entry = newEntrySchema.parse({
      id: id ?? `00000000-0000-4000-8000-${String(index + 1).padStart(12, '0')}`,
      room: kind === 'void' ? null : 'room',
      at: new Date(hoursIn(at)).toISOString(),
      kind,
      payload,
    });
    return recorder.record({ entry, by: TOBIN, role: 'lead' }, houseAt(hoursIn(at)));
  });
  const house = houseAt(hoursIn(hours));
  const { rooms } = houseSnapshot(
    house.head,
    house.rooms,
    recorder.log.states(),
    house.airOf,
    hoursIn(hours),
    house.takenOff,
  );
  const [own] = rooms;
  if (!own) throw new Error('the house has its room');
  return { room: own, refused, log: recorder.log };
}
