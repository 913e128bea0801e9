import type { Metadata } from 'next';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { packed } from '@/ui/packed';
import { FinishPanel } from '@/views/house/FinishPanel';
import { HouseView } from '@/views/house/HouseView';
import { houseRows } from '@/views/house/houseRows';

export const metadata: Metadata = { title: 'House' };

export default async function HousePage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, snapshot, now, timeZone, people, mark } = await visitHouse(house);
  const finish = <FinishPanel version={`${mark.seq} ${mark.rooms} ${mark.air}`} maySet={mayAct(person, 'lead')} />;
  const rows = packed(houseRows(snapshot, mayAct(person, 'finisher') ? people : undefined, now, timeZone));
  return <HouseView name={snapshot.house.name} rows={rows} finish={finish} />;
}
