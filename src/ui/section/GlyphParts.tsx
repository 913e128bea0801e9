import { glyphShapes } from './glyphShapes';
import type { SectionsOfWay } from './sectionsOf';

/**
 * The boards, coats and hatches that every glyph of a page refers to; a page holds them once for each way of finishing.
 * Where two sections of one draw the same coat of a class, the first one does.
 */
export function GlyphParts({ sections }: { readonly sections: readonly SectionsOfWay[] }) {
  const shapes = sections.flatMap(({ way, sections: own }) =>
    own.map((section) => ({ way, shapes: glyphShapes(section) })),
  );
  const boards = new Map(shapes.map(({ way, shapes: own }) => [way + own.boards.id, own.boards] as const).reverse());
  const coats = new Map(
    shapes
      .flatMap(({ way, shapes: own }) => own.coats.map(({ id, outline }) => [way + id, outline] as const))
      .reverse(),
  );
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
        {[...boards].map(([id, { sides, joint, nose }]) => (
          <g key={id} id={id} fill="none" strokeWidth={1.2}>
            <path d={sides.map(({ board }) => board).join('')} className="fill-board stroke-board-line" />
            <path d={sides.map(({ tape }) => tape).join('')} className="stroke-primary" strokeWidth={2.2} />
            {joint && <path d={joint} className="stroke-board-line" />}
            {nose && <circle cx={nose[0]} cy={nose[1]} r={2.4} className="fill-primary" />}
          </g>
        ))}
        {[...coats].map(([id, outline]) => (
          <path key={id} id={id} d={outline} />
        ))}
      </defs>
    </svg>
  );
}
