'use client';

import { Camera, X } from 'lucide-react';
import { useEffect, useId, useMemo, useState } from 'react';
import type { UnsentPhoto } from '@/client/outbox/deviceStore';
import { shrinkPhoto } from '@/client/photo/shrinkPhoto';
import { MOST_PHOTOS } from '@/core/log/choices';
import { plural } from '@/words/plural';

/** Photos that are taken or chosen, and made small here. */
export function PhotoField({
  photos,
  onChange,
  label = 'Photo',
}: {
  readonly photos: readonly UnsentPhoto[];
  readonly onChange: (photos: readonly UnsentPhoto[]) => void;
  readonly label?: string;
}) {
  const id = useId();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const take = async (files: readonly File[]) => {
    setBusy(true);
    setTrouble(undefined);
    const taken = [...photos];
    for (const file of files) {
      if (taken.length === MOST_PHOTOS) {
        setTrouble(`At most ${plural(MOST_PHOTOS, 'photo')} at once.`);
        break;
      }
      const shrunk = await shrinkPhoto(file);
      if (shrunk.ok) taken.push({ id: crypto.randomUUID(), bytes: shrunk.bytes });
      else setTrouble(`${file.name} ${shrunk.reason}.`);
    }
    setBusy(false);
    onChange(taken);
  };
  return (
    <div>
      <label htmlFor={id} className="btn btn-lg has-focus-visible:outline-3">
        <Camera className="size-5" aria-hidden="true" />
        {busy ? 'Making it small …' : label}
        <input
          id={id}
          type="file"
          accept="image/*"
          multiple
          className="sr-only"
          disabled={busy}
          onChange={(event) => {
            void take([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </label>
      {trouble && (
        <p role="alert" className="mt-1 text-error">
          {trouble}
        </p>
      )}
      {photos.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-2">
          {photos.map((photo, index) => (
            <li key={photo.id} className="relative">
              <OwnPhoto photo={photo} words={`photo ${index + 1}`} />
              <button
                type="button"
                className="btn btn-circle absolute top-1 right-1"
                aria-label={`Take photo ${index + 1} away`}
                onClick={() => onChange(photos.filter((other) => other !== photo))}
              >
                <X className="size-5" aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function OwnPhoto({ photo, words }: { readonly photo: UnsentPhoto; readonly words: string }) {
  const url = useMemo(() => URL.createObjectURL(new Blob([photo.bytes], { type: 'image/jpeg' })), [photo]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  // biome-ignore lint/performance/noImgElement: it is nowhere but here
  return <img src={url} alt={words} className="h-28 rounded-lg" />;
}
