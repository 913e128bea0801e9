'use client';

import { useRouter } from 'next/navigation';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { useKey } from '@/ui/useKey';

/** A room was just removed: one press, or `u`, brings it back. */
export function RemovedNotice({ room }: { readonly room: string }) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const { run, busy, message } = useCommand();
  async function restore(): Promise<void> {
    const done = await run('restoreRoom', { house: houseId, room });
    if (done !== undefined) router.replace(`/h/${houseId}/tally?room=${room}`);
  }
  useKey('u', () => void restore());
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 rounded-xl bg-base-200 p-3">
      {message ?? 'Room removed. Its record is kept.'}
      <button type="button" className="btn btn-sm" onClick={() => void restore()} disabled={busy}>
        Undo <span className="kbd kbd-sm">u</span>
      </button>
    </p>
  );
}
