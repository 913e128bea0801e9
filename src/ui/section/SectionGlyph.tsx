import { type Coat, type CoatedClass, type CoatKey, coatId, type Side } from '@/core/method/coat';
import type { CoatPhase } from '@/core/readiness/whatNow';
import type { Section } from '@/core/section/buildSection';
import { backOfBoards, frameFor, layerPath, placeOn, surfacePath, tapePath } from './sectionPaths';

/** A coat as a layer of the glyph; `side` on angles only. */
export interface GlyphLayer {
  readonly phase: CoatPhase;
  readonly key: CoatKey;
  readonly side?: Side | undefined;
}

const WIDTH = 100;
const HEIGHT = 46;
/** At the size of a cell coats are told apart only when they are thicker than they are beside the board. */
const SWELL = 2.4;
const partId = (kind: CoatedClass, { key, side }: Pick<Coat, 'key' | 'side'>): string =>
  `coat-${coatId({ class: kind, key, side })}`;

/**
 * The cross-section of a joint class with its coats: planned dashed, wet hatched, dry plain, sanded dotted. Drawn from the
 * simulated section with its height exaggerated; its parts stand once in the page (`GlyphParts`), since a board shows
 * hundreds.
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
  // Outer coats first, so that those below stay visible.
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={className} aria-hidden="true">
      {[...layers].reverse().map(({ phase, key, side }) => (
        <use key={`${key} ${side}`} href={`#${partId(kind, { key, side })}`} className={`phase-${phase}`} />
      ))}
      <use href={`#board-${kind}`} />
    </svg>
  );
}

/** The boards, coats and hatches that every glyph of a page refers to; a page holds them once. */
export function GlyphParts({ sections }: { readonly sections: readonly Section[] }) {
  const drawn = new Set<string>();
  const once = (id: string) => !drawn.has(id) && drawn.add(id) !== undefined;
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
        {sections.map((section) => once(`board-${section.class}`) && <Boards key={section.class} section={section} />)}
        {sections.flatMap((section) =>
          section.coats.map(({ coat }) => {
            const id = partId(section.class, coat);
            return once(id) && <path key={id} id={id} d={coatPath(section, coat)} />;
          }),
        )}
      </defs>
    </svg>
  );
}

function coatPath(section: Section, coat: Coat): string {
  const frame = frameFor(section, WIDTH, HEIGHT, SWELL);
  return section.planes
    .map((plane, side) => {
      const layer = plane.layers.find((own) => own.coat === coatId(coat));
      return layer ? layerPath(plane, layer, placeOn(section.layout, side, frame), frame, false, 14) : '';
    })
    .join('');
}

/** The boards of a class, and what stands in the joint: tape, bead or a screw. */
function Boards({ section }: { readonly section: Section }) {
  const frame = frameFor(section, WIDTH, HEIGHT, SWELL);
  return (
    <g id={`board-${section.class}`} fill="none" strokeWidth={1.2}>
      {section.planes.map((plane, side) => {
        const place = placeOn(section.layout, side, frame);
        const tape = plane.layers.find((layer) => layer.tape);
        return (
          <g key={side}>
            <path
              d={`${surfacePath(plane, plane.board, place, frame.reach, 10)}${backOfBoards(section.layout, side, frame)}`}
              className="fill-board stroke-board-line"
            />
            {tape && <path d={tapePath(plane, tape, place, frame)} className="stroke-primary" strokeWidth={2.2} />}
          </g>
        );
      })}
      <Standing section={section} place={placeOn(section.layout, 1, frame)} plane={frame.plane} />
    </g>
  );
}

function Standing({
  section,
  place,
  plane,
}: {
  readonly section: Section;
  readonly place: (x: number, h: number) => readonly [number, number];
  readonly plane: number;
}) {
  const [x, y] = place(0, section.found.nose);
  switch (section.layout) {
    case 'across':
      return <path d={`M${WIDTH / 2} ${plane + 6}V${HEIGHT}`} className="stroke-board-line" />;
    case 'nose':
    case 'edge':
      return <circle cx={x} cy={y} r={2.4} className="fill-primary" />;
    case 'round':
      return (
        <path
          d={`M${WIDTH / 2 - 4} ${plane}L${WIDTH / 2} ${plane + 4}L${WIDTH / 2 + 4} ${plane}M${WIDTH / 2} ${plane + 4}V${HEIGHT}`}
          className="stroke-base-content"
          strokeWidth={1.6}
        />
      );
    case 'corner':
    case 'even':
      return null;
  }
}
