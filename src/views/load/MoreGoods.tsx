import type { Cover } from '@/core/materials/loadList';
import type { LengthUnit } from '@/core/measure/unit';
import { COAT_KEYS } from '@/core/method/coat';
import type { MudOfClass, SmallGoods } from '@/core/supply/smallGoods';
import { roughLength } from '@/words/lengthWords';
import { quartsWords } from '@/words/mudWords';
import { FINAL_GRIT } from '@/words/sandWords';
import { CLASS_NAMES, PASS_NAMES } from '@/words/stateWords';
import type { CounterLine } from './CounterButton';

/** Returns what is bought by the piece, as lines for the counter. */
export const byPiece = (small: SmallGoods): readonly CounterLine[] => [
  { item: `Sheets of sandpaper, ${FINAL_GRIT} grit`, packs: String(small.sandpaper) },
  { item: 'Sanding sponges', packs: String(small.sponges) },
  ...(small.fixings > 0 ? [{ item: 'Fixings for bead', packs: small.fixings.toLocaleString('en-US') }] : []),
];

/** What is bought by the piece, and what each coat of each class takes of the mud. */
export function MoreGoods({
  small,
  cover,
  mud,
  unit,
}: {
  readonly small: SmallGoods;
  readonly cover: Cover;
  readonly mud: readonly MudOfClass[];
  readonly unit: LengthUnit;
}) {
  const rows: readonly (readonly [string, string])[] = [
    ...byPiece(small).map(({ item, packs }) => [item, packs] as const),
    ...(cover.strip > 0 ? [['Paper strip over beads', roughLength(cover.strip, unit)] as const] : []),
    ...cover.joints.map(
      ({ class: kind, length }) => [`${CLASS_NAMES[kind]} covered with trim`, roughLength(length, unit)] as const,
    ),
    ...(cover.trim > 0
      ? ([
          ['Trim to buy, with waste', roughLength(cover.trim, unit)],
          ['Tubes of caulk', String(cover.caulk)],
        ] as const)
      : []),
  ];
  const keys = COAT_KEYS.filter((key) => mud.some(({ coats }) => (coats[key] ?? 0) > 0));
  return (
    <>
      <section className="sheet p-4 sm:p-5" aria-label="By the piece">
        <h2>By the piece</h2>
        <dl className="mt-2 space-y-1">
          {rows.map(([words, amount]) => (
            <div key={words} className="flex justify-between gap-4">
              <dt>{words}</dt>
              <dd className="font-semibold">{amount}</dd>
            </div>
          ))}
        </dl>
      </section>
      {keys.length > 0 && (
        <section className="sheet p-4 sm:p-5" aria-label="Mud by joint">
          <h2>Mud by joint</h2>
          <div className="overflow-x-auto">
            <table className="table table-sm mt-2">
              <thead>
                <tr>
                  <th scope="col">Joint</th>
                  {keys.map((key) => (
                    <th key={key} scope="col" className="text-right">
                      {PASS_NAMES[key]}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {mud.map(({ class: kind, coats }) => (
                  <tr key={kind}>
                    <th scope="row" className="font-medium">
                      {CLASS_NAMES[kind]}
                    </th>
                    {keys.map((key) => (
                      <td key={key} className="text-right whitespace-nowrap">
                        {(coats[key] ?? 0) > 0 ? quartsWords(coats[key] ?? 0, unit) : ''}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
    </>
  );
}
