'use client';

import { Suspense, useState } from 'react';
import type { Point } from '@/core/measure/vector';
import { Opening } from '@/ui/Opening';
import { ProblemDialog } from '@/ui/problem/lazyDialog';
import { DrawnRoom } from '@/ui/room/DrawnRoom';
import { LaidRoom } from '@/ui/room/LaidRoom';
import { PieceLines } from '@/ui/room/PieceLines';
import { Pin, type PlaceInRoom, placeAt } from '@/ui/room/PlaceChooser';
import { onPage } from '@/ui/room/pagePlace';
import type { PieceMap } from '@/ui/room/pieceMap';
import type { LightRow } from './sandRows';

/**
 * The room laid flat for the lamp: its faces numbered as they are walked, those that are good, and what is open; a tap says that
 * something is wrong there.
 */
export function LightPicture(props: LightPictureProps) {
  return <DrawnRoom room={props.room.id} draw={(map) => <Lit map={map} {...props} />} />;
}

interface LightPictureProps {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  readonly rows: readonly LightRow[];
}

function Lit({ map, now, room, rows }: LightPictureProps & { readonly map: PieceMap }) {
  const [tapped, setTapped] = useState<PlaceInRoom>();
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
            <PieceLines pieces={map.pieces} />
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
