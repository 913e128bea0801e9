'use client';

import { type Dispatch, type SetStateAction, useRef } from 'react';

/** Points of one stroke, in thousandths of the field's width and height. */
export type Stroke = readonly (readonly [number, number])[];
const MOST_POINTS = 500;

/** Copies the strokes that are more than a dot, as they are sent. */
export const strokesToSend = (strokes: readonly Stroke[]): [number, number][][] =>
  strokes.filter((stroke) => stroke.length > 1).map((stroke) => stroke.map(([x, y]): [number, number] => [x, y]));

/** A field to draw a name in with a finger, a pen or a mouse. */
export function DrawnName({
  strokes,
  setStrokes,
}: {
  readonly strokes: readonly Stroke[];
  readonly setStrokes: Dispatch<SetStateAction<readonly Stroke[]>>;
}) {
  const pad = useRef<SVGSVGElement>(null);
  const pointOf = ({ clientX, clientY }: React.PointerEvent): readonly [number, number] => {
    const box = pad.current?.getBoundingClientRect();
    if (!box) return [0, 0];
    const part = (at: number, from: number, size: number) =>
      Math.round(1000 * Math.min(1, Math.max(0, (at - from) / size)));
    return [part(clientX, box.x, box.width), part(clientY, box.y, box.height)];
  };
  return (
    <svg
      ref={pad}
      viewBox="0 0 1000 1000"
      preserveAspectRatio="none"
      role="img"
      aria-label="Draw the name here"
      className="h-40 w-full max-w-xl cursor-crosshair touch-none rounded-lg border-2 border-dashed border-base-300 bg-base-100"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const point = pointOf(event);
        setStrokes((before) => [...before, [point]]);
      }}
      onPointerMove={(event) => {
        if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
        const point = pointOf(event);
        setStrokes((before) => {
          const last = before.at(-1);
          return last && last.length < MOST_POINTS ? [...before.slice(0, -1), [...last, point]] : before;
        });
      }}
    >
      {strokes.map((stroke, index) => (
        <polyline
          key={index}
          points={stroke.join(' ')}
          className="fill-none stroke-base-content"
          strokeWidth={2.5}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
