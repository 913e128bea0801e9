import { randomUUID } from 'node:crypto';
import { aroundAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { MOST_ROOMS } from '@/core/house/schema';
import type { NewEntry } from '@/core/log/entry';
import { demoHouse } from '@/db/demo/demoHouse';
import { appendEntries, listEntries } from '@/db/entries';
import { inFirm } from '@/db/firm';
import { addHouse, findHouse } from '@/db/houses';
import { models } from '@/db/models';
import type { Member } from '@/db/people';
import { addRooms, setRemoved } from '@/db/rooms';
import { entryRules } from '@/server/entryRules';
import type { Question } from '@/server/takeOffs/takeOffWorker';
import { asTestFirm, newFirm } from './asTestFirm';

// Threads run what is compiled.
vi.mock('@/server/takeOffs/takeOffWorker', async () => {
  const { takeOff, whatIsKept } = await import('@/core/joints/takeOff');
  return { takeOffWorker: async ({ room, head }: Question) => whatIsKept(takeOff(room, head)) };
});

aroundAll(asTestFirm);
let lead: Member;
beforeAll(async () => {
  lead = await newFirm();
});
const within = <Value>(run: () => Promise<Value>) => inFirm(lead.firm, run);
const newHouse = () => within(() => addHouse(demoHouse(), 'UTC'));
const ROUNDS = 8;
const AT = '2031-05-06T11:00:00.000Z';

/** Records entries as a request does: what speaks against them is looked at before, and again where something came in between. */
const post = (house: string, ...entries: readonly NewEntry[]) =>
  within(async () => appendEntries(house, lead, entries, undefined, await entryRules(house, entries)));
const entry = (rest: Pick<NewEntry, 'kind' | 'payload'>, at = AT): NewEntry =>
  ({ id: randomUUID(), room: 'pantry', at, ...rest }) as NewEntry;
const coat = () => entry({ kind: 'coat', payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' } } });

describe('what two say at the same instant', () => {
  it('of one problem is recorded once', async () => {
    const house = await newHouse();
    for (let round = 0; round < ROUNDS; round += 1) {
      const problem = entry({ kind: 'item', payload: { text: `Dent ${round}` } });
      expect((await post(house, problem)).kind).toBe('recorded');
      const fixed = () => entry({ kind: 'itemClosed', payload: { item: problem.id } }, '2031-05-06T12:00:00.000Z');
      const answers = await Promise.all([post(house, fixed()), post(house, fixed()), post(house, fixed())]);
      expect(answers.map(({ kind }) => kind).sort()).toEqual(['against', 'against', 'recorded']);
    }
  });

  it('is recorded only while what it is said of stands', async () => {
    const house = await newHouse();
    for (let round = 0; round < ROUNDS; round += 1) {
      const on = coat();
      expect((await post(house, on)).kind).toBe('recorded');
      const touched = entry({ kind: 'touched', payload: { class: 'flat', found: 'grey' } }, '2031-05-06T12:00:00.000Z');
      const back = { ...entry({ kind: 'void', payload: { target: on.id } }), room: null } as NewEntry;
      const [checked, taken] = await Promise.all([post(house, touched), post(house, back)]);
      expect(taken?.kind).toBe('recorded');
      const order = (await within(() => listEntries(house))).map(({ id }) => id);
      if (checked?.kind === 'recorded') expect(order.indexOf(touched.id)).toBeLessThan(order.indexOf(back.id));
      else expect(checked?.kind).toBe('against');
    }
  });
});

describe('a house that is nearly full', () => {
  it('takes as many rooms as it has place for, however many come at once', async () => {
    const { rooms: drawn, ...head } = demoHouse();
    const [room] = drawn;
    if (!room) throw new Error('the demo has a room');
    const house = await within(() => addHouse({ ...head, rooms: [] }, 'UTC'));
    const rows = Array.from({ length: MOST_ROOMS - 3 }, (_, index) => ({
      houseId: house,
      id: `r${index}`,
      position: index,
      room,
    }));
    await within(() => models().RoomRow.bulkCreate(rows));
    await within(() => setRemoved(house, 'r0', new Date(AT)));
    const answers = await Promise.all(Array.from({ length: 6 }, () => within(() => addRooms(house, [room]))));
    expect(answers.filter((answer) => answer === 'full')).toHaveLength(2);
    expect((await within(() => findHouse(house)))?.rooms).toHaveLength(MOST_ROOMS);
    expect(await within(() => setRemoved(house, 'r0', null))).toBe('full');
    await within(() => setRemoved(house, 'r1', new Date(AT)));
    expect(await within(() => setRemoved(house, 'r0', null))).toBe(true);
    // What is there already is no more for being brought back again.
    expect(await within(() => setRemoved(house, 'r0', null))).toBe(true);
  });
});
