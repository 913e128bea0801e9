'use client';

import { useDrag } from '@use-gesture/react';
import { type KeyboardEvent, useRef, useState } from 'react';
import type { HungFace } from '@/core/hang/hangRoom';
import type { LengthUnit } from '@/core/measure/unit';
import type { FoundFace } from '@/core/room/resolveHang';
import { JointLine } from '@/ui/room/JointLine';
import { LaidFaceDrawing } from '@/ui/room/LaidFaceDrawing';
import { laidAlone, seamLines } from '@/ui/room/laidAlone';
import { lengthWords } from '@/words/lengthWords';
import { ENDS_WORDS, type Handle, handleName, handlesOf, isSameHandle, lineOf } from './handles';

const KEYS: Readonly<Record<string, -1 | 1>> = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 };

/** A face as hung, with its butts and seams to be taken hold of: by a finger, a mouse, or keys. */
export function HungDrawing({
  hung,
  found,
  unit,
  words,
  selected,
  onSelect,
  onDrag,
  onStep,
  onRemove,
}: {
  readonly hung: HungFace;
  readonly found: FoundFace;
  readonly unit: LengthUnit;
  /** What the face is called. */
  readonly words: string;
  readonly selected: Handle | undefined;
  readonly onSelect: (handle: Handle) => void;
  /** A handle is dragged to a place along or across its course, mm; the last time it is let go there. */
  readonly onDrag: (handle: Handle, to: number, isLast: boolean) => void;
  /** One bay on, or back; or a little. */
  readonly onStep: (handle: Handle, by: -1 | 1, isSmall: boolean) => void;
  readonly onRemove: (handle: Handle) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<Handle>();
  const { face } = hung;
  const text = Math.max(face.width, face.height * 1.5) / 34;
  const margin = text * 2;
  const placeAt = (handle: Handle, [x, y]: readonly [number, number]): number | undefined => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!matrix) return undefined;
    const point = new DOMPoint(x, y).matrixTransform(matrix);
    return (handle.kind === 'butt') === (found.run === 'across') ? point.x : point.y;
  };
  const bind = useDrag(
    ({ args, memo, xy, tap, last, event }) => {
      event.preventDefault();
      // As it was when it was taken hold of: it is drawn elsewhere meanwhile.
      const handle: Handle = memo ?? args[0];
      const to = tap ? undefined : placeAt(handle, xy);
      setHeld(last ? undefined : handle);
      if (to === undefined) onSelect(handle);
      else onDrag(handle, to, last);
      return handle;
    },
    { filterTaps: true, pointer: { touch: true, keys: false } },
  );
  const onKeyDown = (event: KeyboardEvent, handle: Handle) => {
    const way = KEYS[event.key];
    if (way) {
      event.preventDefault();
      onStep(handle, way, event.shiftKey);
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      onRemove(handle);
    }
  };
  return (
    <svg
      ref={svg}
      viewBox={`${-margin} ${-margin} ${face.width + 2 * margin} ${face.height + 2 * margin}`}
      className="max-h-[52dvh] min-h-40 w-full touch-none select-none"
    >
      <title>{`${words} as hung`}</title>
      <LaidFaceDrawing laid={laidAlone(hung, ({ kind }) => kind)} text={text} />
      {seamLines(hung).map((line) => (
        <JointLine key={`${line.joint} ${line.from.join(' ')}`} line={line} />
      ))}
      {handlesOf(found, hung).map((handle) => {
        const [from, to] = lineOf(handle, found.run);
        const isSelected = selected !== undefined && isSameHandle(handle, selected);
        const name = handleName(handle, found);
        return (
          <g
            key={name}
            role="slider"
            tabIndex={0}
            aria-label={name}
            aria-orientation={(handle.kind === 'butt') === (found.run === 'across') ? 'horizontal' : 'vertical'}
            aria-valuemin={0}
            aria-valuemax={Math.round(handle.most)}
            aria-valuenow={Math.round(handle.at)}
            aria-valuetext={`${lengthWords(handle.at, unit)}${handle.ends === 'plain' ? '' : `, ${ENDS_WORDS[handle.ends]}`}`}
            className={`outline-none ${(handle.kind === 'butt') === (found.run === 'across') ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
            onFocus={() => onSelect(handle)}
            onKeyDown={(event) => onKeyDown(event, handle)}
            {...bind(handle)}
          >
            <line
              x1={from[0]}
              y1={from[1]}
              x2={to[0]}
              y2={to[1]}
              stroke="transparent"
              strokeWidth={44}
              vectorEffect="non-scaling-stroke"
              pointerEvents="stroke"
            />
            <line
              x1={from[0]}
              y1={from[1]}
              x2={to[0]}
              y2={to[1]}
              className={isSelected ? 'stroke-warning' : 'stroke-transparent'}
              strokeWidth={held && isSelected ? 9 : 6}
              strokeLinecap="round"
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
            <circle
              cx={(from[0] + to[0]) / 2}
              cy={(from[1] + to[1]) / 2}
              r={text * 0.55}
              className={`stroke-base-content ${isSelected ? 'fill-warning' : 'fill-sheet'}`}
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          </g>
        );
      })}
    </svg>
  );
}
