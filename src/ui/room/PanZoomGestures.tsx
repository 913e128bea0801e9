import { useGesture } from '@use-gesture/react';
import type { RefObject } from 'react';
import type { PanZoom } from './usePanZoom';

/** Moves and zooms a drawing by wheel, pinch and drag; shows nothing of its own. */
export function PanZoomGestures({
  svg,
  panZoom: { scale, drag, zoomAt },
}: {
  readonly svg: RefObject<SVGSVGElement | null>;
  readonly panZoom: PanZoom;
}) {
  useGesture(
    {
      onDrag: ({ delta: [dx, dy], pinching, cancel }) => {
        if (pinching) return cancel();
        drag(dx, dy);
      },
      onWheel: ({ event, delta: [, dy] }) => {
        // The page scrolls as ever until somebody asks for the drawing.
        if (!event.ctrlKey && !event.metaKey && scale === 1) return;
        event.preventDefault();
        zoomAt(Math.exp(-dy / 400), [event.clientX, event.clientY]);
      },
      onPinch: ({ delta: [factor], origin, first }) => {
        if (!first) zoomAt(1 + factor, origin);
      },
    },
    { target: svg, eventOptions: { passive: false }, drag: { filterTaps: true } },
  );
  return null;
}
