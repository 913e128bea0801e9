'use client';

import { useGesture } from '@use-gesture/react';
import { type KeyboardEvent, useRef, useState } from 'react';
import { fromMm, type LengthUnit } from '@/core/measure/unit';
import type { Point } from '@/core/measure/vector';
import type { Room } from '@/core/room/schema';
import { floorPlanOutlines, type PlacedOutline } from '@/ui/room/floorPlanOutlines';
import { boxAround } from '@/ui/room/pagePlace';
import { snapStep } from './snapRoom';

/** One press of an arrow moves a room so far; mm. */
/** What a press of an arrow moves a room by, and how many times that with Shift. */
const NUDGE: Readonly<Record<LengthUnit, { readonly mm: number; readonly far: number }>> = {
  in: { mm: 25.4, far: 12 },
  mm: { mm: 10, far: 10 },
};

interface PlanRoom {
  readonly id: string;
  readonly room: Room;
}

/** The plan of a floor: rooms are dragged to their place and snap to their neighbours' walls; arrows move them too. */
export function FloorPlan({
  floor,
  rooms,
  opened,
  unit,
  onPlace,
}: {
  readonly floor: string;
  readonly rooms: readonly PlanRoom[];
  readonly opened: string | undefined;
  readonly unit: LengthUnit;
  readonly onPlace: (room: string, at: [number, number]) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<{ readonly id: string; readonly step: Point }>();
  const placed = floorPlanOutlines(rooms, unit);
  const box = boxAround(placed.flatMap(({ points }) => points));
  const margin = Math.max(box.x1 - box.x0, box.y1 - box.y0) * 0.06;
  const [width, height] = [box.x1 - box.x0 + 2 * margin, box.y1 - box.y0 + 2 * margin];
  const text = Math.max(width, height) / 36;

  const stepOf = ({ item, points }: PlacedOutline<PlanRoom>): Point => {
    if (drag?.id !== item.id) return [0, 0];
    const dropped = points.map(([x, y]): Point => [x + drag.step[0], y + drag.step[1]]);
    const others = placed.filter((other) => other.item.id !== item.id).map((other) => other.points);
    const [sx, sy] = snapStep(dropped, others);
    return [drag.step[0] + sx, drag.step[1] + sy];
  };
  const place = ({ item, shift }: PlacedOutline<PlanRoom>, [dx, dy]: Point) =>
    onPlace(item.id, [fromMm(shift[0] + dx, unit), fromMm(shift[1] + dy, unit)]);

  const bind = useGesture({
    onDrag: ({ args: [outline], movement: [mx, my], last, tap }) => {
      const target: PlacedOutline<PlanRoom> = outline;
      const rect = svg.current?.getBoundingClientRect();
      if (tap || !rect) return;
      const scale = Math.max(width / rect.width, height / rect.height);
      const step: Point = [mx * scale, my * scale];
      setDrag(last ? undefined : { id: target.item.id, step });
      if (last) place(target, stepOf(target));
    },
  });
  const onKeyDown = (outline: PlacedOutline<PlanRoom>) => (event: KeyboardEvent) => {
    const steps: Readonly<Record<string, Point>> = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] };
    const step = steps[event.key.replace('Arrow', '').toLowerCase()];
    if (!step) return;
    event.preventDefault();
    const far = event.shiftKey ? NUDGE[unit].far : 1;
    place(outline, [step[0] * NUDGE[unit].mm * far, step[1] * NUDGE[unit].mm * far]);
  };

  return (
    <figure className="flex min-h-96 flex-1 flex-col">
      <figcaption className="flex flex-wrap justify-between gap-2 text-sm text-muted">
        <span className="font-semibold text-base-content">{floor}</span>
        Drag a room to its place; it snaps to its neighbours. Arrows move it by{' '}
        {unit === 'in' ? 'an inch, with Shift by a foot' : 'a centimetre, with Shift by ten'}.
      </figcaption>
      <svg
        ref={svg}
        viewBox={`${box.x0 - margin} ${box.y0 - margin} ${width} ${height}`}
        className="min-h-96 w-full flex-1"
      >
        <title>Floor plan of {floor}</title>
        {placed.map((outline) => {
          const { item, points } = outline;
          const [dx, dy] = stepOf(outline);
          const around = boxAround(points);
          return (
            // biome-ignore lint/a11y/useSemanticElements: no HTML element stands in a drawing
            <g
              key={item.id}
              {...bind(outline)}
              transform={`translate(${dx} ${dy})`}
              role="button"
              tabIndex={0}
              aria-label={`Place of ${item.room.name}`}
              onKeyDown={onKeyDown(outline)}
              className="cursor-move touch-none"
            >
              <polygon
                points={points.join(' ')}
                className={`${item.id === opened ? 'fill-board' : 'fill-sheet'} stroke-base-content`}
                strokeWidth={1.5}
                strokeDasharray={item.room.at ? undefined : '6 5'}
                vectorEffect="non-scaling-stroke"
              />
              <text
                x={(around.x0 + around.x1) / 2}
                y={(around.y0 + around.y1) / 2}
                fontSize={Math.min(text, ((around.x1 - around.x0) / item.room.name.length) * 1.7)}
                textAnchor="middle"
                dominantBaseline="middle"
                className="pointer-events-none fill-base-content"
              >
                {item.room.name}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
