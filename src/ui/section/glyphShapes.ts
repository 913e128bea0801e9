import type { Section } from '@/core/section/buildSection';
import { boardsId, coatShapeId, GLYPH_HEIGHT, GLYPH_WIDTH } from './glyphIds';
import { backOfBoards, frameFor, layerPath, placeOn, surfacePath, tapePath } from './sectionPaths';

/** The outlines of a section at the size of a glyph. */
export interface GlyphShapes {
  readonly boards: {
    readonly id: string;
    readonly sides: readonly { readonly board: string; readonly tape: string }[];
    /** What stands in the joint: where boards meet, a bead's nose, or a screw. */
    readonly joint: string;
    readonly nose: readonly [number, number] | undefined;
  };
  readonly coats: readonly { readonly id: string; readonly outline: string }[];
}

/** At the size of a cell coats are told apart only when they are thicker than they are beside the board. */
const SWELL = 2.4;

const known = new WeakMap<Section, GlyphShapes>();

/** The outlines of a section; sections are shared between requests, so they are drawn once. */
export function glyphShapes(section: Section): GlyphShapes {
  let shapes = known.get(section);
  if (!shapes) {
    shapes = drawn(section);
    known.set(section, shapes);
  }
  return shapes;
}

function drawn(section: Section): GlyphShapes {
  const { layout, planes, class: kind } = section;
  const frame = frameFor(section, GLYPH_WIDTH, GLYPH_HEIGHT, SWELL);
  const places = planes.map((_, side) => placeOn(layout, side, frame));
  const sides = planes.map((plane, side) => {
    const place = places[side] ?? placeOn(layout, side, frame);
    const taped = plane.layers.find((layer) => layer.tape);
    return {
      board: `${surfacePath(plane, plane.board, place, frame.reach, 10)}${backOfBoards(layout, side, frame)}`,
      tape: taped ? tapePath(plane, taped, place, frame) : '',
    };
  });
  const coats = section.coats.map(({ coat }) => ({
    id: coatShapeId(kind, coat),
    outline: planes
      .map((plane, side) => {
        const layer = plane.layers.find((own) => own.coat === coat.id);
        const place = places[side];
        return layer && place ? layerPath(plane, layer, place, frame, false, 10) : '';
      })
      .join(''),
  }));
  const nose = layout === 'nose' || layout === 'edge' ? places[0]?.(0, section.found.nose) : undefined;
  return { boards: { id: boardsId(kind), sides, joint: jointIn(section, frame.plane), nose }, coats };
}

function jointIn({ layout }: Section, plane: number): string {
  const middle = GLYPH_WIDTH / 2;
  switch (layout) {
    case 'across':
      return `M${middle} ${(plane + 6).toFixed(1)}V${GLYPH_HEIGHT}`;
    case 'round': {
      const [top, head] = [plane.toFixed(1), (plane + 4).toFixed(1)];
      return `M${middle - 4} ${top}L${middle} ${head}L${middle + 4} ${top}M${middle} ${head}V${GLYPH_HEIGHT}`;
    }
    case 'corner':
    case 'nose':
    case 'edge':
    case 'even':
      return '';
  }
}
