import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { stepAt } from '@/core/air/airClock';
import { mayAct } from '@/server/mayAct';
import { companyOf, sheetHashIn, visitHouse } from '@/server/visit';
import { RoomPageView } from '@/views/handover/RoomPageView';

export const metadata: Metadata = { title: 'Hand-over' };

export default async function RoomHandOverPage({
  params,
}: {
  readonly params: Promise<{ house: string; room: string }>;
}) {
  const { house, room: id } = await params;
  const visit = await visitHouse(house);
  const { person, snapshot, people, now, timeZone } = visit;
  const room = snapshot.rooms.find((candidate) => candidate.room.id === id);
  if (!room) notFound();
  const { air, source } = stepAt(room.air, now);
  return (
    <RoomPageView
      houseId={house}
      house={snapshot.house}
      room={room}
      people={people}
      sheet={sheetHashIn(visit, room)}
      company={await companyOf(visit)}
      air={source.kind === 'assumed' ? undefined : air}
      now={now}
      timeZone={timeZone}
      mayHandOver={mayAct(person, 'lead')}
    />
  );
}
