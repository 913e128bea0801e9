import { renderSVG } from 'uqr';
import { dayOf } from '@/core/measure/dayOf';
import { PrintButton } from '@/ui/PrintButton';
import { Sign } from '@/ui/Sign';
import { dayWords, roundedUp, timeOf } from '@/words/when';
import { DryTabs } from './DryTabs';
import type { StripRoom } from './dryRooms';

/** A tag for the door of every wet room: until when, large, and a code that opens the room. Four to a page. */
export function DoorTagsView({
  houseId,
  houseName,
  rooms,
  address,
  timeZone,
}: {
  readonly houseId: string;
  readonly houseName: string;
  readonly rooms: readonly StripRoom[];
  /** Where the application is reached, as in https://tally.example. */
  readonly address: string;
  readonly timeZone: string;
}) {
  const wet = rooms.flatMap((room) => (room.all === undefined ? [] : [{ ...room, until: room.all }]));
  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <h1 className="sr-only">Door tags</h1>
      <div className="no-print flex flex-wrap items-center justify-between gap-3">
        <DryTabs houseId={houseId} here="tags" />
        {wet.length > 0 && <PrintButton />}
      </div>
      {wet.length === 0 && <p className="sheet p-8 text-center text-lg">Nothing is wet. No tags needed.</p>}
      <ul className="grid gap-4 sm:grid-cols-2 print:gap-6">
        {wet.map((room) => (
          <li key={room.id} className="sheet break-inside-avoid space-y-3 p-6 print:border-2 print:border-black">
            <div className="flex items-start justify-between gap-3">
              <div>
                <p className="text-muted">{houseName}</p>
                <h2 className="text-2xl">{room.name}</h2>
              </div>
              <Sign className="size-9" />
            </div>
            <div className="flex items-end justify-between gap-4">
              <p className="leading-none">
                <span className="narrow block text-2xl font-semibold">Wet until</span>
                {Number.isFinite(room.until) ? (
                  <>
                    <span className="narrow block text-6xl font-bold">{timeOf(roundedUp(room.until), timeZone)}</span>
                    <span className="narrow mt-1 block text-2xl font-semibold">
                      {dayWords(dayOf(roundedUp(room.until), timeZone))}
                    </span>
                  </>
                ) : (
                  <span className="narrow block text-4xl font-bold">the air is drier</span>
                )}
              </p>
              <QrCode
                text={`${address}/h/${houseId}/dry?room=${encodeURIComponent(room.id)}`}
                label={`Code that opens ${room.name}`}
              />
            </div>
            <p className="border-t border-base-300 pt-2 font-semibold">
              Do not touch, sand or lean. Keep the door as it is.
            </p>
          </li>
        ))}
      </ul>
    </main>
  );
}

/** Made here, from nothing but the address. */
function QrCode({ text, label }: { readonly text: string; readonly label: string }) {
  const image = `data:image/svg+xml,${encodeURIComponent(renderSVG(text, { border: 2 }))}`;
  // biome-ignore lint/performance/noImgElement: a picture made in place has nothing to optimise
  return <img src={image} alt={label} className="size-32 shrink-0" />;
}
