'use client';

import { useEffectEvent, useLayoutEffect } from 'react';
import { isTyping } from './isTyping';

/**
 * Calls back for single-key commands, wherever the focus is but in a field or a dialog. The callback sees what was shown
 * when the key was pressed.
 *
 * @param keys the keys that are listened to, as in `KeyboardEvent.key`
 */
export function useKey(keys: string, onKey: (key: string) => void): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.key.length !== 1 || !keys.includes(event.key) || isTyping(event)) return;
    event.preventDefault();
    onKey(event.key);
  });
  // With what is drawn, not after it: a key may be pressed in the moment in which a page stands.
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
