import type { LengthUnit } from '@/core/measure/unit';
import { itemWords } from '@/core/quickline/grammarText';
import { exampleOf, ITEM_SPECS } from '@/core/quickline/lineSpecs';
import { Dialog } from '../Dialog';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 9', 'open a station'],
  ['/', 'go to the quick line (Tally)'],
  ['n', 'new room (Tally)'],
  ['Enter', 'keep the room (in the quick line)'],
  ['Tab ↓ ↑', 'take or choose what the quick line offers'],
  ['+ − 0', 'closer, farther, whole (in the picture of a room; arrows move it)'],
  ['u', 'undo the last entry (Coat board), or restore a removed room (Tally)'],
  ['?', 'these keys and the quick line’s grammar'],
];

const headIn = (unit: LengthUnit): readonly (readonly [string, string])[] => [
  [
    unit === 'in' ? "Pantry 7'6 x 5' x 8'" : 'Pantry 2300 x 1500 x 2400',
    'name, then length x width x height; a colon may end the name',
  ],
  [
    unit === 'in' ? "Landing: r 12' d 3'6 …" : 'Landing: r 3600 d 1050 …',
    'or a walk along the walls: right, down, left, up; dr for a slant; the last wall closes it',
  ],
];

/** Every item of the line: an example, and what it may say. */
const grammarIn = (unit: LengthUnit) =>
  ITEM_SPECS.map((spec): readonly [string, string] => [exampleOf(spec, unit), itemWords(spec)]);

/** The keys and the quick line's grammar. */
export function KeysDialog({ unit, close }: { readonly unit: LengthUnit; readonly close: () => void }) {
  return (
    <Dialog title="Keys" close={close} className="max-w-2xl">
      <Rows rows={KEYS} />
      <h2>The quick line</h2>
      <p className="text-muted">
        One line makes a room; items after the sizes are set apart by commas. Walls count from 1.
      </p>
      <Rows rows={[...headIn(unit), ...grammarIn(unit)]} />
      <p className="text-sm text-muted">
        Lengths: 12'4 1/2" · 12-4.5 · 148.5 · 12.375' · 3766 mm · 3.766m. A bare number is in the house’s unit.
      </p>
      <form method="dialog" className="modal-action">
        <button type="submit" className="btn btn-primary">
          Close
        </button>
      </form>
    </Dialog>
  );
}

function Rows({ rows }: { readonly rows: readonly (readonly [string, string])[] }) {
  return (
    <dl className="grid grid-cols-[minmax(7rem,16rem)_1fr] gap-x-4 gap-y-1.5 text-sm">
      {rows.map(([term, words]) => (
        <div key={term} className="contents">
          <dt>
            <kbd className="kbd kbd-sm h-auto whitespace-normal text-left">{term}</kbd>
          </dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}
