import { type AirFrom, airClock } from '../../src/core/air/airClock';
import { houseAir } from '../../src/core/air/houseAir';
import { NOTHING_YET } from '../../src/core/log/stateOf';
import type { CoatId } from '../../src/core/method/coat';
import { coatsFor } from '../../src/core/method/coatsFor';
import { usualMethod } from '../../src/core/method/resolveMethod';
import { whatNow } from '../../src/core/readiness/whatNow';
import type { AppliedCoats, CoatProgress } from '../../src/core/standing/appliedCoats';
import { finished } from '../../src/core/standing/finished';
import { houseOfRooms } from './rooms';
import { timeOf } from './timeOf';

const ROOMS = 60;
const MINUTE = 60_000;
const NONE = finished(NOTHING_YET, []);
const WEEK = 7 * 24 * 60;
const CLASSES = ['flat', 'butt', 'mixed', 'angle', 'offAngle', 'bead', 'existing', 'fasteners'] as const;

const method = usualMethod(4);
const coats = CLASSES.flatMap((kind) => coatsFor(kind, method));
const house = houseOfRooms(ROOMS);
/** Every coat is on, the last ones within the last day. */
const applied: AppliedCoats = {
  more: [],
  stretches: [],
  coats: new Map<CoatId, CoatProgress>(
    coats.map((coat, index) => [
      coat.id,
      {
        share: 1,
        applications: [
          {
            id: '',
            room: '',
            at: new Date((WEEK - 200 * (index + 1)) * MINUTE).toISOString(),
            kind: 'coat',
            payload: { class: coat.class, key: coat.key, part: 1, mud: { kind: 'drying' } },
            seq: 1,
            by: '',
            role: 'lead',
            recordedAt: '',
          },
        ],
      },
    ]),
  ),
};
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

const ready = timeOf(() =>
  readings.map((steps) => whatNow(coats, method, NOTHING_YET, applied, NONE, airClock(steps), WEEK * MINUTE)),
);
/** With the search for who measures each room's air, borrowing, and the forecast. */
const found = (steps: readonly (readonly AirFrom[])[]) => {
  const rooms = new Map(house.rooms.map(({ id }, room) => [id, steps[room] ?? []]));
  return timeOf(() => {
    const airOf = houseAir(house.rooms, 'in', { rooms, house: [], outside: [] });
    return house.rooms.map(({ id }) => whatNow(coats, method, NOTHING_YET, applied, NONE, airOf(id), WEEK * MINUTE));
  });
};
const hours = readings.map((steps) => steps.filter((_, minute) => minute % 60 === 0));
process.stdout.write(
  `\nReadiness of ${ROOMS} rooms × ${CLASSES.length} classes on a week of minute readings: ${ready.toFixed(0)} ms (budget 100)\n` +
    `  with the search for who measures each room's air: ${found(readings).toFixed(0)} ms; by the hour, as pages load it: ${found(hours).toFixed(0)} ms\n`,
);
