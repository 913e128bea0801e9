import type { Metadata } from 'next';
import { coverageOf } from '@/core/cost/coverageOf';
import { beadCost, packCost, withBead } from '@/core/cost/materialCost';
import { addTallies } from '@/core/joints/tally';
import { waresOf } from '@/core/materials/catalogue';
import { leftAfter } from '@/core/materials/cut/leftAfter';
import { GOODS, type Good } from '@/core/materials/goods';
import { loadList } from '@/core/materials/loadList';
import { dayOf } from '@/core/measure/dayOf';
import { learnUse } from '@/core/stock/learnUse';
import { movesBySection, movesIn, STOCK } from '@/core/stock/stock';
import { bringFrom } from '@/core/supply/bringFor';
import { mayAct } from '@/server/mayAct';
import { loadFiguresIn, visitHouse } from '@/server/visit';
import { PrintButton } from '@/ui/PrintButton';
import { BringPanel } from '@/views/load/BringPanel';
import { CatalogueButton } from '@/views/load/CatalogueDialog';
import { FiguresPanel } from '@/views/load/FiguresPanel';
import { KeepLeft } from '@/views/load/KeepLeft';
import { LoadView } from '@/views/load/LoadView';
import { loadScope, scopesOf } from '@/views/load/loadScope';
import { byPiece, MoreGoods } from '@/views/load/MoreGoods';
import { PlanOfGoods } from '@/views/load/PlanOfGoods';
import { ScopeChoice } from '@/views/load/ScopeChoice';
import { StockPanel } from '@/views/load/StockPanel';
import { stockRows, stockWords } from '@/views/load/stockRows';
import { namesIn } from '@/words/names';
import { instantWords } from '@/words/when';

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
  const visit = await visitHouse(house);
  const { snapshot, log, person, people, now, timeZone, mark, catalogueVersion } = visit;
  const { unit } = snapshot.house;
  const { catalogue } = snapshot;
  const wares = waresOf(catalogue, unit);
  const names = new Map(snapshot.rooms.map(({ room }) => [room.id, room.name]));
  const nameOf = (room: string) => names.get(room) ?? 'a room';
  const { value, title, rooms } = loadScope(snapshot.rooms, (await searchParams).for);
  const isWhole = rooms === snapshot.rooms;
  const load = isWhole ? snapshot.load : loadList(rooms, unit, wares);
  const { bead, small, mud, crew } = await loadFiguresIn(visit, rooms);
  const [isCrew, isLead] = [mayAct(person, 'finisher'), mayAct(person, 'lead')];
  const said = log.last(STOCK, Number.POSITIVE_INFINITY);
  const namesOf = namesIn(people);
  const moves = movesIn(said, snapshot.rooms, wares);
  const left = leftAfter(bead, catalogue.offcuts);
  return (
    <LoadView
      load={load}
      wares={wares}
      bead={bead}
      nameOf={nameOf}
      tally={isWhole ? snapshot.tally : addTallies(rooms.map(({ tally }) => tally))}
      unit={unit}
      title={title}
      scope={
        <div className="flex flex-wrap items-end gap-3">
          <ScopeChoice value={value} options={scopesOf(snapshot.rooms)} />
          <a className="btn" href={`/h/${house}/csv?of=load`}>
            By room as a table
          </a>
          {isLead && (
            <CatalogueButton
              catalogue={catalogue}
              version={catalogueVersion}
              learned={learnUse(movesBySection(said, snapshot.rooms, wares), (good) => wares.of[good].use)}
              unit={unit}
            />
          )}
          <PrintButton small />
        </div>
      }
      keepLeft={
        isLead && <KeepLeft after={{ ...catalogue, offcuts: left }} version={catalogueVersion} count={left.length} />
      }
      byPiece={byPiece(small)}
      works={isCrew}
      now={now}
      figures={
        <>
          {crew && (
            <FiguresPanel
              coverage={isWhole ? coverageOf(load, snapshot.tally.boardArea) : undefined}
              cost={withBead(packCost(load, wares), beadCost(bead, wares))}
              rooms={crew.costs}
              unit={unit}
            />
          )}
          <MoreGoods small={small} cover={load.cover} mud={mud} unit={unit} />
        </>
      }
      beside={
        // A builder is not told what a crew has in store, nor who comes when.
        crew ? (
          <>
            <BringPanel days={bringFrom(snapshot.rooms, dayOf(now, timeZone), wares)} wares={wares} unit={unit} />
            <PlanOfGoods
              version={`${mark.seq} ${mark.rooms} ${catalogueVersion}`}
              bag={wares.of.setting}
              batches={crew.batches}
              names={Object.fromEntries(names)}
              unit={unit}
            />
            <StockPanel
              rows={stockRows(moves, crew.needed, wares, unit, now)}
              last={said.slice(0, MOST_SAID).flatMap((entry) =>
                entry.kind === 'stock'
                  ? [
                      {
                        id: entry.id,
                        words: `${stockWords(entry.payload, wares)}, ${namesOf([entry.by])}, ${instantWords(Date.parse(entry.at), timeZone)}`,
                        mine: entry.by === person.id || isLead,
                      },
                    ]
                  : [],
              )}
              packs={Object.fromEntries(GOODS.map((good) => [good, wares.of[good].pack])) as Record<Good, number>}
              now={now}
              works
            />
          </>
        ) : undefined
      }
    />
  );
}
