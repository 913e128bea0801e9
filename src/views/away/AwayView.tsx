'use client';

import { type ReactNode, useCallback, useEffect, useMemo, useState } from 'react';
import { type AwayPart, type AwaySnapshot, awaySnapshot, serverTime } from '@/client/away/awaySnapshot';
import { AWAY_STATIONS, type AwayStation } from '@/client/away/stations';
import { HouseProvider } from '@/client/HouseContext';
import { type SeenHouse, type SeenMark, seenHouse, seenMarks } from '@/client/outbox/deviceStore';
import type { UnsentGroup } from '@/client/outbox/outbox';
import { startOutbox } from '@/client/outbox/theOutbox';
import { useOutbox } from '@/client/outbox/useOutbox';
import type { AwayHouse } from '@/contract/away';
import { takeOff } from '@/core/joints/takeOff';
import { pieceMap } from '@/ui/room/pieceMap';
import { RoomDrawer } from '@/ui/room/usePieceMap';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { BottomBar } from '@/ui/shell/BottomBar';
import { BAR_ICONS } from '@/ui/shell/barIcons';
import { spanWords } from '@/words/when';
import { AwayHeader } from './AwayHeader';
import { STATION_NAMES } from './stationNames';
import { useServerBack } from './useServerBack';

const HOUR_MS = 3_600_000;
/** Whoever opens the list of the day is shown it before the rest of a large house is worked out. */
const FIRST: Partial<Readonly<Record<AwayStation, AwayPart>>> = { 'my-day': 'own' };
/** Clocks on the page go on at this pace. */
const LOOK_EVERY_MS = 30_000;

/** A house as this device knows it, worked out here: the list of the day and the board, with what was said since. */
export function AwayView({
  pages,
}: {
  readonly pages: Readonly<Record<AwayStation, (of: AwayHousePage) => ReactNode>>;
}) {
  const [marks, setMarks] = useState<readonly SeenMark[]>();
  const [seen, setSeen] = useState<SeenHouse>();
  const [path, setPath] = useState('');
  const [at, setAt] = useState(0);
  const { groups, sent } = useOutbox();
  const said = useMemo(() => [...sent, ...groups], [sent, groups]);
  const showAnew = useCallback(() => setAt(Date.now()), []);
  useEffect(() => {
    setPath(window.location.pathname);
    showAnew();
    const timer = setInterval(showAnew, LOOK_EVERY_MS);
    const look = async () => {
      const [, , id = ''] = window.location.pathname.split('/');
      const [kept, house] = await Promise.all([seenMarks(), seenHouse(id.toLowerCase())]);
      startOutbox(kept[0]?.who);
      setSeen(house);
      setMarks(kept);
    };
    // Where a browser keeps nothing there is nothing to show.
    look().catch(() => setMarks([]));
    return () => clearInterval(timer);
  }, [showAnew]);
  const isBack = useServerBack();
  const [, , , station] = path.split('/');
  const shown = AWAY_STATIONS.find((own) => own === station);
  if (!marks) return <p className="p-6">Looking at what this device keeps…</p>;
  return (
    <div className="flex min-h-dvh flex-col max-md:pb-16">
      <AwayHeader seen={seen} station={shown} age={seen ? ageWords(at - seen.seenAt) : undefined} isBack={isBack} />
      {seen && shown ? (
        <HousePage
          seen={seen}
          said={said}
          at={at}
          showAnew={showAnew}
          page={pages[shown]}
          first={FIRST[shown] ?? 'all'}
        />
      ) : (
        <main className="mx-auto w-full max-w-xl space-y-4 p-4">
          <h1>No connection</h1>
          <p>
            {marks.length === 0
              ? 'This device keeps no house yet. Open one while the server answers.'
              : 'This page needs the server. These work without it:'}
          </p>
          <ul className="space-y-2">
            {marks.map(({ id, name }) => (
              <li key={id} className="sheet flex flex-wrap items-center gap-2 p-4">
                <span className="flex-1 font-semibold">{name}</span>
                {AWAY_STATIONS.map((own) => (
                  <a key={own} className="btn btn-lg" href={`/h/${id}/${own}`}>
                    {STATION_NAMES[own]}
                  </a>
                ))}
              </li>
            ))}
          </ul>
        </main>
      )}
      {seen && (
        <BottomBar house={seen.house.id} role={seen.house.me.role} away={{ page: shown ?? '' }} icons={BAR_ICONS} />
      )}
    </div>
  );
}

/** A house as this device works it out, for one of its pages. */
export interface AwayHousePage extends AwaySnapshot {
  readonly house: AwayHouse;
  /** ms since 1970, by the server's clock as far as this device's goes. */
  readonly now: number;
}

function HousePage({
  seen,
  said,
  at,
  showAnew,
  page,
  first,
}: {
  readonly seen: SeenHouse;
  /** What was said on this device, sent or not. */
  readonly said: readonly UnsentGroup[];
  readonly at: number;
  readonly showAnew: () => void;
  readonly page: (of: AwayHousePage) => ReactNode;
  readonly first: AwayPart;
}) {
  const { house } = seen;
  const [part, setPart] = useState(first);
  // The rest is worked out when what was is on the screen.
  useEffect(() => {
    const frame = requestAnimationFrame(() => setTimeout(() => setPart('all')));
    return () => cancelAnimationFrame(frame);
  }, []);
  const now = document.documentElement.dataset.clock === 'stopped' ? house.made : serverTime(seen, at);
  const worked = useMemo(() => awaySnapshot(house, said, now, part), [house, said, now, part]);
  const drawer = useCallback(
    (room: string) => {
      const own = worked.snapshot.rooms.find((candidate) => candidate.room.id === room);
      return own && !own.tooLarge ? pieceMap(own, takeOff(own.room, house.head)) : undefined;
    },
    [worked, house],
  );
  const context = useMemo(() => ({ id: house.id, unit: house.head.unit, showAnew }), [house, showAnew]);
  return (
    <HouseProvider house={context}>
      <GlyphParts sections={sectionsOf(worked.snapshot)} />
      <RoomDrawer value={drawer}>{page({ ...worked, house, now })}</RoomDrawer>
    </HouseProvider>
  );
}

const ageWords = (ms: number): string => (ms < 60_000 ? 'just now' : `${spanWords(ms / HOUR_MS)} ago`);
