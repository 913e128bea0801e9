'use client';

import { type RefObject, useEffect, useRef } from 'react';
import { listenToLaser } from '@/client/liveMarks';
import type { LengthUnit } from '@/core/measure/unit';
import { focusedLengthField, typedReading, typeInto } from './lengthField';

/**
 * Gives what one's laser measure reads to the field for a length that one is in, on the tab that one is on; else to whoever asks.
 *
 * @returns who asks: a function of mm is put there and taken away
 */
export function useLaser(unit: LengthUnit): RefObject<((mm: number) => void) | undefined> {
  const asks = useRef<(mm: number) => void>(undefined);
  useEffect(
    () =>
      listenToLaser((mm) => {
        if (!document.hasFocus()) return;
        const field = focusedLengthField();
        if (field) typeInto(field, typedReading(mm, unit));
        else asks.current?.(mm);
      }),
    [unit],
  );
  return asks;
}
