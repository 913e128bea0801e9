'use client';

import { useEffect } from 'react';
import { AWAY_STATIONS, type AwayStation } from '@/client/away/stations';
import type { SeenHouse } from '@/client/outbox/deviceStore';
import { sendNow } from '@/client/outbox/theOutbox';
import { useOutbox } from '@/client/outbox/useOutbox';
import { Sign } from '@/ui/Sign';
import { ThemeButton } from '@/ui/shell/ThemeButton';
import { UnsentMark } from '@/ui/shell/UnsentMark';
import { STATION_NAMES } from './stationNames';

/** Above a page that the device shows by itself: which house, how old what is known of it is, and what waits to be sent. */
export function AwayHeader({
  seen,
  station,
  age,
  isBack,
}: {
  readonly seen: SeenHouse | undefined;
  readonly station: AwayStation | undefined;
  /** How long ago it was seen. */
  readonly age: string | undefined;
  readonly isBack: boolean;
}) {
  const { groups, end } = useOutbox();
  const waits = groups.some((group) => group.refused === undefined) && end !== 'signedOut';
  useEffect(() => {
    if (!isBack) return;
    if (waits) void sendNow();
    // Nobody is taken away from what they are about to say.
    else if (!document.querySelector('dialog[open]') && !isTyping()) window.location.reload();
  }, [isBack, waits]);
  return (
    <header className="no-print border-b border-base-300 bg-base-200">
      <div className="flex flex-wrap items-center gap-2 px-4 py-2">
        <Sign className="size-8" />
        {seen && <span className="narrow max-w-60 truncate font-semibold">{seen.house.head.name}</span>}
        <span className="flex-1" />
        {seen && <UnsentMark who={seen.house.me.id} />}
        <ThemeButton />
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-2">
        <p role="status" className="flex-1 font-semibold">
          <span aria-hidden="true">▲ </span>
          {isBack ? 'The server answers again' : 'No connection'}
          {age !== undefined && (
            <span className="font-normal text-muted">: as seen {age}, with what was said here since</span>
          )}
        </p>
        {isBack && (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => window.location.reload()}>
            Show the newest
          </button>
        )}
        {seen && (
          <nav aria-label="Without a connection" className="flex flex-wrap gap-2 max-md:hidden">
            {AWAY_STATIONS.map((path) => (
              <a
                key={path}
                href={`/h/${seen.house.id}/${path}`}
                aria-current={path === station ? 'page' : undefined}
                className={`btn ${path === station ? 'btn-neutral' : ''}`}
              >
                {STATION_NAMES[path]}
              </a>
            ))}
          </nav>
        )}
      </div>
    </header>
  );
}

const isTyping = (): boolean => {
  const focused = document.activeElement;
  return focused instanceof HTMLInputElement && focused.value !== '';
};
