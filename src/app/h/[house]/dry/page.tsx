import type { Metadata } from 'next';
import { wetCoats } from '@/core/readiness/wetCoats';
import { mayAct } from '@/server/action';
import { recordAir } from '@/server/actions/houses';
import { ASSUMED_AIR, loadSite } from '@/server/loadSite';
import { requirePerson } from '@/server/session';
import { DryWatchView } from '@/views/dry/DryWatchView';

export const metadata: Metadata = { title: 'Dry watch' };

export default async function DryWatchPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const person = await requirePerson();
  const { site, airOf, airSourceOf, reading, now, timeZone } = await loadSite(house);
  return (
    <DryWatchView
      houseId={house}
      rooms={site.rooms.map((room) => {
        const history = airOf(room.room.id);
        return {
          id: room.room.id,
          name: room.room.name,
          wet: wetCoats(room, history),
          air: history.at(-1)?.air ?? ASSUMED_AIR,
          airSource: airSourceOf(room.room.id),
        };
      })}
      reading={reading && { at: reading.at.getTime(), temperature: reading.temperature, humidity: reading.humidity }}
      unit={site.house.unit}
      now={now}
      timeZone={timeZone}
      mayMeasure={mayAct(person, 'finisher')}
      recordAir={recordAir}
    />
  );
}
