import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { airClock } from '../air/airClock';
import type { SourcedAir } from '../air/roomAir';
import { takeOff, whatIsKept } from '../joints/takeOff';
import { openWork } from '../schedule/planInputOf';
import { houseSnapshot } from './houseSnapshot';
import { withTools } from './withTools';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const TAKEN = whatIsKept(takeOff(room, house));
const READ: SourcedAir = { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 };
const snapshot = houseSnapshot(
  house,
  [room],
  new Map(),
  () => airClock([READ]),
  0,
  () => TAKEN,
);
const workIn = (own: typeof snapshot) => own.rooms.flatMap((one) => openWork(one, 0));

describe('a house as if it were finished with other tools', () => {
  it('is boxed by pairs in the order of boxes, in fewer hours, and back again by hand', () => {
    const boxed = withTools(snapshot, 'boxes');
    expect(boxed.house.method).toMatchObject({ tools: 'boxes', order: 'boxes' });
    const flats = workIn(boxed).find(({ work }) => work === 'fill.flat');
    expect(flats).toMatchObject({ people: 2, tool: 'box-10' });
    const hours = (own: typeof snapshot) => workIn(own).reduce((sum, item) => sum + item.hours, 0);
    expect(hours(boxed)).toBeLessThan(hours(snapshot));
    expect(workIn(withTools(boxed, 'knives'))).toEqual(workIn(snapshot));
  });
});
