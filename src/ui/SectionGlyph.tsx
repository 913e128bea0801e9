import type { CoatedClass } from '@/core/method/coat';
import type { CoatPhase } from '@/core/readiness/whatNow';

/** A coat as a layer of the glyph; `side` on angles only. */
export interface GlyphLayer {
  readonly phase: CoatPhase;
  readonly side?: 'left' | 'right' | undefined;
}

type Shape = 'valley' | 'hump' | 'corner' | 'nose' | 'screw';
const BOARD = 'fill-board stroke-board-line';
const SURFACE = 30;

/**
 * The cross-section of a joint class with its coats: planned dashed, wet hatched, dry plain, sanded dotted. A schematic
 * drawing, its height exaggerated.
 */
export function SectionGlyph({
  kind,
  layers,
  className = 'h-11 w-24',
}: {
  readonly kind: CoatedClass;
  readonly layers: readonly GlyphLayer[];
  readonly className?: string;
}) {
  const shape = shapeOf(kind);
  // Outer coats first, so that those below stay visible.
  const drawn = layers.map((layer, index) => ({ ...layer, path: layerPath(shape, index, layer.side) })).reverse();
  return (
    <svg viewBox="0 0 100 46" className={className} aria-hidden="true" fill="none" strokeWidth={1.2}>
      {drawn.map(({ phase, path }) => (
        <path key={path} d={path} {...lookOf(phase)} />
      ))}
      <use href={`#board-${shape}`} />
    </svg>
  );
}

function shapeOf(kind: CoatedClass): Shape {
  switch (kind) {
    case 'flat':
    case 'mixed':
    case 'backedButt':
      return 'valley';
    case 'butt':
    case 'existing':
    case 'surface':
      return 'hump';
    case 'angle':
    case 'offAngle':
      return 'corner';
    case 'bead':
    case 'trim':
      return 'nose';
    case 'fasteners':
      return 'screw';
  }
}

function lookOf(phase: CoatPhase) {
  switch (phase) {
    case 'planned':
      return { className: 'stroke-muted', strokeDasharray: '2.5 2' };
    case 'part':
      return { className: 'stroke-base-content', strokeDasharray: '7 2', fill: 'url(#coat-wet)', fillOpacity: 0.45 };
    case 'wet':
      return { className: 'stroke-base-content', fill: 'url(#coat-wet)' };
    case 'dry':
      return { className: 'fill-sheet stroke-base-content' };
    case 'sanded':
      return { className: 'stroke-base-content', fill: 'url(#coat-sanded)' };
  }
}

function layerPath(shape: Shape, index: number, side: 'left' | 'right' | undefined): string {
  switch (shape) {
    case 'valley': {
      const half = 22 + 11 * index;
      return `M${50 - half} ${SURFACE}Q50 ${SURFACE - 4 - 9 * index} ${50 + half} ${SURFACE}L62 ${SURFACE}L50 40L38 ${SURFACE}Z`;
    }
    case 'hump': {
      const half = 21 + 12 * index;
      return `M${50 - half} ${SURFACE}Q50 ${SURFACE - 16 - 16 * index} ${50 + half} ${SURFACE}Z`;
    }
    case 'corner': {
      const [reach, rise] = [30 + 16 * index, 7 + 4 * index];
      const left = `M32 ${34 - reach * 0.5}Q${32 + rise * 0.5} ${34 - 4} 38 34L32 34Z`;
      const right = `M32 34L${32 + reach} 34Q38 ${34 - rise * 0.6} 32 ${34 - rise}Z`;
      return side === 'left' ? left : side === 'right' ? right : left + right;
    }
    case 'nose': {
      const reach = 34 + 15 * index;
      return `M25 ${17 - 1.5 * index}L${25 + reach} 26L25 26Z`;
    }
    case 'screw': {
      const half = 12 + 8 * index;
      return `M${50 - half} ${SURFACE}Q50 ${SURFACE - 5 - 6 * index} ${50 + half} ${SURFACE}Z`;
    }
  }
}

function Boards({ shape }: { readonly shape: Shape }) {
  switch (shape) {
    case 'valley':
      return (
        <>
          <path d="M2 30H38L50 40L62 30H98V44H2Z" className={BOARD} />
          <path d="M45 37.500H55" className="stroke-primary" strokeWidth={2.4} />
        </>
      );
    case 'hump':
      return (
        <>
          <path d="M2 30H98V44H2ZM50 30V44" className={BOARD} />
          <path d="M41 28.500H59" className="stroke-primary" strokeWidth={2.6} />
        </>
      );
    case 'corner':
      return (
        <>
          <path d="M18 3H32V34H98V44H18Z" className={BOARD} />
          <path d="M33.500 22V32.500H47" className="stroke-primary" strokeWidth={2} />
        </>
      );
    case 'nose':
      return (
        <>
          <path d="M26 26H98V44H26Z" className={BOARD} />
          <path d="M25 44V17" className="stroke-primary" strokeWidth={3} />
          <circle cx="25" cy="16" r="2.500" className="fill-primary" />
        </>
      );
    case 'screw':
      return (
        <>
          <path d="M2 30H98V44H2Z" className={BOARD} />
          <path d="M45 30L50 34L55 30M50 34V44" className="stroke-base-content" strokeWidth={1.6} />
        </>
      );
  }
}

/** The boards and hatches that every glyph of a page refers to; a page holds them once. */
export function GlyphParts() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true" fill="none" strokeWidth={1.2}>
      <defs>
        <pattern id="coat-wet" width="4" height="4" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" className="fill-board" />
          <path d="M0 0V4" className="stroke-base-content" strokeWidth={1.6} />
        </pattern>
        <pattern id="coat-sanded" width="4" height="4" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" className="fill-sheet" />
          <circle cx="1.5" cy="1.5" r="0.7" className="fill-muted" />
        </pattern>
        {(['valley', 'hump', 'corner', 'nose', 'screw'] as const).map((shape) => (
          <g key={shape} id={`board-${shape}`}>
            <Boards shape={shape} />
          </g>
        ))}
      </defs>
    </svg>
  );
}
