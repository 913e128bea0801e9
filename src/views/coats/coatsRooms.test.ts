import { expect, it } from 'vitest';
import { conflictsIn } from '@/core/estimate/conflictsIn';
import { priceAnswers } from '@/core/estimate/priceAnswers';
import { WHOLE_HOUSE } from '@/core/estimate/scope';
import { takeOff } from '@/core/joints/takeOff';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { AIR, HOUSE, head } from '../../../tests/houses/hallAndDen';
import { coatsRooms, receivedRooms } from './coatsRooms';

it('are sent with all that prices and contradictions are told from', () => {
  const taken = HOUSE.rooms.map((room) => ({ room, ...takeOff(room, HOUSE) }));
  expect(taken.some(({ tally }) => tally.beadPieces.length > 0 && tally.boards.length > 0)).toBe(true);
  const snapshot = { rooms: taken } as unknown as HouseSnapshot;
  const received = receivedRooms(coatsRooms(snapshot, { [taken[0]?.room.id ?? '']: 4 }));
  expect(received.map(({ room }) => room)).toEqual(
    taken.map(({ room: { id, name, finish, method } }) => ({ id, name, finish, method })),
  );
  expect(received.map(({ version }) => version)).toEqual(taken.map((_, index) => (index === 0 ? 4 : 1)));
  const house = head({ tools: 'boxes', angles: 'sides' });
  expect(priceAnswers(house, received, AIR, WHOLE_HOUSE)).toEqual(priceAnswers(house, taken, AIR, WHOLE_HOUSE));
  const conflicts = conflictsIn(house, taken, AIR);
  expect(conflicts.length).toBeGreaterThan(0);
  expect(conflictsIn(house, received, AIR)).toEqual(conflicts);
});
