import { describe, expect, it } from 'vitest';
import { logEntry as entry, INES, TOBIN } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { airClock } from '../air/airClock';
import type { SourcedAir } from '../air/roomAir';
import { takeOff, whatIsKept } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { NOTHING_YET } from '../log/roomState';
import { stateOf } from '../log/stateOf';
import { houseSnapshot } from '../snapshot/houseSnapshot';
import { crewSchema } from '../work/crew';
import { handedPasses, passDone } from './assignedWork';
import { planInputOf } from './planInputOf';
import { blocksIn } from './roomBlocks';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const TAKEN = whatIsKept(takeOff(room, house));
const READ: SourcedAir = { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 };
const NOW = Date.parse('2031-05-06T11:00:00Z');
const DAY_MS = 86_400_000;

function snapshotWith(entries: readonly Entry[]) {
  const states = new Map([[room.id, stateOf(entries).get('room') ?? NOTHING_YET]]);
  return houseSnapshot(
    house,
    [room],
    states,
    () => airClock([READ]),
    NOW,
    () => TAKEN,
  );
}
function inputWith(entries: readonly Entry[]) {
  const ground = {
    crew: crewSchema.parse({}),
    people: [],
    timeZone: 'UTC',
    house: 'h',
    dates: { house: undefined, rooms: {} },
  };
  return planInputOf(snapshotWith(entries), ground, NOW);
}
const flats = (entries: readonly Entry[]) =>
  inputWith(entries).items.flatMap(({ work, part, hours }) =>
    work.startsWith('tape.flat') ? [{ work, part, hours }] : [],
  );
let seconds = 0;
const hand = (work: string, people: readonly string[], day = '2031-05-07') => {
  seconds += 1;
  const at = NOW - DAY_MS + seconds * 1000;
  return entry({ kind: 'assigned', at, payload: { work, people: [...people], day } });
};
const taped = (faces: readonly string[]) =>
  entry({
    kind: 'coat',
    at: NOW - 3 * DAY_MS,
    payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' }, faces: [...faces] },
  });
const ceiling = TAKEN.faces.find(({ kind }) => kind === 'ceiling')?.id ?? '';
const walls = TAKEN.faces.filter(({ kind }) => kind !== 'ceiling').map(({ id }) => id);

describe('work that is handed out by the walls and the ceiling', () => {
  it('is in two once they are not given alike, and in one again when they are', () => {
    expect(flats([]).map(({ work }) => work)).toEqual(['tape.flat']);
    const one = hand('tape.flat@ceiling', [INES]);
    const apart = inputWith([one]);
    expect(flats([one]).map(({ work }) => work)).toEqual(['tape.flat@walls', 'tape.flat@ceiling']);
    expect(apart.handed).toMatchObject({ [`${room.id}/tape.flat@ceiling`]: { people: [INES], day: '2031-05-07' } });
    const [whole] = flats([]);
    expect(flats([one]).reduce((sum, { part }) => sum + part, 0)).toBeCloseTo(whole?.part ?? 0, 9);
    const both = inputWith([one, hand('tape.flat@walls', [INES])]);
    expect(both.handed).toMatchObject({ [`${room.id}/tape.flat`]: { people: [INES], day: '2031-05-07' } });
    expect(flats([one, hand('tape', [TOBIN])]).map(({ work }) => work)).toEqual(['tape.flat']);
    expect(flats([one, hand('tape.flat@ceiling', [])]).map(({ work }) => work)).toEqual(['tape.flat']);
  });

  it('is one again when one of them is done, and still that person’s', () => {
    const log = [hand('tape@ceiling', [INES]), hand('tape@walls', [TOBIN]), taped(walls)];
    const input = inputWith(log);
    const own = input.items.find(({ work }) => work.startsWith('tape.flat'));
    expect(own).toMatchObject({ work: 'tape.flat', block: 'ceiling' });
    expect(input.handed[own?.id ?? '']?.people).toEqual([INES]);
  });

  it('is on the lists of both, each with their own part, and done where it is on', () => {
    const snapshot = snapshotWith([hand('tape', [TOBIN]), hand('tape.flat@ceiling', [INES]), taped([ceiling])]);
    const handed = handedPasses(snapshot.rooms, '2031-05-06');
    const feet = (person: string) =>
      handed
        .filter(({ people }) => people[0] === person)
        .flatMap(({ task }) => task.coats.filter(({ class: kind }) => kind === 'flat'))
        .reduce((sum, { amount }) => sum + amount, 0);
    const all = snapshot.rooms[0]?.coats.find(({ id }) => id === 'flat.tape')?.amount ?? 0;
    expect(feet(TOBIN) + feet(INES)).toBeCloseTo(all, 6);
    // The seams of a ceiling of 20 × 14 ft with boards of 4 ft along it: three of 20 ft.
    expect(feet(INES) / 304.8).toBeCloseTo(60, 6);
    const of = (person: string) => handed.find(({ people, block }) => people[0] === person && block !== undefined);
    const [ines, tobin] = [of(INES), of(TOBIN)];
    expect(ines && passDone(ines)).toBe(1);
    expect(tobin && passDone(tobin)).toBe(0);
  });

  it('has nothing of a coat where its faces are of a lower level', () => {
    const lower = { ...room, finish: { level: 4 as const, faces: { [ceiling]: { level: 2 as const } } } };
    const taken = whatIsKept(takeOff(lower, house));
    const [snapshot] = houseSnapshot(
      house,
      [lower],
      new Map(),
      () => airClock([READ]),
      NOW,
      () => taken,
    ).rooms;
    const blocks = snapshot && blocksIn(snapshot);
    expect(blocks?.coat('flat.tape', 'ceiling')?.share).toBeGreaterThan(0);
    expect(blocks?.coat('flat.finish', 'ceiling')).toBeUndefined();
    expect(blocks?.coat('flat.finish', 'walls')?.share).toBe(1);
  });
});
