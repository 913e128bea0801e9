import type { Metadata } from 'next';
import { stepAt } from '@/core/air/airClock';
import { mayAct } from '@/server/mayAct';
import { chartIn, sensorsIn, visitHouse } from '@/server/visit';
import { weatherFailure } from '@/server/weather';
import { AirView } from '@/views/dry/AirView';
import { RANGES } from '@/views/dry/ChartChoice';

export const metadata: Metadata = { title: 'Air and sensors' };

const DAY_MS = 86_400_000;
/** About as many as a chart has pixels to tell apart. */
const MOST_POINTS = 500;

export default async function AirPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ house: string }>;
  readonly searchParams: Promise<{ room?: string | string[]; range?: string | string[] }>;
}) {
  const [{ house }, asked] = await Promise.all([params, searchParams]);
  const visit = await visitHouse(house);
  const { person, snapshot, air, weatherUrl, now, timeZone } = visit;
  const places = [
    ...(air.places.has('') ? [{ id: null, name: 'The house' }] : []),
    ...snapshot.rooms.flatMap(({ room: { id, name } }) => (air.places.has(id) ? [{ id, name }] : [])),
  ];
  const room = (places.find(({ id }) => id === (asked.room ?? null)) ?? places[0])?.id ?? null;
  const [range, , days] = RANGES.find(([id]) => id === asked.range) ?? RANGES[1];
  const [points, sensors] = await Promise.all([chartIn(visit, room, days * DAY_MS, MOST_POINTS), sensorsIn(visit)]);
  return (
    <AirView
      houseId={house}
      rooms={snapshot.rooms.map(({ room: own, air: clock }) => ({
        id: own.id,
        name: own.name,
        now: stepAt(clock, now),
      }))}
      chart={{ room, range, places, points }}
      sensors={sensors}
      weather={{
        url: weatherUrl,
        askedAt: air.weather.askedAt,
        until: air.weather.hours.at(-1)?.from,
        failure: weatherFailure(house),
      }}
      unit={snapshot.house.unit}
      now={now}
      timeZone={timeZone}
      mayEdit={mayAct(person, 'lead')}
    />
  );
}
