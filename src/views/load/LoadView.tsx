import type { ReactNode } from 'react';
import type { Tally } from '@/core/joints/tally';
import type { Wares } from '@/core/materials/catalogue';
import type { BeadCuts } from '@/core/materials/cut/cutBead';
import type { Good } from '@/core/materials/goods';
import type { LoadList, Order } from '@/core/materials/loadList';
import type { LengthUnit } from '@/core/measure/unit';
import { COAT_KEYS } from '@/core/method/coat';
import { smallHours } from '@/core/work/tasksOf';
import { roughLength, sizeWords } from '@/words/lengthWords';
import { packVolumeWords, quartsWords, roughMudWords } from '@/words/mudWords';
import { PASS_NAMES, PROFILE_NAMES, SMALL_NAMES, smallAmount } from '@/words/stateWords';
import { spanWords } from '@/words/when';
import { CounterButton, type CounterLine } from './CounterButton';
import { boughtOf, CuttingList, sticksWords } from './CuttingList';

interface Line {
  readonly item: string;
  /** In the shop. */
  readonly called?: string | undefined;
  readonly net: string;
  readonly gross: string;
  readonly packs: string;
  readonly pack: string;
  readonly delivery?: CounterLine['delivery'];
}

/**
 * What to order, for the house or a part of it: tape, mud by product and by coat, bead, screws and sheets, with waste and in
 * whole packs.
 */
export function LoadView({
  load,
  wares,
  bead,
  nameOf,
  tally,
  unit,
  title,
  scope,
  beside,
  figures,
  keepLeft,
  byPiece,
  works,
  now,
}: {
  readonly load: LoadList;
  /** How it is bought. */
  readonly wares: Wares;
  /** Which sticks the bead is cut from. */
  readonly bead: readonly BeadCuts[];
  /** What a room is called. */
  readonly nameOf: (room: string) => string;
  readonly tally: Tally;
  readonly unit: LengthUnit;
  /** For what it is: the whole house, a floor, a room. */
  readonly title: string;
  /** How that is chosen. */
  readonly scope: ReactNode;
  /** What is told of the house as a whole, for those who are told. */
  readonly beside: ReactNode;
  /** What it comes to beside what is usual, and what it costs. */
  readonly figures: ReactNode;
  /** Keeps what is left of the sticks, for who may. */
  readonly keepLeft: ReactNode;
  /** What is bought by the piece, as lines for the counter. */
  readonly byPiece: readonly CounterLine[];
  /** Whether who looks may log deliveries. */
  readonly works: boolean;
  readonly now: number;
}) {
  const lines = linesOf(load, wares, bead, unit);
  const coats = COAT_KEYS.filter((key) => load.mudByCoat[key] > 0);
  return (
    <main className="grid flex-1 content-start gap-5 p-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_24rem] lg:px-5">
      <div className="space-y-5">
        <section className="sheet p-4 sm:p-5">
          <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
            <div>
              <h1>To order for {title}</h1>
              <p className="text-muted">
                From the tally and the coats, mud by the section of each joint; packs are rounded up once for all of it.
              </p>
            </div>
            <div className="flex flex-wrap items-end gap-3">
              {scope}
              <CounterButton
                lines={[
                  ...lines.map(({ packs, item, called, delivery }) => ({
                    packs,
                    item: called ? `${item}: ${called}` : item,
                    delivery,
                  })),
                  ...byPiece,
                ]}
                scope={title}
                works={works}
                now={now}
              />
            </div>
          </div>
          <div className="overflow-x-auto">
            <table className="table">
              <thead>
                <tr>
                  <th scope="col">Item</th>
                  <th scope="col">To order</th>
                  <th scope="col">Pack</th>
                  <th scope="col" className="text-right">
                    Goes on
                  </th>
                  <th scope="col" className="text-right">
                    With waste
                  </th>
                </tr>
              </thead>
              <tbody>
                {lines.map(({ item, net, gross, packs, pack }) => (
                  <tr key={item}>
                    <th scope="row" className="font-semibold">
                      {item}
                    </th>
                    <td className="text-lg font-bold">{packs}</td>
                    <td className="min-w-36 text-muted">{pack}</td>
                    <td className="text-right whitespace-nowrap">{net}</td>
                    <td className="text-right whitespace-nowrap">{gross}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
        {beside}
      </div>
      <div className="space-y-5">
        {figures}
        <section className="sheet p-4 sm:p-5">
          <h2>Mud by coat</h2>
          <MudBars coats={coats.map((key) => ({ name: PASS_NAMES[key], litres: load.mudByCoat[key] }))} unit={unit} />
          {load.small.length > 0 && <SmallWorkTable small={load.small} unit={unit} />}
        </section>
        <section className="sheet p-4 sm:p-5">
          <h2>Sheets of board</h2>
          <p className="mb-2 text-sm text-muted">As hung here, off-cuts used again within a room.</p>
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Size</th>
                <th scope="col" className="text-right">
                  Sheets
                </th>
              </tr>
            </thead>
            <tbody>
              {tally.boards.map(({ width, length, count }) => (
                <tr key={`${width} ${length}`}>
                  <th scope="row" className="font-medium">
                    {sizeWords(width, length, unit)}
                  </th>
                  <td className="text-right">{count}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
      {bead.length > 0 && (
        <div className="lg:col-span-2">
          <CuttingList bead={bead} nameOf={nameOf} unit={unit} keepLeft={keepLeft} />
        </div>
      )}
    </main>
  );
}

/** What is done beside the coats; its mud is in the coats above. */
function SmallWorkTable({ small, unit }: { readonly small: LoadList['small']; readonly unit: LengthUnit }) {
  return (
    <table className="table table-sm mt-4">
      <caption className="text-left text-sm text-muted">Small work, its mud in the coats above</caption>
      <tbody>
        {small.map((work) => (
          <tr key={work.kind}>
            <th scope="row" className="font-medium">
              {SMALL_NAMES[work.kind]}
            </th>
            <td className="text-right whitespace-nowrap">{smallAmount(work, unit)}</td>
            <td className="text-right whitespace-nowrap">{spanWords(smallHours(work))}</td>
            <td className="text-right whitespace-nowrap">{quartsWords(work.litres, unit)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function linesOf(load: LoadList, { of }: Wares, bead: readonly BeadCuts[], unit: LengthUnit): readonly Line[] {
  const length = (order: Order) => ({ net: roughLength(order.net, unit), gross: roughLength(order.gross, unit) });
  const count = (value: number) => Math.ceil(value).toLocaleString('en-US');
  const percent = (waste: number) => `${Math.round(waste * 100)} % waste`;
  const whole = (good: Good, { packs, pack }: Order) => ({ good, amount: packs * pack });
  const tape = (good: 'paper' | 'mesh', item: string, order: Order, waste: number): Line => ({
    delivery: whole(good, order),
    item,
    ...length(order),
    packs: packsOf(order, 'roll'),
    pack: `${roughLength(order.pack, unit)}, ${percent(waste)}`,
  });
  const wet = (good: Good, item: string, order: Order, pack: string, waste: number): Line => ({
    delivery: whole(good, order),
    item,
    net: roughMudWords(order.net, unit),
    gross: roughMudWords(order.gross, unit),
    packs: packsOf(order, pack),
    pack: `${packVolumeWords(order.pack, unit)}, ${percent(waste)}`,
  });
  return [
    { ...tape('paper', 'Paper tape', load.tape, of.paper.waste), called: of.paper.called },
    ...(load.mesh.net > 0 ? [tape('mesh', 'Mesh tape', load.mesh, of.mesh.waste)] : []),
    ...load.mud.map((mud) => ({
      ...wet(
        mud.product,
        `${MUD_NAMES[mud.product]} mud`,
        mud,
        mud.product === 'setting' ? 'bag' : 'pail',
        of[mud.product].waste,
      ),
      called: of[mud.product].called,
    })),
    ...bead.map(({ profile, pieces, list }) => ({
      item: `Bead, ${PROFILE_NAMES[profile]}`,
      net: roughLength(
        pieces.reduce((sum, piece) => sum + piece.length, 0),
        unit,
      ),
      gross: roughLength(
        boughtOf(list).reduce((sum, { length }) => sum + length, 0),
        unit,
      ),
      packs: sticksWords(boughtOf(list), unit) || 'none: from what is left',
      pack: 'cut piece by piece, below',
    })),
    {
      item: 'Screws',
      net: count(load.screws.net),
      gross: count(load.screws.gross),
      packs: packsOf(load.screws, 'box'),
      pack: `${load.screws.pack.toLocaleString('en-US')}, ${percent(of.screws.waste)}`,
    },
    ...(load.sealer.net > 0 ? [wet('sealer', 'Sealer', load.sealer, 'pail', of.sealer.waste)] : []),
  ];
}

const MUD_NAMES = {
  taping: 'Taping',
  'all-purpose': 'All-purpose',
  lightweight: 'Lightweight',
  topping: 'Topping',
  setting: 'Setting',
} as const;
const packsOf = ({ packs }: Order, name: string): string =>
  `${packs} ${packs === 1 ? name : name === 'box' ? 'boxes' : `${name}s`}`;

function MudBars({
  coats,
  unit,
}: {
  readonly coats: readonly { readonly name: string; readonly litres: number }[];
  readonly unit: LengthUnit;
}) {
  const most = Math.max(...coats.map(({ litres }) => litres));
  if (coats.length === 0) return <p className="text-muted">No coats at this level of finish.</p>;
  return (
    <dl className="mt-2 space-y-2">
      {coats.map(({ name, litres }) => (
        <div key={name} className="grid grid-cols-[4rem_1fr_5rem] items-center gap-3">
          <dt>{name}</dt>
          <dd
            aria-hidden="true"
            className="h-4 rounded-sm border border-board-line bg-board"
            style={{ width: `${(litres / most) * 100}%` }}
          />
          <dd className="text-right">{roughMudWords(litres, unit)}</dd>
        </div>
      ))}
    </dl>
  );
}
