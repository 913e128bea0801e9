import { after } from 'next/server';
import type { ReactNode } from 'react';
import { mayAct } from '@/server/mayAct';
import { loggedTooLate, visitHouse } from '@/server/visit';
import { refreshWeather } from '@/server/weather';
import { KeepSeen } from '@/ui/live/KeepSeen';
import { LiveMark } from '@/ui/live/LiveMark';
import { BottomBar } from '@/ui/shell/BottomBar';
import { BAR_ICONS } from '@/ui/shell/barIcons';
import { Header } from '@/ui/shell/Header';
import { HouseFrame } from '@/ui/shell/HouseFrame';
import { JobLine } from '@/ui/shell/JobLine';
import { RememberPlace } from '@/ui/shell/RememberPlace';
import { RemovedRooms } from '@/ui/shell/RemovedRooms';
import { stationFacts } from '@/ui/shell/stationFacts';
import { UnreadableRooms } from '@/ui/shell/UnreadableRooms';
import { airWords } from '@/words/airWords';
import { instantWords } from '@/words/when';

/** Air that was only measured is taken along at most so often. */
const AIR_EVERY_MS = 15 * 60_000;

export default async function HouseLayout({
  children,
  params,
}: {
  readonly children: ReactNode;
  readonly params: Promise<{ house: string }>;
}) {
  const { house } = await params;
  const visit = await visitHouse(house);
  const { person, snapshot, inside, timeZone, now, mark, changesAt, unreadable } = visit;
  // Begun now: what is only begun once the answer has gone may wait for ever, and keep up a server that is told to stop.
  after(refreshWeather(visit));
  const facts = stationFacts(snapshot, now, timeZone);
  return (
    <HouseFrame house={house} unit={snapshot.house.unit}>
      <Header
        house={{ id: house, name: snapshot.house.name, unit: snapshot.house.unit }}
        air={inside ? `Inside ${airWords(inside, snapshot.house.unit)}` : 'Air not measured'}
        time={instantWords(now, timeZone)}
        person={person}
        live={
          <LiveMark
            house={house}
            mark={mark}
            made={now}
            changesIn={changesAt === undefined ? undefined : changesAt - now}
          />
        }
      />
      <JobLine house={house} facts={facts} />
      {mayAct(person, 'finisher') && (
        <KeepSeen house={house} news={[mark.seq, mark.rooms, Math.floor(now / AIR_EVERY_MS)].join(' ')} />
      )}
      <RememberPlace person={person.id} />
      <UnreadableRooms house={house} rooms={unreadable} mayRemove={mayAct(person, 'lead')} />
      <RemovedRooms names={await loggedTooLate(visit)} />
      {children}
      <BottomBar house={house} role={person.role} facts={facts} icons={BAR_ICONS} />
    </HouseFrame>
  );
}
