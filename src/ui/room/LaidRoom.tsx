'use client';

import { type ReactNode, useRef } from 'react';
import type { Point } from '@/core/measure/vector';
import { Label, LaidFaceDrawing } from './LaidFaceDrawing';
import type { PieceMap } from './pieceMap';
import { usePanZoom } from './usePanZoom';
import { ZoomButtons } from './ZoomButtons';

/** A room laid flat to be tapped: its faces with their names, and what a page draws upon them; it zooms by wheel, pinch and buttons. */
export function LaidRoom({
  map,
  title,
  className,
  onFace,
  onPoint,
  draw,
  children,
}: {
  readonly map: PieceMap;
  /** What it is, for who does not see it. */
  readonly title: string;
  readonly className: string;
  /** A face was tapped. */
  readonly onFace?: ((face: string) => void) | undefined;
  /** A point of the page was tapped. */
  readonly onPoint?: (point: Point) => void;
  /** What lies on the faces, by the size of writing. */
  readonly draw: (text: number) => ReactNode;
  /** What stands beside the zoom buttons below it. */
  readonly children?: ReactNode;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const margin = map.text * 1.2;
  const panZoom = usePanZoom(svg, {
    x: map.box.x - margin,
    y: map.box.y - margin,
    width: map.box.width + 2 * margin,
    height: map.box.height + 2 * margin,
  });
  const { viewBox, scale } = panZoom;
  const text = map.text / scale ** 0.7;
  return (
    <div className="space-y-1">
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: what is tapped here is said by keys beside it */}
      <svg
        ref={svg}
        viewBox={viewBox}
        className={`w-full rounded-2xl bg-base-200 ${scale > 1 ? 'touch-none' : 'touch-pan-y'} ${className}`}
        onClick={
          onPoint &&
          (({ clientX, clientY }) => {
            const matrix = svg.current?.getScreenCTM()?.inverse();
            if (!matrix) return;
            const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix);
            onPoint([x, y]);
          })
        }
      >
        <title>{title}</title>
        {map.faces.map((laid) => (
          <LaidFaceDrawing
            key={laid.face.id}
            laid={laid}
            text={text}
            {...(onFace ? { onOpen: () => onFace(laid.face.id) } : {})}
          />
        ))}
        {map.faces.map((laid) =>
          laid.clear > text ? <Label key={laid.face.id} at={laid.label} size={text * 0.9} words={laid.words} /> : null,
        )}
        {draw(text)}
      </svg>
      <div className="flex items-end gap-1">
        <div className="flex-1">{children}</div>
        <ZoomButtons svg={svg} panZoom={panZoom} />
      </div>
    </div>
  );
}
