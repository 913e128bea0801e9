'use client';

import { isInside } from '@/core/measure/chords';
import { distanceToStep } from '@/core/measure/polygon';
import type { Point } from '@/core/measure/vector';
import { SelectField } from '../SelectField';
import { DrawnRoom } from './DrawnRoom';
import { LaidRoom } from './LaidRoom';
import { PieceLines } from './PieceLines';
import { clearance, offPage, onPage } from './pagePlace';
import type { MappedPiece, PieceMap } from './pieceMap';

/** A place in a room: its face, where on it (mm in its own coordinates), and the piece that lies there. */
export interface PlaceInRoom {
  readonly face: string;
  readonly place?: readonly [number, number];
  readonly piece?: Pick<MappedPiece, 'id' | 'class' | 'width'>;
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
  return <DrawnRoom room={room} draw={(map) => <TappedPlace map={map} chosen={chosen} onChange={onChange} />} />;
}

function TappedPlace({
  map,
  chosen,
  onChange,
}: Omit<Parameters<typeof PlaceChooser>[0], 'room'> & { readonly map: PieceMap }) {
  const own = map.faces.find(({ face }) => face.id === chosen?.face);
  const at = own && chosen?.place && onPage(own.place, chosen.place);
  return (
    <LaidRoom
      map={map}
      title="The room laid flat: tap the place"
      className="h-[34dvh] cursor-crosshair sm:h-[42dvh]"
      onPoint={(point) => {
        const place = placeAt(map, point);
        if (place) onChange(place);
      }}
      draw={(text) => (
        <>
          <PieceLines pieces={map.pieces} chosen={chosen?.piece?.id} />
          {at && <Pin at={at} size={text} />}
        </>
      )}
    >
      <SelectField
        label="Where"
        value={chosen?.face ?? ''}
        onChange={({ target: { value } }) => onChange(value === '' ? undefined : { face: value })}
        options={[['', 'anywhere'], ...map.faces.map(({ face, words }) => [face.id, words] as const)]}
      />
    </LaidRoom>
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

const pieceOf = ({ id, class: kind, width }: MappedPiece): PlaceInRoom['piece'] => ({ id, class: kind, width });

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
  return nearest && nearest.far <= NEAR_MM ? { face: id, place, piece: pieceOf(nearest.piece) } : { face: id, place };
}
