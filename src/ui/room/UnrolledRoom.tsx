'use client';

import { type ReactNode, useRef } from 'react';
import type { JointClass } from '@/core/joints/joint';
import { JointLine } from './JointLine';
import { Label, LaidFaceDrawing } from './LaidFaceDrawing';
import type { UnrolledRoom as Unrolled } from './unroll';
import { usePanZoom } from './usePanZoom';
import { ZoomButtons } from './ZoomButtons';

/**
 * The room laid flat with its boards and joints; one class can be lit, hovering a joint lights its class, and a face
 * can be opened large. It zooms by wheel, pinch, keys or buttons.
 */
export function UnrolledRoom({
  room,
  lit,
  onLight,
  onOpen,
  className,
  children,
}: {
  readonly room: Unrolled;
  readonly lit: JointClass | undefined;
  readonly onLight: (kind: JointClass | undefined) => void;
  readonly onOpen?: (face: string) => void;
  readonly className?: string;
  /** What stands beside the zoom buttons below the picture. */
  readonly children?: ReactNode;
}) {
  const margin = room.text * 1.9;
  const svg = useRef<SVGSVGElement>(null);
  const panZoom = usePanZoom(svg, {
    x: room.box.x - margin,
    y: room.box.y - margin,
    width: room.box.width + 2 * margin,
    height: room.box.height + 2 * margin,
  });
  const { viewBox, scale, onKeyDown } = panZoom;
  const text = room.text / scale ** 0.7;
  return (
    <div className={`flex flex-col gap-1 ${className ?? ''}`}>
      <div className="relative min-h-0 flex-1">
        <svg
          ref={svg}
          viewBox={viewBox}
          className={`absolute inset-0 size-full rounded-2xl ${scale > 1 ? 'cursor-grab touch-none' : 'touch-pan-y'}`}
          role="img"
          aria-label="The room laid flat with its boards and joints"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: the picture moves and zooms by keys
          tabIndex={0}
          onKeyDown={onKeyDown}
        >
          {room.faces.map((laid) => (
            <LaidFaceDrawing key={laid.face.id} laid={laid} text={text} {...(onOpen ? { onOpen } : {})} />
          ))}
          {room.lines.map((line) => (
            <JointLine
              key={`${line.joint} ${line.from.join(' ')}`}
              line={line}
              faded={lit !== undefined && lit !== line.class}
              onLight={onLight}
            />
          ))}
          {room.faces.map(({ face, words, label, clear }) =>
            fits(words, clear, text) ? <Label key={face.id} at={label} size={text} words={words} /> : null,
          )}
          {room.captions.map(({ words, at }) => (
            <Label key={at.join(' ')} at={at} size={text} words={words} />
          ))}
          {room.letters.map(({ letter, at }, index) => (
            <g key={index}>
              <circle
                cx={at[0]}
                cy={at[1]}
                r={text * 0.8}
                className="fill-base-200 stroke-secondary"
                strokeWidth={1.2}
                vectorEffect="non-scaling-stroke"
              />
              <Label at={at} size={text * 0.9} words={letter} />
            </g>
          ))}
        </svg>
      </div>
      <div className="flex items-center justify-end gap-1 print:hidden">
        {children}
        <ZoomButtons svg={svg} panZoom={panZoom} />
      </div>
    </div>
  );
}

/** Whether a name has room around its place; on small faces it comes when one looks closer. */
const fits = (words: string, clear: number, text: number): boolean =>
  clear > text * 0.62 && clear * 3 > words.length * text * 0.5;
