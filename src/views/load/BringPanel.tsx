import { isTape, type Wares } from '@/core/materials/catalogue';
import type { Good } from '@/core/materials/goods';
import type { LengthUnit } from '@/core/measure/unit';
import type { DayLoad } from '@/core/supply/bringFor';
import { roughLength } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { jobOrderWords } from '@/words/stateWords';
import { dayWords } from '@/words/when';
import { GOOD_WORDS } from './stockRows';

/** What to bring on the days that are handed out: with waste, and in what it is bought. */
export function BringPanel({
  days,
  wares: { of },
  unit,
}: {
  readonly days: readonly DayLoad[];
  readonly wares: Pick<Wares, 'of'>;
  readonly unit: LengthUnit;
}) {
  return (
    <section className="sheet space-y-3 p-4 sm:p-5" aria-label="To bring">
      <div>
        <h2>To bring</h2>
        <p className="text-sm text-muted">For assigned work that is not done, day by day, with waste.</p>
      </div>
      {days.length === 0 && <p className="text-muted">No work is assigned from today on.</p>}
      <ol className="space-y-3">
        {days.map(({ day, jobs, goods }) => (
          <li key={day}>
            <h3 className="font-semibold">{dayWords(day)}</h3>
            <ul className="text-sm text-muted">
              {jobs.map(({ room, task, block }) => (
                <li key={`${room.room.id} ${task.pass} ${block} ${task.coats.map(({ id }) => id).join(' ')}`}>
                  {room.room.name}, {jobOrderWords(task, block)}
                </li>
              ))}
            </ul>
            {goods.length === 0 ? (
              <p>No material: scraping, sanding or a check.</p>
            ) : (
              <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
                {goods.map(({ good, amount }) => (
                  <li key={good}>
                    {GOOD_WORDS[good].name} <b>{carriedWords(good, amount * (1 + of[good].waste), unit)}</b>{' '}
                    <span className="text-sm text-muted">
                      ({packsOf((amount * (1 + of[good].waste)) / of[good].pack, GOOD_WORDS[good].pack)})
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

const carriedWords = (good: Good, amount: number, unit: LengthUnit): string =>
  isTape(good) ? roughLength(amount, unit) : mudVolumeWords(amount, unit);

/** Parts of a pack, to the quarter, as one carries it: ½ pail, 1¼ pails. */
function packsOf(packs: number, pack: string): string {
  const quarters = Math.max(1, Math.ceil(packs * 4 - 1e-9));
  const [whole, part] = [Math.floor(quarters / 4), ['', '¼', '½', '¾'][quarters % 4] ?? ''];
  return `${whole > 0 ? whole : ''}${part} ${quarters > 4 ? `${pack}s` : pack}`;
}
