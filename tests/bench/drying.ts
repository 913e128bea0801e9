import { type AirClock, type AirFrom, airClock } from '../../src/core/air/airClock';
import { houseAir } from '../../src/core/air/houseAir';
import { whatNow } from '../../src/core/readiness/whatNow';
import { logEntry } from '../houses/logEntry';
import { oneRoomSnapshot } from '../houses/oneRoomSnapshot';
import { houseOfRooms } from './rooms';
import { timeOf } from './timeOf';

const ROOMS = 60;
const MINUTE = 60_000;
const WEEK = 7 * 24 * 60;
const ORDINARY = "A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along";

/** Every coat is on, the last ones within the last day. */
const own = oneRoomSnapshot(ORDINARY, WEEK * MINUTE);
const plain = own.roomWith([]);
const room = own.roomWith(
  plain.coats.map(({ class: kind, key, side }, index) =>
    logEntry({
      kind: 'coat',
      at: (WEEK - 200 * (index + 1)) * MINUTE,
      payload: { class: kind, key, ...(side && { side }), part: 1, mud: { kind: 'drying' } },
    }),
  ),
);
const house = houseOfRooms(ROOMS);
const standingIn = (air: AirClock) => whatNow(room, { air, slowness: new Map() }, WEEK * MINUTE);
/** Sensors read to a tenth. */
const tenth = (value: number) => Math.round(value * 10) / 10;
const readings = house.rooms.map((_, room): readonly AirFrom[] =>
  Array.from({ length: WEEK }, (_, minute) => ({
    from: minute * MINUTE,
    air: {
      temperature: tenth(18 + 3 * Math.sin((minute + 40 * room) / 229)),
      humidity: tenth(55 + 20 * Math.cos(minute / 311)),
    },
  })),
);

const ready = timeOf(() => readings.map((steps) => standingIn(airClock(steps))));
/** With the search for who measures each room's air, borrowing, and the forecast. */
const found = (steps: readonly (readonly AirFrom[])[]) => {
  const rooms = new Map(house.rooms.map(({ id }, room) => [id, steps[room] ?? []]));
  return timeOf(() => {
    const airOf = houseAir(house.rooms, 'in', { rooms, house: [], outside: [] });
    return house.rooms.map(({ id }) => standingIn(airOf(id)));
  });
};
const hours = readings.map((steps) => steps.filter((_, minute) => minute % 60 === 0));
process.stdout.write(
  `\nReadiness of ${ROOMS} rooms × ${plain.coats.length} coats on a week of minute readings: ${ready.toFixed(0)} ms (budget 100)\n` +
    `  with the search for who measures each room's air: ${found(readings).toFixed(0)} ms; by the hour, as pages load it: ${found(hours).toFixed(0)} ms\n`,
);
