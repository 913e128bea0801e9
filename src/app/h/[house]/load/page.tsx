import type { Metadata } from 'next';
import { batchesFor } from '@/core/inspect/batchesFor';
import { bringFrom } from '@/core/inspect/bringFor';
import { movedIn, STOCK, usedIn } from '@/core/inspect/stock';
import { addTallies } from '@/core/joints/tally';
import { cutBead } from '@/core/materials/cut/cutBead';
import { loadList } from '@/core/materials/loadList';
import { dayOf } from '@/core/measure/dayOf';
import { mayAct } from '@/server/mayAct';
import { visitHouse } from '@/server/visit';
import { namesIn } from '@/ui/names';
import { instantWords } from '@/ui/when';
import { BatchPanel } from '@/views/load/BatchPanel';
import { BringPanel } from '@/views/load/BringPanel';
import { LoadView } from '@/views/load/LoadView';
import { loadScope, scopesOf } from '@/views/load/loadScope';
import { ScopeChoice } from '@/views/load/ScopeChoice';
import { StockPanel } from '@/views/load/StockPanel';
import { stockRows, stockWords } from '@/views/load/stockRows';

export const metadata: Metadata = { title: 'Load' };

/** More is not taken back by anybody. */
const MOST_SAID = 12;

export default async function LoadPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ house: string }>;
  readonly searchParams: Promise<{ for?: string | string[] }>;
}) {
  const { house } = await params;
  const { site, log, person, people, now, timeZone } = await visitHouse(house);
  const { unit } = site.house;
  const names = new Map(site.rooms.map(({ room }) => [room.id, room.name]));
  const nameOf = (room: string) => names.get(room) ?? 'a room';
  const { value, title, rooms } = loadScope(site.rooms, (await searchParams).for);
  const bead = rooms.flatMap(({ room, tally }) => tally.beadPieces.map((piece) => ({ ...piece, room: room.id })));
  const said = log.last(STOCK, Number.POSITIVE_INFINITY);
  const namesOf = namesIn(people);
  const moves = [...movedIn(said), ...site.rooms.flatMap(usedIn)];
  const isWhole = rooms === site.rooms;
  return (
    <LoadView
      load={isWhole ? site.load : loadList(rooms, unit)}
      bead={cutBead(bead, unit)}
      nameOf={nameOf}
      tally={isWhole ? site.tally : addTallies(rooms.map(({ tally }) => tally))}
      unit={unit}
      title={title}
      scope={
        <div className="flex flex-wrap items-end gap-3">
          <ScopeChoice value={value} options={scopesOf(site.rooms)} />
          <a className="btn" href={`/h/${house}/csv?of=load`}>
            By room as a table
          </a>
        </div>
      }
      beside={
        // A builder is not told what a crew has in store, nor who comes when.
        mayAct(person, 'finisher') ? (
          <>
            <BringPanel days={bringFrom(site.rooms, dayOf(now, timeZone))} nameOf={nameOf} unit={unit} />
            <BatchPanel batches={batchesFor(rooms)} nameOf={nameOf} unit={unit} />
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
          </>
        ) : undefined
      }
    />
  );
}
