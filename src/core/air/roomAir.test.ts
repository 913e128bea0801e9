import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AirFrom } from './airClock';
import { type AirTrack, FRESH_MS, roomAir, withFans } from './roomAir';

const HOUR = 3_600_000;
const step = (hour: number, temperature: number): AirFrom => ({
  from: hour * HOUR,
  air: { temperature, humidity: 50 },
});
const track = (source: AirTrack['source'], ...steps: readonly (readonly [number, number])[]): AirTrack => ({
  source,
  steps: steps.map(([hour, temperature]) => step(hour, temperature)),
});
const told = (tracks: readonly AirTrack[]) =>
  roomAir(tracks).map(({ from, air, source }) => [
    from / HOUR,
    air.temperature,
    source.kind === 'neighbour' ? source.room : source.kind,
  ]);
const ROOM = { kind: 'room' } as const;
const HALL = { kind: 'neighbour', room: 'hall' } as const;
const HOUSE = { kind: 'house' } as const;

describe('the air of a room', () => {
  it('is its own readings where they are fresh', () => {
    expect(told([track(ROOM, [0, 18], [3, 19], [6, 20]), track(HALL, [0, 10], [3, 11])])).toEqual([
      [0, 18, 'room'],
      [3, 19, 'room'],
      [6, 20, 'room'],
      // Six hours after its last one nobody is fresh, and its own holds on.
      [12, 20, 'room'],
    ]);
  });

  it('is a neighbour’s where its sensor drops out for long, and its own again afterwards', () => {
    const own = track(ROOM, [0, 18], [20, 19]);
    const hall = track(HALL, [4, 15], [8, 16], [12, 17], [16, 14]);
    expect(told([own, hall]).slice(0, 6)).toEqual([
      [0, 18, 'room'],
      [6, 15, 'hall'],
      [8, 16, 'hall'],
      [12, 17, 'hall'],
      [16, 14, 'hall'],
      [20, 19, 'room'],
    ]);
  });

  it('is the house’s for a room that has no neighbour with a sensor', () => {
    expect(told([track(ROOM), track(HOUSE, [2, 17])])).toEqual([
      [2, 17, 'house'],
      [8, 17, 'house'],
    ]);
  });

  it('is nothing where nothing was ever measured', () => {
    expect(roomAir([track(ROOM), track(HOUSE)])).toEqual([]);
  });

  it('says when it was read', () => {
    expect(roomAir([track(ROOM, [0, 18])]).map(({ readAt }) => readAt)).toEqual([0, 0]);
  });

  it('comes in order of time, begins with the first reading, and takes each moment from the best fresh place', () => {
    const tracks = fc.array(
      fc.uniqueArray(fc.integer({ min: 0, max: 200 }), { maxLength: 12 }).map((hours) => hours.sort((a, b) => a - b)),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(tracks, fc.integer({ min: 0, max: 300 }), (hours, asked) => {
        const places = hours.map((own, place) =>
          track(
            place === 0 ? ROOM : { kind: 'neighbour', room: `${place}` },
            ...own.map((hour) => [hour, place] as const),
          ),
        );
        const air = roomAir(places);
        const times = air.map(({ from }) => from);
        expect(times).toEqual([...times].sort((a, b) => a - b));
        const first = Math.min(...hours.flat());
        if (hours.flat().length === 0 || asked < first) return;
        const at = asked * HOUR;
        const best = hours.findIndex((own) => own.some((hour) => hour <= asked && at < hour * HOUR + FRESH_MS));
        const now = air.findLast(({ from }) => from <= at);
        if (best >= 0) expect(now?.air.temperature).toBe(best);
        else expect(now).toBeDefined();
      }),
    );
  });
});

describe('fans', () => {
  const air = roomAir([track(ROOM, [0, 18], [5, 19])]);

  it('move the air from when they stand there until they are taken away', () => {
    const moved = withFans(air, [
      { from: 2 * HOUR, speed: 0.5 },
      { from: 7 * HOUR, speed: 0 },
    ]);
    expect(moved.slice(0, 4).map(({ from, air: own }) => [from / HOUR, own.temperature, own.speed])).toEqual([
      [0, 18, 0],
      [2, 18, 0.5],
      [5, 19, 0.5],
      [7, 19, 0],
    ]);
  });

  it('count less than what a device measured', () => {
    const measured = air.map((one) => ({ ...one, air: { ...one.air, speed: 1.2 } }));
    expect(withFans(measured, [{ from: 0, speed: 0.5 }]).map(({ air: own }) => own.speed)).toEqual([1.2, 1.2, 1.2]);
  });
});
