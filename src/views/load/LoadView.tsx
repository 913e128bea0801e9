import type { Tally } from '@/core/joints/tally';
import type { LoadList, Order } from '@/core/materials/loadList';
import { packOf } from '@/core/materials/loadList';
import { PACKS } from '@/core/materials/packs';
import { gallonsFromLitres, type LengthUnit } from '@/core/measure/unit';
import { COAT_KEYS } from '@/core/method/coat';
import { roughLength, sizeWords } from '@/ui/lengthWords';
import { PASS_NAMES } from '@/ui/state/words';

interface Line {
  readonly item: string;
  readonly net: string;
  readonly gross: string;
  readonly packs: string;
  readonly pack: string;
}

/** What to order: tape, mud by product and by coat, bead, screws and sheets, with waste and in whole packs. */
export function LoadView({
  load,
  tally,
  unit,
}: {
  readonly load: LoadList;
  readonly tally: Tally;
  readonly unit: LengthUnit;
}) {
  const lines = linesOf(load, unit);
  const coats = COAT_KEYS.filter((key) => load.mudByCoat[key] > 0);
  return (
    <main className="grid flex-1 content-start gap-5 p-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_24rem] lg:px-5">
      <section className="sheet p-4 sm:p-5">
        <h1>To order for the whole house</h1>
        <p className="mb-3 text-muted">
          From the tally and the coats, mud by the section of each joint; packs are rounded up once for the house.
        </p>
        <div className="overflow-x-auto">
          <table className="table">
            <thead>
              <tr>
                <th scope="col">Item</th>
                <th scope="col" className="text-right">
                  Goes on
                </th>
                <th scope="col" className="text-right">
                  With waste
                </th>
                <th scope="col" className="text-right">
                  To order
                </th>
                <th scope="col">Pack</th>
              </tr>
            </thead>
            <tbody>
              {lines.map(({ item, net, gross, packs, pack }) => (
                <tr key={item}>
                  <th scope="row" className="font-semibold">
                    {item}
                  </th>
                  <td className="text-right whitespace-nowrap">{net}</td>
                  <td className="text-right whitespace-nowrap">{gross}</td>
                  <td className="text-right text-lg font-bold whitespace-nowrap">{packs}</td>
                  <td className="text-muted">{pack}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <div className="space-y-5">
        <section className="sheet p-4 sm:p-5">
          <h2>Mud by coat</h2>
          <MudBars coats={coats.map((key) => ({ name: PASS_NAMES[key], litres: load.mudByCoat[key] }))} unit={unit} />
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
    </main>
  );
}

function linesOf(load: LoadList, unit: LengthUnit): readonly Line[] {
  const length = (order: Order) => ({ net: roughLength(order.net, unit), gross: roughLength(order.gross, unit) });
  const count = (value: number) => Math.ceil(value).toLocaleString('en-US');
  const percent = (waste: number) => `${Math.round(waste * 100)} % waste`;
  return [
    {
      item: 'Paper tape',
      ...length(load.tape),
      packs: packsOf(load.tape, 'roll'),
      pack: `${PACKS.tape.feetPerRoll} ft, ${percent(PACKS.tape.waste)}`,
    },
    ...(load.mesh.net > 0
      ? [
          {
            item: 'Mesh tape',
            ...length(load.mesh),
            packs: packsOf(load.mesh, 'roll'),
            pack: `${PACKS.mesh.feetPerRoll} ft, ${percent(PACKS.mesh.waste)}`,
          },
        ]
      : []),
    ...load.mud.map((mud) => ({
      item: `${MUD_NAMES[mud.product]} mud`,
      net: mudWords(mud.net, unit),
      gross: mudWords(mud.gross, unit),
      packs: packsOf(mud, mud.product === 'setting' ? 'bag' : 'pail'),
      pack: `${packOf(mud.product)} gal, ${percent(PACKS.mud.waste)}`,
    })),
    {
      item: 'Corner bead',
      ...length(load.bead),
      packs: packsOf(load.bead, 'stick'),
      pack: `${PACKS.bead.feetPerStick} ft, ${percent(PACKS.bead.waste)}`,
    },
    {
      item: 'Screws',
      net: count(load.screws.net),
      gross: count(load.screws.gross),
      packs: packsOf(load.screws, 'box'),
      pack: `${PACKS.screws.perBox.toLocaleString('en-US')}, ${percent(PACKS.screws.waste)}`,
    },
    ...(load.sealer.net > 0
      ? [
          {
            item: 'Sealer',
            net: mudWords(load.sealer.net, unit),
            gross: mudWords(load.sealer.gross, unit),
            packs: packsOf(load.sealer, 'pail'),
            pack: `${PACKS.sealer.gallonsPerPail} gal, ${percent(PACKS.sealer.waste)}`,
          },
        ]
      : []),
  ];
}

const MUD_NAMES = { taping: 'Taping', 'all-purpose': 'All-purpose', topping: 'Topping', setting: 'Setting' } as const;
const packsOf = ({ packs }: Order, name: string): string =>
  `${packs} ${packs === 1 ? name : name === 'box' ? 'boxes' : `${name}s`}`;
const mudWords = (litres: number, unit: LengthUnit): string =>
  unit === 'in' ? `${gallonsFromLitres(litres).toFixed(1)} gal` : `${litres.toFixed(0)} l`;

function MudBars({
  coats,
  unit,
}: {
  readonly coats: readonly { readonly name: string; readonly litres: number }[];
  readonly unit: LengthUnit;
}) {
  const most = Math.max(...coats.map(({ litres }) => litres));
  if (coats.length === 0) return <p className="text-muted">No coats: the level of finish asks for none.</p>;
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
          <dd className="text-right">{mudWords(litres, unit)}</dd>
        </div>
      ))}
    </dl>
  );
}
