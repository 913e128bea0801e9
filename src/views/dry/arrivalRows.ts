import { type Arrival, arrivalIn } from '@/core/drywatch/arrival';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { PASSES, type Pass } from '@/core/work/pass';
import { type CrewTimes, nextOn } from '@/core/work/shifts';
import { CLASS_NAMES } from '@/words/stateWords';

/** What can be worked on when the crew arrives at an hour of its next day. */
export interface ArrivalRow {
  /** Of the clock: 7.5 is half past seven. */
  readonly hour: number;
  readonly at: number;
  /** By pass, in the order of the work. */
  readonly works: readonly Work[];
  readonly wet: readonly { readonly name: string; readonly until: number }[];
}

interface Work {
  readonly pass: Pass;
  readonly rooms: readonly { readonly name: string; readonly classes: readonly string[] }[];
}

const HOURS: readonly number[] = [4, 5, 6, 7, 8, 9, 10, 12];

/** The hours at which a crew may arrive on its next day, each with what is ready then; none where nobody works. */
export function arrivalRows(
  rooms: readonly RoomSnapshot[],
  { begins, days }: CrewTimes,
  now: number,
  timeZone: string,
): readonly ArrivalRow[] {
  const hours = [...new Set([...HOURS, begins])].sort((a, b) => a - b);
  return hours.flatMap((hour) => {
    const at = nextOn(
      days.map(({ day }) => day),
      hour,
      now,
      timeZone,
    );
    return at === undefined ? [] : [arrivalRow(rooms, hour, at)];
  });
}

function arrivalRow(rooms: readonly RoomSnapshot[], hour: number, at: number): ArrivalRow {
  const arrivals = rooms.map((room) => ({ name: room.room.name, arrival: arrivalIn(room, at) }));
  return {
    hour,
    at,
    works: PASSES.flatMap((pass): readonly Work[] => {
      const own = arrivals.flatMap(({ name, arrival }) => {
        const classes = classesIn(arrival, pass);
        return classes ? [{ name, classes }] : [];
      });
      return own.length > 0 ? [{ pass, rooms: own }] : [];
    }),
    wet: arrivals.flatMap(({ name, arrival: { wetUntil } }) =>
      wetUntil === undefined ? [] : [{ name, until: wetUntil }],
    ),
  };
}

/** The classes of a room that are ready for a pass; undefined where none is. */
function classesIn({ coats, sand }: Arrival, pass: Pass): readonly string[] | undefined {
  if (pass === 'sand') return sand ? [] : undefined;
  const own = coats.filter(({ round }) => round === pass).map((coat) => CLASS_NAMES[coat.class].toLowerCase());
  return own.length > 0 ? [...new Set(own)] : undefined;
}
