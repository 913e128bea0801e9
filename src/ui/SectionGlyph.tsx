import type { CoatedClass } from '@/core/method/coat';
import type { CoatPhase } from '@/core/readiness/whatNow';

/** A coat as a layer of the glyph; `side` on angles only. */
export interface GlyphLayer {
  readonly phase: CoatPhase;
  readonly side?: 'left' | 'right' | undefined;
}

const SHAPES = ['valley', 'hump', 'corner', 'nose', 'screw'] as const;
type Shape = (typeof SHAPES)[number];
const BOARD = 'fill-board stroke-board-line';
/** No class gets more coats than this. */
const MOST_LAYERS = 4;

/**
 * The cross-section of a joint class with its coats: planned dashed, wet hatched, dry plain, sanded dotted. A schematic
 * drawing, its height exaggerated; its parts stand once in the page (`GlyphParts`), since a board shows hundreds.
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
  const drawn = layers.map(({ phase, side }, index) => ({ phase, part: partId(shape, index, side) })).reverse();
  return (
    <svg viewBox="0 0 100 46" className={className} aria-hidden="true">
      {drawn.map(({ phase, part }) => (
        <use key={part} href={`#${part}`} className={`coat-${phase}`} />
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

const partId = (shape: Shape, index: number, side?: 'left' | 'right'): string =>
  [shape, index, shape === 'corner' ? side : undefined].filter((part) => part !== undefined).join('-');

/** A coat's outline, over a surface at y = 30. */
function layerPath(shape: Shape, index: number, side: 'left' | 'right' | undefined): string {
  switch (shape) {
    case 'valley':
      return `${dome(22 + 11 * index, 4 + 9 * index)}L62 30L50 40L38 30Z`;
    case 'hump':
      return `${dome(21 + 12 * index, 16 + 16 * index)}Z`;
    case 'screw':
      return `${dome(12 + 8 * index, 5 + 6 * index)}Z`;
    case 'nose':
      return `M25 ${17 - 1.5 * index}L${59 + 15 * index} 26L25 26Z`;
    case 'corner': {
      const [reach, rise] = [30 + 16 * index, 7 + 4 * index];
      const left = `M32 ${34 - reach * 0.5}Q${32 + rise * 0.5} 30 38 34L32 34Z`;
      const right = `M32 34L${32 + reach} 34Q38 ${34 - rise * 0.6} 32 ${34 - rise}Z`;
      return side === 'left' ? left : side === 'right' ? right : left + right;
    }
  }
}

const dome = (half: number, rise: number): string => `M${50 - half} 30Q50 ${30 - rise} ${50 + half} 30`;

/** The boards, coats and hatches that every glyph of a page refers to; a page holds them once. */
export function GlyphParts() {
  const layers = Array.from({ length: MOST_LAYERS }, (_, index) => index);
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs fill="none" strokeWidth={1.2}>
        <pattern id="coat-wet" width="4" height="4" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" className="fill-board" />
          <path d="M0 0V4" className="stroke-base-content" strokeWidth={1.6} />
        </pattern>
        <pattern id="coat-sanded" width="4" height="4" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" className="fill-sheet" />
          <circle cx="1.5" cy="1.5" r="0.7" className="fill-muted" />
        </pattern>
        {SHAPES.map((shape) => (
          <g key={shape} id={`board-${shape}`} fill="none" strokeWidth={1.2}>
            <Boards shape={shape} />
          </g>
        ))}
        {SHAPES.flatMap((shape) =>
          layers.map((index) => <Layer key={partId(shape, index)} shape={shape} index={index} />),
        )}
        {layers.flatMap((index) =>
          (['left', 'right'] as const).map((side) => (
            <Layer key={`${index} ${side}`} shape="corner" index={index} side={side} />
          )),
        )}
      </defs>
    </svg>
  );
}

function Layer({
  shape,
  index,
  side,
}: {
  readonly shape: Shape;
  readonly index: number;
  readonly side?: 'left' | 'right';
}) {
  return <path id={partId(shape, index, side)} d={layerPath(shape, index, side)} />;
}

function Boards({ shape }: { readonly shape: Shape }) {
  switch (shape) {
    case 'valley':
      return (
        <>
          <path d="M2 30H38L50 40L62 30H98V44H2Z" className={BOARD} />
          <path d="M45 37.5H55" className="stroke-primary" strokeWidth={2.4} />
        </>
      );
    case 'hump':
      return (
        <>
          <path d="M2 30H98V44H2ZM50 30V44" className={BOARD} />
          <path d="M41 28.5H59" className="stroke-primary" strokeWidth={2.6} />
        </>
      );
    case 'corner':
      return (
        <>
          <path d="M18 3H32V34H98V44H18Z" className={BOARD} />
          <path d="M33.5 22V32.5H47" className="stroke-primary" strokeWidth={2} />
        </>
      );
    case 'nose':
      return (
        <>
          <path d="M26 26H98V44H26Z" className={BOARD} />
          <path d="M25 44V17" className="stroke-primary" strokeWidth={3} />
          <circle cx="25" cy="16" r="2.5" className="fill-primary" />
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
