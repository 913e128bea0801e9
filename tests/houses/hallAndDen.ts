import type { HouseHead } from '../../src/core/house/schema';
import { takeOff } from '../../src/core/joints/takeOff';
import type { MethodChoices } from '../../src/core/room/methodSchema';
import { houseOf } from './readRooms';

/** A house of two rooms with every common class of joint, for questions of method. */
export const HOUSE = houseOf([
  "Hall 24' x 14' x 8', door 32x80 wall 1 bead, window 36x48 @36 wall 2 bead",
  "Den 12' x 10' x 8', door 32x80 wall 1",
]);

export const AIR = { temperature: 21.1, humidity: 50 };
export const rooms = HOUSE.rooms.map((room) => ({ room, tally: takeOff(room, HOUSE).tally }));
/** The house finished by some choices. */
export const head = (choices: MethodChoices, level: HouseHead['method']['level'] = 4) => ({
  unit: HOUSE.unit,
  method: { ...choices, level },
});
