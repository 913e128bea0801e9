'use client';

import { type KeyboardEvent, type RefObject, useEffect, useState } from 'react';
import type { PageBox } from './unroll';

const CLOSEST = 12;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** What a key zooms by; 0 shows the whole drawing again. */
const FACTORS: Readonly<Record<string, number>> = { '+': 1.4, '=': 1.4, '-': 1 / 1.4, '0': 0 };

/** A drawing that can be zoomed and moved: by wheel or pinch, by dragging, and by keys. */
export interface PanZoom {
  readonly viewBox: string;
  /** How many times closer than the whole drawing. */
  readonly scale: number;
  readonly zoom: (factor: number) => void;
  readonly fit: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  /** For `PanZoomGestures`: by what was dragged, px, and by so much at a place of the window. */
  readonly drag: (dx: number, dy: number) => void;
  readonly zoomAt: (factor: number, at: readonly [number, number]) => void;
}

interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

/**
 * @param svg the drawing; the whole of it shows `box`
 */
export function usePanZoom(svg: RefObject<SVGSVGElement | null>, box: PageBox): PanZoom {
  const middle = { scale: 1, x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const [view, setView] = useState<View>(middle);
  const shape = `${Math.round(box.x)} ${Math.round(box.y)} ${Math.round(box.width)} ${Math.round(box.height)}`;
  // Another room, or other sizes, are shown whole.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the box's numbers decide, not the object
  useEffect(() => setView(middle), [shape]);

  const mmPerPixel = (scale: number) => {
    const { clientWidth = 1, clientHeight = 1 } = svg.current ?? {};
    return Math.max(box.width / clientWidth, box.height / clientHeight) / scale;
  };
  const zoomAt = (factor: number, at?: readonly [number, number]) =>
    setView((now) => {
      const scale = Math.min(CLOSEST, Math.max(1, now.scale * factor));
      const rect = svg.current?.getBoundingClientRect();
      if (!at || !rect || scale === 1) return scale === 1 ? middle : { ...now, scale };
      // The point under the pointer stays there.
      const shift = mmPerPixel(now.scale) - mmPerPixel(scale);
      const [dx, dy] = [at[0] - rect.left - rect.width / 2, at[1] - rect.top - rect.height / 2];
      return { scale, x: now.x + dx * shift, y: now.y + dy * shift };
    });
  const move = (dx: number, dy: number) => setView((now) => ({ ...now, x: now.x + dx, y: now.y + dy }));

  const onKeyDown = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    const factor = FACTORS[event.key];
    if (arrow ? view.scale === 1 : factor === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const step = (box.width / view.scale) * 0.1;
    if (arrow) move(arrow[0] * step, arrow[1] * step);
    else if (factor) zoomAt(factor);
    else setView(middle);
  };

  const [width, height] = [box.width / view.scale, box.height / view.scale];
  return {
    viewBox: `${view.x - width / 2} ${view.y - height / 2} ${width} ${height}`,
    scale: view.scale,
    zoom: (factor) => zoomAt(factor),
    fit: () => setView(middle),
    onKeyDown,
    drag: (dx, dy) => {
      if (view.scale > 1) move(-dx * mmPerPixel(view.scale), -dy * mmPerPixel(view.scale));
    },
    zoomAt,
  };
}
