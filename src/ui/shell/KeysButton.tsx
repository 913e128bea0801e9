'use client';

import { useRef } from 'react';
import { useKey } from '../useKey';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 9', 'open a station'],
  ['/', 'go to the quick line (Tally)'],
  ['n', 'new room (Tally)'],
  ['Enter', 'keep the room (in the quick line)'],
  ['u', 'take back the last entry (Coat board)'],
  ['?', 'these keys and the quick line’s grammar'],
];

const GRAMMAR: readonly (readonly [string, string])[] = [
  ["Pantry 7'6 x 5' x 8'", 'name, then length x width x height; a colon may end the name'],
  ['door 28x80 wall 2', 'door, window or opening with its width x height; walls count from 1, clockwise'],
  ['@36', 'the sill, above the floor; a window without one has its head at 80 in'],
  ["at 3'", 'from the wall’s left end, seen from inside; without it, the middle'],
  ['bead', 'a boarded return with corner bead; else casing, or open where the next room owns the edges'],
  ['depth 5', 'how deep the boarded return is; 6 in unless said'],
  ['level 5', 'the level of finish of this room'],
  ['on Upper floor', 'the floor it is on'],
  ['ceiling along', 'boards along wall 1, or across, auto; or open for no ceiling'],
  ['walls upright', 'boards plumb; else across'],
];

/** The keys and the quick line's grammar, on a button and on `?`. */
export function KeysButton() {
  const dialog = useRef<HTMLDialogElement>(null);
  useKey('?', () => dialog.current?.showModal());
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-square hidden sm:inline-flex"
        aria-label="Keys and grammar"
        onClick={() => dialog.current?.showModal()}
      >
        <span aria-hidden="true" className="text-lg font-semibold">
          ?
        </span>
      </button>
      <dialog ref={dialog} className="modal" aria-labelledby="keys-title">
        <div className="modal-box max-w-2xl space-y-4">
          <h2 id="keys-title">Keys</h2>
          <Rows rows={KEYS} />
          <h2>The quick line</h2>
          <p className="text-muted">One line makes a room; parts after the sizes are set apart by commas.</p>
          <Rows rows={GRAMMAR} />
          <p className="text-sm text-muted">
            Lengths: 12'4 1/2" · 12-4.5 · 148.5 · 12.375' · 3766 mm · 3.766m. A bare number is in the house’s unit.
          </p>
          <form method="dialog" className="modal-action">
            <button type="submit" className="btn btn-primary">
              Close
            </button>
          </form>
        </div>
        <form method="dialog" className="modal-backdrop">
          <button type="submit" tabIndex={-1}>
            Close
          </button>
        </form>
      </dialog>
    </>
  );
}

function Rows({ rows }: { readonly rows: readonly (readonly [string, string])[] }) {
  return (
    <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1.5 text-sm">
      {rows.map(([term, words]) => (
        <div key={term} className="contents">
          <dt>
            <kbd className="kbd kbd-sm">{term}</kbd>
          </dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}
