/**
 * Whether a key press belongs to a field, an open dialog or a command of the browser, so that single-letter keys leave it alone.
 *
 * A dialog that was just closed may hold the focus for a frame; it takes no keys any more.
 */
export function isTyping(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  return (
    event.target instanceof HTMLElement &&
    event.target.closest('input, textarea, select, [contenteditable], dialog[open]') !== null
  );
}
