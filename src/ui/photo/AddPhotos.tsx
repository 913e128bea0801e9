'use client';

import { useState } from 'react';
import type { UnsentPhoto } from '@/client/outbox/deviceStore';
import { type Said, useLog } from '@/client/useLog';
import { plural } from '@/words/plural';
import { PhotoField } from './PhotoField';

/** Keeps photos of a room as it is now. */
export function AddPhotos({
  now,
  room,
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
}) {
  const log = useLog(now);
  const [photos, setPhotos] = useState<readonly UnsentPhoto[]>([]);
  const keep = async () => {
    const said: Said = { kind: 'pictured', room: room.id, payload: { photos: photos.map(({ id }) => id) } };
    if (await log.write([said], { photos })) setPhotos([]);
  };
  return (
    <div className="space-y-2">
      <PhotoField label={`Photo of ${room.name}`} photos={photos} onChange={setPhotos} />
      {photos.length > 0 && (
        <button type="button" className="btn btn-primary btn-lg" disabled={log.busy} onClick={() => void keep()}>
          Save {plural(photos.length, 'photo')}
        </button>
      )}
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
