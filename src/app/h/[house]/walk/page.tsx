import type { Metadata } from 'next';
import { rightInAll, wasRight } from '@/core/drywatch/wasRight';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { acceptRows } from '@/views/walk/acceptRows';
import { WalkView } from '@/views/walk/WalkView';
import { walkRows } from '@/views/walk/walkRows';

export const metadata: Metadata = { title: 'Morning walk' };

export default async function WalkPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { person, snapshot, people, now, timeZone } = await visitHouse(house);
  const works = mayAct(person, 'finisher');
  // A builder is told of nobody.
  const names = new Map(works ? people.map(({ id, name }) => [id, name] as const) : []);
  return (
    <WalkView
      houseId={house}
      rows={walkRows(snapshot, now, timeZone, names)}
      accepts={acceptRows(snapshot)}
      right={rightInAll(wasRight(snapshot))}
      unit={snapshot.house.unit}
      now={now}
      timeZone={timeZone}
      works={works}
      leads={mayAct(person, 'lead')}
    />
  );
}
