import { type Coat, type CoatedClass, coatId } from '@/core/method/coat';

/** The picture that every glyph is drawn in. */
export const GLYPH_WIDTH = 100;
export const GLYPH_HEIGHT = 46;

/** The name of a coat's outline among the parts of a page. */
export const coatShapeId = (kind: CoatedClass, { key, side }: Pick<Coat, 'key' | 'side'>): string =>
  `coat-${coatId({ class: kind, key, side })}`;

/** The name of the boards of a class among the parts of a page. */
export const boardsId = (kind: CoatedClass): string => `board-${kind}`;
