import type { Metadata } from 'next';
import { companyOf, sheetHashIn, visitHouse } from '@/server/visit';
import { SheetsView } from '@/views/handover/SheetsView';

export const metadata: Metadata = { title: 'Hand-over sheets' };

/** The sheets of a house in one print; `?rooms=a,b` leaves the others out. */
export default async function SheetsPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ house: string }>;
  readonly searchParams: Promise<{ rooms?: string | string[] }>;
}) {
  const [{ house }, { rooms: asked }] = await Promise.all([params, searchParams]);
  const visit = await visitHouse(house);
  const { snapshot, people, now, timeZone } = visit;
  const chosen = typeof asked === 'string' ? new Set(asked.split(',')) : undefined;
  return (
    <SheetsView
      houseId={house}
      snapshot={snapshot}
      rooms={snapshot.rooms
        .filter(({ room }) => chosen?.has(room.id) ?? true)
        .map((room) => [room, sheetHashIn(visit, room)] as const)}
      company={await companyOf(visit)}
      people={people}
      now={now}
      timeZone={timeZone}
    />
  );
}
