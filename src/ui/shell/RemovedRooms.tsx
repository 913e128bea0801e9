import { TriangleAlert } from 'lucide-react';
import { listWords } from '@/words/coatWords';

/** Warns that entries arrived after their rooms were removed. */
export function RemovedRooms({ names }: { readonly names: readonly string[] }) {
  if (names.length === 0) return null;
  return (
    <div role="status" className="alert rounded-none border-x-0 text-sm">
      <TriangleAlert aria-hidden="true" className="size-5 text-warning" />
      <span>
        <b>{listWords(names)}</b> {names.length === 1 ? 'was' : 'were'} removed from the house before your log arrived.
        Your log is kept and counts again if a lead restores {names.length === 1 ? 'the room' : 'the rooms'}.
      </span>
    </div>
  );
}
