'use client';

import { useEffect, useEffectEvent } from 'react';
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
  useEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
