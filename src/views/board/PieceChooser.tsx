'use client';

import type { LengthUnit } from '@/core/measure/unit';
import type { Coat } from '@/core/method/coat';
import { DrawnRoom } from '@/ui/room/DrawnRoom';
import { LaidRoom } from '@/ui/room/LaidRoom';
import type { MappedPiece, PieceMap } from '@/ui/room/pieceMap';
import { roughLength } from '@/words/lengthWords';

/**
 * The room laid flat, on which the pieces are tapped that a coat lies on; a face takes all of its pieces. Where a coat covers
 * both sides of an angle, they are tapped as one.
 */
export function PieceChooser({
  room,
  coat,
  unit,
  chosen,
  onChange,
}: {
  readonly room: string;
  readonly coat: Pick<Coat, 'id' | 'class' | 'side'>;
  readonly unit: LengthUnit;
  /** Ids of pieces. */
  readonly chosen: ReadonlySet<string>;
  readonly onChange: (chosen: ReadonlySet<string>) => void;
}) {
  return (
    <DrawnRoom
      room={room}
      draw={(map) => <TappedRoom map={map} coat={coat} unit={unit} chosen={chosen} onChange={onChange} />}
    />
  );
}

type Tapping = Pick<Parameters<typeof PieceChooser>[0], 'coat' | 'unit' | 'chosen' | 'onChange'>;

function TappedRoom({ map, coat, unit, chosen, onChange }: Tapping & { readonly map: PieceMap }) {
  const pieces = map.pieces.filter(
    (piece) => piece.class === coat.class && (coat.side === undefined || piece.sides.includes(coat.side)),
  );
  const together = (piece: MappedPiece) =>
    coat.side === undefined ? pieces.filter(({ joint }) => joint === piece.joint) : [piece];
  const toggle = (some: readonly MappedPiece[]) => {
    const next = new Set(chosen);
    const all = some.every(({ id }) => next.has(id));
    for (const { id } of some) {
      if (all) next.delete(id);
      else next.add(id);
    }
    onChange(next);
  };
  const own = pieces.filter(({ id }) => chosen.has(id));
  const joints = new Map(own.map(({ joint, amount }) => [joint, amount]));
  const length = [...joints.values()].reduce((sum, amount) => sum + amount, 0);
  return (
    <LaidRoom
      map={map}
      title="The room laid flat: tap what is done"
      className="h-[34dvh] sm:h-[46dvh]"
      onFace={(face) => toggle(pieces.filter((piece) => piece.face === face).flatMap(together))}
      draw={(text) =>
        pieces.map((piece) => (
          <PieceLine
            key={`${piece.id} ${piece.from.join(' ')}`}
            piece={piece}
            shifted={coat.side !== undefined}
            reach={text * 0.5}
            is={chosen.has(piece.id) ? 'chosen' : piece.has.includes(coat.id) ? 'done' : 'open'}
            words={`${roughLength(piece.amount, unit)} on ${piece.where}`}
            toggle={() => toggle(together(piece))}
          />
        ))
      }
    >
      <p role="status" className="text-sm text-muted">
        {joints.size === 0
          ? 'Tap the joints that are done, or a whole face.'
          : `${joints.size} of ${new Set(pieces.map(({ joint }) => joint)).size}, ${roughLength(length, unit)}`}
      </p>
    </LaidRoom>
  );
}

/** A piece to be tapped: a thin line; heavy and round when chosen, dashed when the coat is on it already. */
function PieceLine({
  piece: { from, to, shift },
  shifted,
  reach,
  is,
  words,
  toggle,
}: {
  readonly piece: MappedPiece;
  readonly shifted: boolean;
  /** How far beside the line a finger may be; mm of the page. */
  readonly reach: number;
  readonly is: 'open' | 'done' | 'chosen';
  readonly words: string;
  readonly toggle: () => void;
}) {
  const [x, y] = shifted ? shift : [0, 0];
  const line = { x1: from[0] + x, y1: from[1] + y, x2: to[0] + x, y2: to[1] + y, vectorEffect: 'non-scaling-stroke' };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a line of a drawing can be no input
    <g
      role="checkbox"
      aria-checked={is === 'chosen'}
      aria-label={is === 'done' ? `${words}, on already` : words}
      tabIndex={0}
      className="group cursor-pointer outline-none"
      onClick={toggle}
      onKeyDown={(event) => {
        if (event.key !== ' ' && event.key !== 'Enter') return;
        event.preventDefault();
        toggle();
      }}
    >
      <polygon
        points={around(line, reach).join(' ')}
        className="fill-transparent hover:fill-primary/15 group-focus-visible:fill-primary/30"
      />
      <line
        {...line}
        className={is === 'chosen' ? 'stroke-primary' : is === 'done' ? 'stroke-moss' : 'stroke-base-content'}
        strokeWidth={is === 'chosen' ? 7 : 2.5}
        strokeDasharray={is === 'done' ? '3 4' : undefined}
        strokeLinecap={is === 'chosen' ? 'round' : 'butt'}
      />
    </g>
  );
}

interface Line {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** The corners of a strip about a line. */
function around({ x1, y1, x2, y2 }: Line, reach: number): readonly (readonly [number, number])[] {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [x, y] = [((y2 - y1) / length) * reach, ((x1 - x2) / length) * reach];
  return [
    [x1 + x, y1 + y],
    [x2 + x, y2 + y],
    [x2 - x, y2 - y],
    [x1 - x, y1 - y],
  ];
}
