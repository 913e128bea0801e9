'use client';

import { useMemo } from 'react';
import type { RoomRight } from '@/core/drywatch/wasRight';
import type { LengthUnit } from '@/core/measure/unit';
import type { CrewTimes } from '@/core/work/shifts';
import { type Packed, unpackedTimes } from '@/ui/packed';
import { airWords } from '@/words/airWords';
import { AirForm } from './AirForm';
import { ArrivalList } from './ArrivalList';
import type { ArrivalRow } from './arrivalRows';
import { DryTabs } from './DryTabs';
import type { DryRoom, StripRoom } from './dryRooms';
import { HouseStrip } from './HouseStrip';
import { CatchUpWords, RoomPanel } from './RoomPanel';
import { WasRight } from './WasRight';

interface DryWatchProps {
  readonly houseId: string;
  readonly rooms: Packed<readonly StripRoom[]>;
  readonly chosen: Packed<DryRoom> | undefined;
  readonly arrivals: Packed<readonly ArrivalRow[]>;
  /** When somebody works: the days that are shown, and the next one. */
  readonly crew: CrewTimes;
  /** The air in the mean of the rooms; undefined when none was ever measured. */
  readonly inside: { readonly temperature: number; readonly humidity: number } | undefined;
  readonly forecastUntil: number | undefined;
  /** What the clocks said beside what touch checks found. */
  readonly right: Packed<readonly RoomRight[]>;
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
  readonly mayMeasure: boolean;
}

/** What is wet, until when, and in which air; what can be worked on when the crew arrives. */
export function DryWatchView({
  houseId,
  rooms: sentRooms,
  chosen: sentRoom,
  arrivals: sentArrivals,
  crew,
  inside,
  forecastUntil,
  right: sentRight,
  unit,
  now,
  timeZone,
  mayMeasure,
}: DryWatchProps) {
  const rooms = useMemo(() => unpackedTimes(sentRooms), [sentRooms]);
  const chosen = useMemo(() => sentRoom && unpackedTimes(sentRoom), [sentRoom]);
  const arrivals = useMemo(() => unpackedTimes(sentArrivals), [sentArrivals]);
  const right = useMemo(() => unpackedTimes(sentRight), [sentRight]);
  const lagging = rooms.flatMap((room) => room.catchUps.map((own) => ({ room, own })));
  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <h1 className="sr-only">Dry watch</h1>
      <DryTabs houseId={houseId} here="" />
      <div className="grid content-start gap-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div className="min-w-0 space-y-4">
          <HouseStrip
            houseId={houseId}
            rooms={rooms}
            chosen={chosen?.id}
            crew={crew.days}
            now={now}
            timeZone={timeZone}
          />
          {chosen && (
            <RoomPanel
              houseId={houseId}
              room={chosen}
              roomName={(id) => rooms.find((room) => room.id === id)?.name ?? 'another room'}
              unit={unit}
              now={now}
              timeZone={timeZone}
              mayLog={mayMeasure}
            />
          )}
          <WasRight rooms={right} />
        </div>
        <aside className="min-w-0 space-y-4">
          <ArrivalList rows={arrivals} begins={crew.begins} now={now} timeZone={timeZone} />
          {lagging.length > 0 && (
            <section className="sheet p-4" aria-label="Catch up today">
              <h2>Catch up today</h2>
              <ul className="mt-1 space-y-2 text-sm">
                {lagging.map(({ room, own }) => (
                  <li key={`${room.id} ${own.class}`}>
                    <b className="font-semibold">{room.name}</b>
                    <span className="block">
                      <CatchUpWords own={own} href={`/h/${houseId}/board#${room.id}`} />
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section className="sheet p-4">
            <h2>The air in the house</h2>
            {inside ? (
              <p className="mt-1">
                <span className="narrow block text-3xl font-bold">{airWords(inside, unit)}</span>
                <span className="text-sm text-muted">mean of all rooms now</span>
              </p>
            ) : (
              <p className="mt-1 text-warning">No readings yet. Drying times assume a heated house.</p>
            )}
            {mayMeasure && <AirForm unit={unit} rooms={rooms.map(({ id, name }) => ({ id, name }))} />}
          </section>
          <p className="px-1 text-sm text-muted">
            Times come from the handbook’s drying table, the coat’s thickness, what it lies on and the air in its room.{' '}
            {forecastUntil !== undefined && forecastUntil > now
              ? 'After the last reading they follow the weather forecast.'
              : 'They assume that the last reading holds.'}{' '}
            Gray is wet. Check inside corners last.
          </p>
        </aside>
      </div>
    </main>
  );
}
