import { takeOff } from '../../src/core/joints/takeOff';
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

timeOf(60);
const counts = [10, 60, 100, 1000];
const times = counts.map((count) => ({ count, ms: timeOf(count) }));
const perRoom = (count: number) => {
  const found = times.find((time) => time.count === count);
  return found ? found.ms / found.count : Number.NaN;
};
process.stdout.write('\nTake-off of rectangular rooms\n');
for (const { count, ms } of times)
  process.stdout.write(
    `  ${String(count).padStart(5)} rooms  ${ms.toFixed(1).padStart(7)} ms  ${(ms / count).toFixed(3)} ms a room\n`,
  );
process.stdout.write(
  `  time per room, 1,000 rooms over 100: ${(perRoom(1000) / perRoom(100)).toFixed(2)} (flat is 1)\n`,
);
