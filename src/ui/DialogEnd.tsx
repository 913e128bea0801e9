/** How a dialog ends: what it is for is done, or nothing is. */
export function DialogEnd({
  words,
  disabled = false,
  go,
  close,
}: {
  readonly words: string;
  readonly disabled?: boolean;
  readonly go: () => void;
  readonly close: () => void;
}) {
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="btn btn-primary" disabled={disabled} onClick={go}>
        {words}
      </button>
      <button type="button" className="btn" onClick={close}>
        Cancel
      </button>
    </div>
  );
}
