import type { CoatedClass, CoatKey, Side } from '@/core/method/coat';
import type { CoatPhase } from '@/core/readiness/whatNow';
import { boardsId, coatShapeId, GLYPH_HEIGHT, GLYPH_WIDTH } from './glyphIds';

/** A coat as a layer of the glyph; `side` on angles only. */
export interface GlyphLayer {
  readonly phase: CoatPhase;
  readonly key: CoatKey;
  readonly side?: Side | undefined;
}

/**
 * The cross-section of a joint class with its coats: planned dashed, wet hatched, dry plain, sanded dotted. Drawn from the
 * simulated section with its height exaggerated; its parts stand once in the page (`GlyphParts`), since a board shows
 * hundreds.
 */
export function SectionGlyph({
  kind,
  layers,
  way = '',
  className = 'h-11 w-24',
}: {
  readonly kind: CoatedClass;
  readonly layers: readonly GlyphLayer[];
  /** The way of finishing, where it is not the house's: see `wayOfRooms`. */
  readonly way?: string;
  readonly className?: string;
}) {
  // Outer coats first, so that those below stay visible.
  return (
    <svg viewBox={`0 0 ${GLYPH_WIDTH} ${GLYPH_HEIGHT}`} className={className} aria-hidden="true">
      {[...layers].reverse().map(({ phase, key, side }) => (
        <use key={`${key} ${side}`} href={`#${way}${coatShapeId(kind, { key, side })}`} className={`phase-${phase}`} />
      ))}
      <use href={`#${way}${boardsId(kind)}`} />
    </svg>
  );
}
