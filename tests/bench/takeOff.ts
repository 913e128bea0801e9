import { hangFace } from '../../src/core/hang/hangFace';
import { takeOff } from '../../src/core/joints/takeOff';
import { parseQuickLine } from '../../src/core/quickline/parseQuickLine';
import { facesOf } from '../../src/core/room/faces/facesOf';
import { resolveHang } from '../../src/core/room/resolveHang';
import { houseOfRooms, median } from './rooms';

const RUNS = 9;

/** ms for taking off every room of a house. */
function timeOf(count: number): number {
  const house = houseOfRooms(count);
  const once = () => {
    const start = performance.now();
    for (const room of house.rooms) takeOff(room, house);
    return performance.now() - start;
  };
  return median(Array.from({ length: RUNS }, once));
}

// A server is warm: the machine's compiler has seen the code before it is timed.
timeOf(300);
const counts = [10, 60, 100, 1000];
const times = counts.map((count) => ({ count, ms: timeOf(count) }));
const perRoom = (count: number) => {
  const found = times.find((time) => time.count === count);
  return found ? found.ms / found.count : Number.NaN;
};
process.stdout.write('\nTake-off of mixed rooms\n');
for (const { count, ms } of times)
  process.stdout.write(
    `  ${String(count).padStart(5)} rooms  ${ms.toFixed(1).padStart(7)} ms  ${(ms / count).toFixed(3)} ms a room\n`,
  );
process.stdout.write(
  `  time per room, 1,000 rooms over 100: ${(perRoom(1000) / perRoom(100)).toFixed(2)} (flat is 1)\n`,
);

/** A long wall with twelve windows and doors of different sizes, searched for each aim. */
function faceOfTwelve() {
  const house = { unit: 'in', hang: {} } as const;
  const openings = Array.from({ length: 12 }, (_, index) =>
    index % 4 === 0
      ? `door 32x80 wall 1 at ${20 + index * 52}`
      : `window ${24 + (index % 3) * 6}x${30 + (index % 5) * 6} @${30 + (index % 4) * 8} wall 1 at ${20 + index * 52}`,
  );
  const line = `Gallery: 660 x 144 x 120, ${openings.join(', ')}`;
  const reading = parseQuickLine(line, house);
  if (!reading.ok) throw new Error(`${line}: ${reading.reason}`);
  const [wall] = facesOf({ ...reading.room, id: 'gallery' }, 'in');
  if (!wall) throw new Error('a room has walls');
  return { wall, plan: resolveHang(house, {}) };
}

const { wall, plan } = faceOfTwelve();
process.stdout.write('\nHanging a 55 ft wall with twelve openings\n');
for (const aim of ['joints', 'boards', 'waste'] as const) {
  const once = () => {
    const start = performance.now();
    hangFace(wall, { ...plan, aim }, { long: ['u'], searchStart: false, byLegs: false });
    return performance.now() - start;
  };
  once();
  process.stdout.write(
    `  ${aim.padEnd(7)} ${median(Array.from({ length: RUNS }, once))
      .toFixed(1)
      .padStart(7)} ms\n`,
  );
}
