'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useKey } from '@/ui/useKey';
import { SERVER_LOST } from '@/ui/useSubmit';
import type { RoomActions } from './RoomTools';

/** A room was just removed: one press, or `u`, brings it back. */
export function RemovedNotice({
  houseId,
  room,
  restoreRoom,
}: Pick<RoomActions, 'restoreRoom'> & { readonly houseId: string; readonly room: string }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  async function restore(): Promise<void> {
    if (busy) return;
    setBusy(true);
    try {
      const answer = await restoreRoom({ house: houseId, room });
      if (answer.ok) return router.replace(`/h/${houseId}/tally?room=${room}`);
      setError(answer.message);
    } catch {
      setError(SERVER_LOST);
    } finally {
      setBusy(false);
    }
  }
  useKey('u', () => void restore());
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 rounded-xl bg-base-200 p-3">
      {error ?? 'The room is removed; what was logged in it is kept.'}
      <button type="button" className="btn btn-sm" onClick={() => void restore()} disabled={busy}>
        Bring it back <span className="kbd kbd-sm">u</span>
      </button>
    </p>
  );
}
