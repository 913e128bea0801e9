import type { Metadata } from 'next';
import { wasRight } from '@/core/drywatch/wasRight';
import { mayAct } from '@/server/mayAct';
import { crewDaysIn, visitHouse } from '@/server/visit';
import { packedTimes } from '@/ui/packed';
import { arrivalRows } from '@/views/dry/arrivalRows';
import { DryWatchView } from '@/views/dry/DryWatchView';
import { chosenRoom, dryRoom, stripRoom } from '@/views/dry/dryRooms';
import { HORIZON_MS } from '@/views/dry/horizon';

export const metadata: Metadata = { title: 'Dry watch' };

/** Today and the next day on which the crew works, whenever that is. */
const LEAST_DAYS = 2;

export default async function DryWatchPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ house: string }>;
  readonly searchParams: Promise<{ room?: string | string[] }>;
}) {
  const [{ house }, { room }] = await Promise.all([params, searchParams]);
  const visit = await visitHouse(house);
  const { person, snapshot, inside, air, now, timeZone } = visit;
  const { begins, days } = await crewDaysIn(visit);
  const chosen = chosenRoom(snapshot.rooms, typeof room === 'string' ? room : undefined);
  return (
    <DryWatchView
      houseId={house}
      rooms={packedTimes(snapshot.rooms.map((room) => stripRoom(room, now)))}
      arrivals={packedTimes(arrivalRows(snapshot.rooms, { begins, days }, now, timeZone))}
      chosen={chosen && packedTimes(dryRoom(chosen, now))}
      crew={{ begins, days: days.filter((day, index) => day.begins < now + HORIZON_MS || index < LEAST_DAYS) }}
      inside={inside}
      forecastUntil={air.weather.hours.at(-1)?.from}
      right={packedTimes(wasRight(snapshot))}
      unit={snapshot.house.unit}
      now={now}
      timeZone={timeZone}
      mayMeasure={mayAct(person, 'finisher')}
    />
  );
}
