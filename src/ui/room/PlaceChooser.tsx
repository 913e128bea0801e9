'use client';

import { useRef } from 'react';
import { isInside } from '@/core/measure/chords';
import { distanceToStep } from '@/core/measure/polygon';
import type { Point } from '@/core/measure/vector';
import { SelectField } from '../SelectField';
import { Label, LaidFaceDrawing } from './LaidFaceDrawing';
import { clearance, offPage, onPage } from './pagePlace';
import type { MappedPiece, PieceMap } from './pieceMap';
import { usePanZoom } from './usePanZoom';
import { usePieceMap } from './usePieceMap';
import { ZoomButtons } from './ZoomButtons';

/** A place in a room: its face, where on it (mm in its own coordinates), and the piece that lies there. */
export interface PlaceInRoom {
  readonly face: string;
  readonly place?: readonly [number, number];
  readonly piece?: Pick<MappedPiece, 'id' | 'class'>;
}

/** So near to a joint a finger means it; mm. */
const NEAR_MM = 250;

/** The room laid flat, on which a place is tapped; a face can be chosen by its name too. */
export function PlaceChooser({
  room,
  chosen,
  onChange,
}: {
  readonly room: string;
  readonly chosen: PlaceInRoom | undefined;
  readonly onChange: (place: PlaceInRoom | undefined) => void;
}) {
  const { map, trouble } = usePieceMap(room);
  if (trouble)
    return (
      <p role="alert" className="text-error">
        {trouble}
      </p>
    );
  if (!map) return <p role="status">Drawing the room …</p>;
  return <TappedPlace map={map} chosen={chosen} onChange={onChange} />;
}

function TappedPlace({
  map,
  chosen,
  onChange,
}: Omit<Parameters<typeof PlaceChooser>[0], 'room'> & { readonly map: PieceMap }) {
  const svg = useRef<SVGSVGElement>(null);
  const margin = map.text * 1.2;
  const { viewBox, scale, zoom, fit } = usePanZoom(svg, {
    x: map.box.x - margin,
    y: map.box.y - margin,
    width: map.box.width + 2 * margin,
    height: map.box.height + 2 * margin,
  });
  const text = map.text / scale ** 0.7;
  const own = map.faces.find(({ face }) => face.id === chosen?.face);
  const at = own && chosen?.place && onPage(own.place, chosen.place);
  return (
    <div className="space-y-1">
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the faces below it are chosen by keys */}
      <svg
        ref={svg}
        viewBox={viewBox}
        className={`h-[34dvh] w-full cursor-crosshair rounded-2xl bg-base-200 sm:h-[42dvh] ${scale > 1 ? 'touch-none' : 'touch-pan-y'}`}
        onClick={({ clientX, clientY }) => {
          const matrix = svg.current?.getScreenCTM()?.inverse();
          if (!matrix) return;
          const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix);
          const place = placeAt(map, [x, y]);
          if (place) onChange(place);
        }}
      >
        <title>The room laid flat: tap the place</title>
        {map.faces.map((laid) => (
          <LaidFaceDrawing key={laid.face.id} laid={laid} text={text} />
        ))}
        {map.pieces.map(({ id, from, to }) => (
          <line
            key={`${id} ${from.join(' ')}`}
            x1={from[0]}
            y1={from[1]}
            x2={to[0]}
            y2={to[1]}
            className={id === chosen?.piece?.id ? 'stroke-primary' : 'stroke-muted'}
            strokeWidth={id === chosen?.piece?.id ? 5 : 1.2}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {map.faces.map((laid) =>
          laid.clear > text ? <Label key={laid.face.id} at={laid.label} size={text * 0.9} words={laid.words} /> : null,
        )}
        {at && <Pin at={at} size={text} />}
      </svg>
      <div className="flex items-end gap-1">
        <SelectField
          label="Where"
          className="flex-1"
          value={chosen?.face ?? ''}
          onChange={({ target: { value } }) => onChange(value === '' ? undefined : { face: value })}
          options={[['', 'somewhere in the room'], ...map.faces.map(({ face, words }) => [face.id, words] as const)]}
        />
        <ZoomButtons scale={scale} zoom={zoom} fit={fit} />
      </div>
    </div>
  );
}

/** Where something is wrong: a ring with a point in it. */
export function Pin({ at, size }: { readonly at: Point; readonly size: number }) {
  return (
    <g className="pointer-events-none">
      <circle
        cx={at[0]}
        cy={at[1]}
        r={size}
        className="fill-none stroke-error"
        strokeWidth={3}
        vectorEffect="non-scaling-stroke"
      />
      <circle cx={at[0]} cy={at[1]} r={size * 0.28} className="fill-error" />
    </g>
  );
}

/** What lies at a point of the page; a little beside a face it is still that face. */
export function placeAt({ faces, pieces, text }: PieceMap, point: Point): PlaceInRoom | undefined {
  const hit =
    faces.find(({ loops }) => isInside(point, loops)) ??
    faces
      .map((face) => ({ face, far: clearance(face.loops, point) }))
      .filter(({ far }) => far < text)
      .sort((a, b) => a.far - b.far)[0]?.face;
  if (!hit) return undefined;
  const [u, v] = offPage(hit.place, point);
  const [nearest] = pieces
    .filter(({ face }) => face === hit.face.id)
    .map((piece) => ({ piece, far: distanceToStep(point, [piece.from, piece.to]) }))
    .sort((a, b) => a.far - b.far);
  const place = [Math.round(u), Math.round(v)] as const;
  const { id } = hit.face;
  return nearest && nearest.far <= NEAR_MM
    ? { face: id, place, piece: { id: nearest.piece.id, class: nearest.piece.class } }
    : { face: id, place };
}
