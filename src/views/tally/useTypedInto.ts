'use client';

import { type RefObject, useEffect } from 'react';
import { isTyping } from '@/ui/isTyping';

/** Keys that are commands even while a new room waits for its line. */
const COMMANDS = '/?';

/**
 * Sends what is typed on the page into a field: somebody who types a room blind ends on no other page. Escape in the field gives the
 * keys back to the page, until the field is used again.
 */
export function useTypedInto(field: RefObject<HTMLTextAreaElement | null>, isOn: boolean): void {
  useEffect(() => {
    if (!isOn) return;
    let isLeft = false;
    const onFocus = (event: FocusEvent) => {
      if (event.target === field.current) isLeft = false;
    };
    const onKey = (event: KeyboardEvent) => {
      if (event.target === field.current) {
        if (event.key === 'Escape') isLeft = true;
        return;
      }
      if (isLeft || event.target !== document.body || event.key.length !== 1) return;
      if (isTyping(event) || COMMANDS.includes(event.key) || event.key === ' ') return;
      // The character itself goes where the focus is by then.
      field.current?.focus();
      event.stopImmediatePropagation();
    };
    window.addEventListener('focusin', onFocus);
    window.addEventListener('keydown', onKey, true);
    return () => {
      window.removeEventListener('focusin', onFocus);
      window.removeEventListener('keydown', onKey, true);
    };
  }, [field, isOn]);
}
