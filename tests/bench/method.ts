import { priceAnswers } from '../../src/core/estimate/priceAnswers';
import { takeOff } from '../../src/core/joints/takeOff';
import { coatsFor } from '../../src/core/method/coatsFor';
import { usualMethod } from '../../src/core/method/resolveMethod';
import { buildSection } from '../../src/core/section/buildSection';
import { USUAL_JOINT } from '../../src/core/section/joint';
import { judgeSection } from '../../src/core/section/judgeSection';
import { toleranceFor } from '../../src/core/section/tolerance';
import { houseOfRooms } from './rooms';
import { timeOf } from './timeOf';

const AIR = { temperature: 20, humidity: 50 };

const method = usualMethod(4);
const butts = coatsFor('butt', method);
const slider = timeOf((turn) => {
  const section = buildSection('butt', butts, { ...USUAL_JOINT, hump: 1 + turn / 10 });
  return judgeSection(section, toleranceFor());
});
process.stdout.write(`\nThe section of a butt as a slider moves: ${slider.toFixed(1)} ms (a frame is 16.7)\n`);

for (const count of [10, 60]) {
  const house = houseOfRooms(count);
  const rooms = house.rooms.map((room) => ({ room, tally: takeOff(room, house).tally }));
  const ms = timeOf(() => priceAnswers(house, rooms, AIR));
  process.stdout.write(`The prices of all answers, ${count} rooms: ${ms.toFixed(0)} ms (in a worker)\n`);
}
