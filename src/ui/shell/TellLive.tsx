'use client';

import { useEffect } from 'react';
import './earlyPresses';

/** Tells what keeps early presses that the page has its script. */
export function TellLive() {
  useEffect(() => window.oakLive?.(), []);
  return null;
}
