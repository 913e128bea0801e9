/** Whether a key press belongs to a field or a command of the browser, so that single-letter keys leave it alone. */
export function isTyping(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  return (
    event.target instanceof HTMLElement &&
    event.target.closest('input, textarea, select, [contenteditable], dialog') !== null
  );
}
