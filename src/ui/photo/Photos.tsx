'use client';

import { useEffect, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { unsentPhoto } from '@/client/outbox/deviceStore';
import { Dialog } from '../Dialog';

/** Photos small, in a row; a press shows one large. */
export function Photos({ ids, words }: { readonly ids: readonly string[]; readonly words: string }) {
  const { id: house } = useHouse();
  const [large, setLarge] = useState<string>();
  if (ids.length === 0) return null;
  return (
    <>
      <ul className="flex flex-wrap gap-2">
        {ids.map((id, index) => (
          <li key={id}>
            <button
              type="button"
              className="block overflow-hidden rounded-lg border border-base-300"
              onClick={() => setLarge(id)}
            >
              <Photo house={house} id={id} words={`photo ${index + 1} of ${words}`} className="h-20 min-w-16" />
            </button>
          </li>
        ))}
      </ul>
      {large && (
        <Dialog title={words} close={() => setLarge(undefined)} className="max-w-4xl">
          <Photo house={house} id={large} words={words} className="mx-auto max-h-[70dvh]" />
          <form method="dialog" className="modal-action">
            <button type="submit" className="btn">
              Close
            </button>
          </form>
        </Dialog>
      )}
    </>
  );
}

/** A photo of the server's; without it, as it waits on this device. */
function Photo({
  house,
  id,
  words,
  className,
}: {
  readonly house: string;
  readonly id: string;
  readonly words: string;
  readonly className: string;
}) {
  const [lost, setLost] = useState(false);
  const [own, setOwn] = useState<string>();
  useEffect(() => {
    if (!lost) return;
    let url: string | undefined;
    let gone = false;
    unsentPhoto(id)
      .then((bytes) => {
        if (!bytes || gone) return;
        url = URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' }));
        setOwn(url);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [id, lost]);
  if (lost && !own) return <span className={`grid place-items-center p-2 text-xs ${className}`}>no connection</span>;
  return (
    // biome-ignore lint/performance/noImgElement: it is small already
    <img
      src={own ?? `/api/photos/${house}/${id}`}
      alt={words}
      loading="lazy"
      className={className}
      onError={() => setLost(true)}
    />
  );
}
