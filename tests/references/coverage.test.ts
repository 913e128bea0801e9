import { describe, expect, it } from 'vitest';
import { takeOff } from '@/core/joints/takeOff';
import { addTallies } from '@/core/joints/tally';
import { loadList } from '@/core/materials/loadList';
import { gallonsFromLitres, MM_PER_FOOT } from '@/core/measure/unit';
import { usualMethod } from '@/core/method/resolveMethod';
import { roomCoats } from '@/core/method/roomCoats';
import { demoHouse } from '@/db/demo/demoHouse';

// source: gypsum construction handbooks (from memory): about 370 ft of tape and 9–10 gal of mud per 1,000 ft² of board;
// a whole house is held to 300–450 ft and 7–12 gal.
describe('the demo house at level 4 throughout', () => {
  const house = demoHouse();
  const rooms = house.rooms.map((room) => {
    const { tally } = takeOff(room, house);
    const method = usualMethod(4);
    return { tally, method, coats: roomCoats(tally, method) };
  });
  const thousands = addTallies(rooms.map(({ tally }) => tally)).boardArea / MM_PER_FOOT ** 2 / 1000;
  const load = loadList(rooms, 'in');

  it('takes 300 to 450 ft of tape per 1,000 ft² of board', () => {
    const feet = load.tape.net / MM_PER_FOOT / thousands;
    expect(feet).toBeGreaterThan(300);
    expect(feet).toBeLessThan(450);
  });

  it('takes 7 to 12 gallons of mud per 1,000 ft² of board', () => {
    const gallons = gallonsFromLitres(load.mud.reduce((sum, { net }) => sum + net, 0)) / thousands;
    expect(gallons).toBeGreaterThan(7);
    expect(gallons).toBeLessThan(12);
  });
});
