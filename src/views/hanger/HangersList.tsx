import { addDifferences, type HungDifference } from '@/core/estimate/hungDifference';
import { type HangersRoom, hangersRoom } from '@/core/inspect/hangersList';
import { placesIn } from '@/core/room/ids';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import { Sign } from '@/ui/Sign';
import { DEFECT_WORDS, itemWords } from '@/words/defectWords';
import { faceWords } from '@/words/faceWords';
import { hungRows, hungSumWords } from '@/words/hungWords';
import { lengthWords } from '@/words/lengthWords';
import { plural } from '@/words/plural';
import { instantWords } from '@/words/when';

const NOTHING_TO_MEND: HangersRoom = { items: [], counts: [], gaps: 0, held: [] };

/** What the hanger has to mend before the tape, room by room, with a line to sign on. */
export function HangersList({
  snapshot: { house, rooms },
  otherwise,
  photos,
  now,
  timeZone,
}: {
  readonly snapshot: Pick<HouseSnapshot, 'house' | 'rooms'>;
  /** What rooms take more than planned because their boards hang otherwise, by room. */
  readonly otherwise: ReadonlyMap<string, HungDifference>;
  /** Under which address its photos are. */
  readonly photos: string;
  readonly now: number;
  readonly timeZone: string;
}) {
  const listed = rooms.flatMap((room) => {
    const own = hangersRoom(room);
    const differs = otherwise.get(room.room.id);
    return own || differs ? [{ room: room.room, own: own ?? NOTHING_TO_MEND, differs }] : [];
  });
  const count = listed.reduce((sum, { own }) => sum + own.items.length, 0);
  const all = addDifferences(listed.flatMap(({ differs }) => differs ?? []));
  const gaps = listed.reduce((sum, { own }) => sum + own.gaps, 0);
  return (
    <article className="sheet space-y-5 p-6 print:border-0 print:p-0" aria-label="The hanger’s list">
      <header className="flex items-start justify-between gap-4 border-b-2 border-secondary pb-3">
        <div>
          <p className="text-muted">Before tape, for the hanger</p>
          <h1 className="text-3xl">{house.name}</h1>
          <p className="text-muted">
            {count === 0 ? 'nothing to mend' : `${plural(count, 'thing')} to mend in ${plural(listed.length, 'room')}`}
            {gaps > 0 ? `, ${lengthWords(gaps, house.unit)} of gaps` : ''}; as of {instantWords(now, timeZone)}
          </p>
          {all.classes.length > 0 && (
            <p>Hung otherwise than planned: {hungSumWords(all, house.unit)} for the finishers.</p>
          )}
        </div>
        <Sign className="size-12" />
      </header>
      {listed.length === 0 && <p>Nothing is on hold, and the hanging has no open problems.</p>}
      {listed.map(({ room, own, differs }) => {
        const place = placesIn(room);
        return (
          <section key={room.id} className="break-inside-avoid space-y-2" aria-label={room.name}>
            <h2>{room.name}</h2>
            {own !== NOTHING_TO_MEND && (
              <p className="text-sm">
                {[
                  ...own.counts.map(
                    ({ defect, count: times }) =>
                      `${times} × ${defect ? DEFECT_WORDS[defect].name.toLowerCase() : 'said in words'}`,
                  ),
                  ...(own.gaps > 0 ? [`${lengthWords(own.gaps, house.unit)} of gaps`] : []),
                  ...(own.held.length > 0
                    ? [`held until mended: ${own.held.map((face) => faceWords(place(face))).join(', ')}`]
                    : []),
                ].join('; ')}
                .
              </p>
            )}
            {differs && (
              <p className="text-sm">
                Hung otherwise than planned on{' '}
                {Object.keys(room.hung ?? {})
                  .map((face) => faceWords(place(face)))
                  .join(', ')}
                :{' '}
                {hungRows(differs, house.unit)
                  .map(({ name, words }) => `${name.toLowerCase()} ${words}`)
                  .join('; ')}
                . {hungSumWords(differs, house.unit)}.
              </p>
            )}
            <ul className="divide-y divide-base-300">
              {own.items.map((item) => (
                <li key={item.id} className="flex flex-wrap items-start gap-4 py-2">
                  <span aria-hidden className="mt-1 size-4 shrink-0 border border-base-content" />
                  <span className="flex-1">
                    {itemWords(item, room, house.unit)}
                    {item.defect && <span className="block text-sm text-muted">{DEFECT_WORDS[item.defect].mend}</span>}
                  </span>
                  {item.photos.map((id, index) => (
                    // biome-ignore lint/performance/noImgElement: it is small already
                    <img
                      key={id}
                      src={`${photos}/${id}`}
                      alt={`${itemWords(item, room, house.unit)}, ${index + 1} of ${item.photos.length}`}
                      className="h-28 rounded-lg border border-base-300"
                    />
                  ))}
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {listed.length > 0 && (
        <footer className="grid gap-6 pt-6 sm:grid-cols-2">
          {['Mended, the hanger', 'Seen, the lead'].map((who) => (
            <p key={who} className="border-t border-base-content pt-1 text-sm">
              {who}, date
            </p>
          ))}
        </footer>
      )}
    </article>
  );
}
