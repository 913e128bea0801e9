import { type Coverage, isUnusual, USUAL_COVERAGE } from '@/core/cost/coverageOf';
import type { MaterialCost } from '@/core/cost/materialCost';
import { type LengthUnit, litresFromGallons, MM_PER_FOOT } from '@/core/measure/unit';
import { GOOD_WORDS } from './stockRows';

/** Material cost of a room, in the company's currency. */
export interface RoomCost {
  readonly name: string;
  readonly cost: number;
}

/** What a house takes beside what is usual, and what its material costs as far as prices are known. */
export function FiguresPanel({
  coverage,
  cost,
  rooms,
  unit,
}: {
  /** Of a whole house that gets all its coats. */
  readonly coverage: Coverage | undefined;
  readonly cost: MaterialCost;
  readonly rooms: readonly RoomCost[];
  readonly unit: LengthUnit;
}) {
  return (
    <>
      {coverage && (
        <section className="sheet p-4 sm:p-5" aria-label="Compared with typical">
          <h2>Compared with typical</h2>
          <dl className="mt-2 space-y-2">
            <Band
              words="Tape"
              value={coverage.tape}
              band={USUAL_COVERAGE.tape}
              show={(feet) => tapeWords(feet, unit)}
            />
            <Band
              words="Mud"
              value={coverage.mud}
              band={USUAL_COVERAGE.mud}
              show={(gallons) => mudWords(gallons, unit)}
            />
          </dl>
          <p className="mt-2 text-sm text-muted">For {unit === 'in' ? '1,000 ft²' : '100 m²'} of board, all coats.</p>
        </section>
      )}
      {cost.sum > 0 && (
        <section className="sheet p-4 sm:p-5" aria-label="Material cost">
          <h2>Material cost</h2>
          <p className="text-xl font-bold">{moneyWords(cost.sum)}</p>
          {cost.unpriced.length > 0 && (
            <p className="text-sm text-warning">
              Without {cost.unpriced.map(wareWords).join(', ')}: no price is known.
            </p>
          )}
          <table className="table table-sm mt-2">
            <thead>
              <tr>
                <th scope="col">Room</th>
                <th scope="col" className="text-right">
                  Material with waste
                </th>
              </tr>
            </thead>
            <tbody>
              {rooms.map(({ name, cost: own }, index) => (
                <tr key={index}>
                  <th scope="row" className="font-medium">
                    {name}
                  </th>
                  <td className="text-right">{moneyWords(own)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
    </>
  );
}

const moneyWords = (value: number): string => value.toLocaleString('en-US', { maximumFractionDigits: 0 });

function Band({
  words,
  value,
  band,
  show,
}: {
  readonly words: string;
  readonly value: number;
  readonly band: readonly [number, number];
  readonly show: (value: number) => string;
}) {
  const off = isUnusual(value, band);
  const usual = `${show(band[0])} to ${show(band[1])}`;
  return (
    <div className="flex flex-wrap justify-between gap-x-4">
      <dt className="font-medium">{words}</dt>
      <dd className={`text-right ${off ? 'font-semibold text-warning' : ''}`}>
        {show(value)}
        <span className="block text-sm font-normal text-muted">
          {off ? `outside of ${usual}: look at the coats and the tally` : `usual: ${usual}`}
        </span>
      </dd>
    </div>
  );
}

/** What 1,000 ft² take, in feet and gallons, is told of 100 m² in metres and litres. */
const TO_100_M2 = 1e8 / (1000 * MM_PER_FOOT ** 2);
const tapeWords = (feet: number, unit: LengthUnit): string =>
  unit === 'in' ? `${Math.round(feet)} ft` : `${Math.round((feet * MM_PER_FOOT * TO_100_M2) / 1000)} m`;
const mudWords = (gallons: number, unit: LengthUnit): string =>
  unit === 'in' ? `${gallons.toFixed(1)} gal` : `${Math.round(litresFromGallons(gallons) * TO_100_M2)} l`;

const wareWords = (name: MaterialCost['unpriced'][number]): string =>
  name === 'screws' || name === 'bead' ? name : GOOD_WORDS[name].name.toLowerCase();
