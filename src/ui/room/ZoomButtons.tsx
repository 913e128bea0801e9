import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { lazy, type ReactNode, type RefObject, Suspense } from 'react';
import type { PanZoom } from './usePanZoom';

// A drawing is read before it is moved.
const PanZoomGestures = lazy(async () => ({ default: (await import('./PanZoomGestures')).PanZoomGestures }));

/** Closer, farther, and the whole of a drawing; on the drawing itself wheel, pinch and drag. */
export function ZoomButtons({
  svg,
  panZoom,
}: {
  readonly svg: RefObject<SVGSVGElement | null>;
  readonly panZoom: PanZoom;
}) {
  const { scale, zoom, fit } = panZoom;
  return (
    <>
      <Suspense fallback={null}>
        <PanZoomGestures svg={svg} panZoom={panZoom} />
      </Suspense>
      <ZoomButton label="Closer" onClick={() => zoom(1.5)}>
        <ZoomIn className="size-5" aria-hidden="true" />
      </ZoomButton>
      <ZoomButton label="Farther" onClick={() => zoom(1 / 1.5)} disabled={scale === 1}>
        <ZoomOut className="size-5" aria-hidden="true" />
      </ZoomButton>
      <ZoomButton label="The whole room" onClick={fit} disabled={scale === 1}>
        <Maximize2 className="size-5" aria-hidden="true" />
      </ZoomButton>
    </>
  );
}

function ZoomButton({
  label,
  onClick,
  disabled = false,
  children,
}: {
  readonly label: string;
  readonly onClick: () => void;
  readonly disabled?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="btn btn-square"
      aria-label={label}
      title={label}
      onClick={onClick}
      disabled={disabled}
    >
      {children}
    </button>
  );
}
