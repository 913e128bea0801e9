import type { Metadata } from 'next';
import { movedIn, STOCK, usedIn } from '@/core/inspect/stock';
import { cutBead } from '@/core/materials/cut/cutBead';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { namesIn } from '@/ui/names';
import { instantWords } from '@/ui/when';
import { LoadView } from '@/views/load/LoadView';
import { StockPanel } from '@/views/load/StockPanel';
import { stockRows, stockWords } from '@/views/load/stockRows';

export const metadata: Metadata = { title: 'Load' };

/** More is not taken back by anybody. */
const MOST_SAID = 12;

export default async function LoadPage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { site, log, person, people, now, timeZone } = await visitHouse(house);
  const { unit } = site.house;
  const names = new Map(site.rooms.map(({ room }) => [room.id, room.name]));
  const bead = site.rooms.flatMap(({ room, tally }) => tally.beadPieces.map((piece) => ({ ...piece, room: room.id })));
  const said = log.last(STOCK, Number.POSITIVE_INFINITY);
  const namesOf = namesIn(people);
  const moves = [...movedIn(said), ...site.rooms.flatMap(usedIn)];
  return (
    <LoadView
      load={site.load}
      bead={cutBead(bead, unit)}
      nameOf={(room) => names.get(room) ?? 'a room'}
      tally={site.tally}
      unit={unit}
      stock={
        // A builder is not told what a crew has in store.
        mayAct(person, 'finisher') ? (
          <StockPanel
            rows={stockRows(moves, site.load, unit, now)}
            last={said.slice(0, MOST_SAID).flatMap((entry) =>
              entry.kind === 'stock'
                ? [
                    {
                      id: entry.id,
                      words: `${stockWords(entry.payload, unit)}, ${namesOf([entry.by])}, ${instantWords(Date.parse(entry.at), timeZone)}`,
                      mine: entry.by === person.id || mayAct(person, 'lead'),
                    },
                  ]
                : [],
            )}
            unit={unit}
            now={now}
            works
          />
        ) : undefined
      }
    />
  );
}
