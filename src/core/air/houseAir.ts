import { nearRooms, SHARED_WALL_MM } from '../house/nearRooms';
import type { LengthUnit } from '../measure/unit';
import type { Room } from '../room/schema';
import { ASSUMED_AIR } from './air';
import { type AirClock, type AirFrom, airClock, firstAfter } from './airClock';
import { forecastAir } from './forecastAir';
import { type AirTrack, type FanFrom, roomAir, type SourcedAir, withFans } from './roomAir';

/** What was measured in a house and what is forecast around it, each in order of time. */
export interface MeasuredAir {
  readonly rooms: ReadonlyMap<string, readonly AirFrom[]>;
  /** Readings that are of no one room. */
  readonly house: readonly AirFrom[];
  /** The weather by the hour, past and to come. */
  readonly outside: readonly AirFrom[];
}

export type RoomAirClock = AirClock<SourcedAir>;

/**
 * The clock of each room's air. A room goes by its own readings, else by those of a room that shares a wall with it, the
 * house's, or the nearest other room's; from the last reading in the house on by the forecast, if there is one.
 *
 * @returns for a room and the fans that stood in it
 */
export function houseAir(
  rooms: readonly Pick<Room, 'id' | 'floor' | 'outline' | 'at'>[],
  unit: LengthUnit,
  measured: MeasuredAir,
): (room: string, fans?: readonly FanFrom[]) => RoomAirClock {
  const near = nearRooms(rooms, unit);
  const house: AirTrack = { source: { kind: 'house' }, steps: measured.house };
  const newest = [measured.house, ...measured.rooms.values()].reduce(
    (last, steps) => Math.max(last, steps.at(-1)?.from ?? Number.NEGATIVE_INFINITY),
    Number.NEGATIVE_INFINITY,
  );
  const tracksFor = (id: string): readonly AirTrack[] => {
    const own: AirTrack = { source: { kind: 'room' }, steps: measured.rooms.get(id) ?? [] };
    const others = near(id).map(({ id: room, gap }) => ({ gap, track: neighbour(room) }));
    const listed = new Set([id, ...near(id).map((other) => other.id)]);
    const elsewhere = [...measured.rooms.keys()].filter((room) => !listed.has(room)).map(neighbour);
    return [
      own,
      ...others.filter(({ gap }) => gap <= SHARED_WALL_MM).map(({ track }) => track),
      house,
      ...others.filter(({ gap }) => gap > SHARED_WALL_MM).map(({ track }) => track),
      ...elsewhere,
    ];
  };
  const neighbour = (room: string): AirTrack => ({
    source: { kind: 'neighbour', room },
    steps: measured.rooms.get(room) ?? [],
  });
  return (id, fans = []) => {
    const known = roomAir(tracksFor(id));
    if (known.length === 0)
      return airClock(withFans([{ from: 0, air: ASSUMED_AIR, source: { kind: 'assumed' }, readAt: 0 }], fans));
    const coming = forecastAir(known, measured.outside, newest).map(
      (step): SourcedAir => ({ ...step, source: { kind: 'forecast' }, readAt: newest }),
    );
    const [first] = coming;
    const until = first ? known.slice(0, firstAfter(known, first.from - 1)) : known;
    return airClock(withFans([...until, ...coming], fans));
  };
}
