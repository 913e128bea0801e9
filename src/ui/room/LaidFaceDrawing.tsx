import { useId } from 'react';
import type { Point } from '@/core/measure/vector';
import type { Face } from '@/core/room/faces/face';
import { boxAround } from './pagePlace';
import type { LaidFace } from './unroll';

/** A laid face, of which a drawing asks no more than which one it is. */
export type DrawnFace = Omit<LaidFace, 'face' | 'place'> & { readonly face: Pick<Face, 'id' | 'existing'> };

/** The board of one face: its outline, board edges that are no joints, openings, and what covers it. */
export function LaidFaceDrawing({
  laid,
  text,
  onOpen,
}: {
  readonly laid: DrawnFace;
  readonly text: number;
  readonly onOpen?: (face: string) => void;
}) {
  const clip = `face-${useId()}`;
  const path = laid.loops.map(pathOf).join('');
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the list above the drawing opens faces by keyboard
    <g onClick={onOpen && (() => onOpen(laid.face.id))} className={onOpen ? 'cursor-zoom-in' : ''}>
      <path
        d={path}
        fillRule="evenodd"
        className={laid.face.existing ? 'fill-base-300 stroke-error' : 'fill-sheet stroke-board-line'}
        strokeWidth={1}
        strokeDasharray={laid.face.existing ? '6 4' : undefined}
        vectorEffect="non-scaling-stroke"
      />
      <clipPath id={clip}>
        <path d={path} clipRule="evenodd" />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        {laid.boards.map((board) => (
          <polygon
            key={board.join(' ')}
            points={board.join(' ')}
            fill="none"
            className="stroke-base-300"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {laid.covers.map(({ cover, corners, middle }) => (
          <g key={corners.join(' ')}>
            <polygon
              points={corners.join(' ')}
              className="fill-board stroke-muted"
              fillOpacity={0.55}
              strokeDasharray="2 3"
              strokeWidth={1}
              vectorEffect="non-scaling-stroke"
            />
            <Label at={middle} size={sizeIn(corners, cover, text)} words={cover} />
          </g>
        ))}
      </g>
      {laid.holes.map(({ kind, loop, middle }) => (
        <g key={loop.join(' ')}>
          <path
            d={pathOf(loop)}
            className="fill-base-300 stroke-muted"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          <Label at={middle} size={sizeIn(loop, kind, text)} words={kind} />
        </g>
      ))}
    </g>
  );
}

const pathOf = (loop: readonly Point[]): string => `M${loop.map((point) => point.join(' ')).join('L')}Z`;

/** Words no wider than what they stand in, within reason. */
function sizeIn(loop: readonly Point[], words: string, text: number): number {
  const { x0, x1 } = boxAround(loop);
  return Math.max(text * 0.5, Math.min(text * 0.85, (x1 - x0) / (words.length * 0.55)));
}

/** Small writing with a rim of paper, so that lines behind it do not cut it. */
export function Label({ at, size, words }: { readonly at: Point; readonly size: number; readonly words: string }) {
  return (
    <text
      x={at[0]}
      y={at[1]}
      fontSize={size}
      textAnchor="middle"
      dominantBaseline="middle"
      className="pointer-events-none fill-muted stroke-sheet"
      strokeWidth={size / 4}
      paintOrder="stroke"
    >
      {words}
    </text>
  );
}
