import type { Metadata } from 'next';
import { visitHouse } from '@/server/visit';
import { HouseView } from '@/views/house/HouseView';

export const metadata: Metadata = { title: 'House' };

export default async function HousePage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site, now, timeZone, people } = await visitHouse(house);
  return <HouseView houseId={house} site={site} now={now} timeZone={timeZone} people={people} />;
}
