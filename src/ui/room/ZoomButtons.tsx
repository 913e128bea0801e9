import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import type { ReactNode } from 'react';
import type { PanZoom } from './usePanZoom';

/** Closer, farther, and the whole of a drawing. */
export function ZoomButtons({ scale, zoom, fit }: Pick<PanZoom, 'scale' | 'zoom' | 'fit'>) {
  return (
    <>
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
