'use client';

import { Suspense, useState } from 'react';
import type { Point } from '@/core/measure/vector';
import { Opening } from '@/ui/Opening';
import { ProblemDialog } from '@/ui/problem/lazyDialog';
import { LaidRoom } from '@/ui/room/LaidRoom';
import { Pin, type PlaceInRoom, placeAt } from '@/ui/room/PlaceChooser';
import { onPage } from '@/ui/room/pagePlace';
import { usePieceMap } from '@/ui/room/usePieceMap';
import type { LightRow } from './sandRows';

/** The room laid flat for the lamp: its faces numbered as they are walked, those that are good, and what is open; a tap says that something is wrong there. */
export function LightPicture({
  now,
  room,
  rows,
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  readonly rows: readonly LightRow[];
}) {
  const { map, trouble } = usePieceMap(room.id);
  const [tapped, setTapped] = useState<PlaceInRoom>();
  if (trouble)
    return (
      <p role="alert" className="text-error">
        {trouble}
      </p>
    );
  if (!map) return <p role="status">Drawing the room …</p>;
  const numbers = new Map(rows.map((row, index) => [row.id, { row, number: index + 1 }]));
  const pins = map.faces.flatMap(({ face: { id }, place }) =>
    (numbers.get(id)?.row.open ?? []).flatMap((item): readonly Point[] =>
      item.place ? [onPage(place, item.place)] : [],
    ),
  );
  return (
    <>
      <LaidRoom
        map={map}
        title={`${room.name} laid flat, its faces numbered as the lamp goes: tap what shows`}
        className="h-[38dvh] cursor-crosshair sm:h-[46dvh]"
        onPoint={(point) => setTapped(placeAt(map, point))}
        draw={(text) => (
          <>
            {map.pieces.map(({ id, from, to }) => (
              <line
                key={`${id} ${from.join(' ')}`}
                x1={from[0]}
                y1={from[1]}
                x2={to[0]}
                y2={to[1]}
                className="stroke-muted"
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {map.faces.map(({ face: { id }, label: [x, y] }) => {
              const own = numbers.get(id);
              return (
                own && (
                  <FaceMark
                    key={id}
                    at={[x, y + text * 1.5]}
                    size={text}
                    number={own.number}
                    isGood={own.row.signed !== undefined}
                  />
                )
              );
            })}
            {pins.map((at) => (
              <Pin key={at.join(' ')} at={at} size={text * 0.8} />
            ))}
          </>
        )}
      >
        <p className="text-sm text-muted">Tap what shows. ✓ is good, a ring is open.</p>
      </LaidRoom>
      {tapped && (
        <Suspense fallback={<Opening />}>
          <ProblemDialog now={now} room={room} at={tapped} early={false} close={() => setTapped(undefined)} />
        </Suspense>
      )}
    </>
  );
}

/** When a face is walked, or that it is good. */
function FaceMark({
  at: [x, y],
  size,
  number,
  isGood,
}: {
  readonly at: Point;
  readonly size: number;
  readonly number: number;
  readonly isGood: boolean;
}) {
  return (
    <g className="pointer-events-none">
      <circle
        cx={x}
        cy={y}
        r={size * 0.85}
        className={isGood ? 'fill-success' : 'fill-sheet stroke-base-content'}
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      <text
        x={x}
        y={y}
        fontSize={size}
        fontWeight={700}
        textAnchor="middle"
        dominantBaseline="central"
        className={isGood ? 'fill-success-content' : 'fill-base-content'}
      >
        {isGood ? '✓' : number}
      </text>
    </g>
  );
}
