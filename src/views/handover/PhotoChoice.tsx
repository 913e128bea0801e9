'use client';

import { useHouse } from '@/client/HouseContext';
import { useLog } from '@/client/useLog';

/** A photo of a room with what it shows. */
export interface RoomPhoto {
  readonly id: string;
  readonly words: string;
}

/** Which photos of a room go into its hand-over; those that do not are not printed. */
export function PhotoChoice({
  now,
  room,
  photos,
  shown,
  mayChoose,
}: {
  readonly now: number;
  readonly room: string;
  readonly photos: readonly RoomPhoto[];
  readonly shown: readonly string[];
  readonly mayChoose: boolean;
}) {
  const { id: house } = useHouse();
  const log = useLog(now);
  const seen = mayChoose ? photos : photos.filter(({ id }) => shown.includes(id));
  if (seen.length === 0) return null;
  const turn = (id: string) => {
    const chosen = shown.includes(id) ? shown.filter((other) => other !== id) : [...shown, id];
    void log.write([{ kind: 'shown', room, payload: { photos: chosen } }]);
  };
  return (
    <section className="space-y-2">
      <h2>Photos</h2>
      {mayChoose && <p className="no-print text-sm text-muted">Selected photos go into the hand-over.</p>}
      <ul className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        {seen.map(({ id, words }) => {
          const goesAlong = shown.includes(id);
          return (
            <li key={id} className={goesAlong ? '' : 'opacity-60 print:hidden'}>
              <figure className="space-y-1">
                {/* biome-ignore lint/performance/noImgElement: it is small already */}
                <img
                  src={`/api/photos/${house}/${id}`}
                  alt={words}
                  loading="lazy"
                  className="h-40 w-full rounded-lg object-cover"
                />
                <figcaption className="text-sm first-letter:uppercase">{words}</figcaption>
              </figure>
              {mayChoose && (
                <label className="no-print flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox"
                    checked={goesAlong}
                    disabled={log.busy}
                    onChange={() => turn(id)}
                  />
                  Hand over
                </label>
              )}
            </li>
          );
        })}
      </ul>
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </section>
  );
}
