import type { CoatedClass } from '@/core/method/coat';
import type { GlyphLayer } from '@/ui/section/SectionGlyph';

/** One step of a card: a coat with its drawing, or what is done between two. */
export interface GuideStep {
  /** By which it is linked to. */
  readonly id?: string;
  readonly name: string;
  readonly layers: readonly GlyphLayer[];
  readonly lines: readonly string[];
  readonly mistakes: readonly { readonly name: string; readonly words: string }[];
}

/** A card of the field guide: of a joint class, or of something around the work. */
export interface GuideCard {
  readonly id: string;
  readonly title: string;
  /** What the drawings are of. */
  readonly kind: CoatedClass | undefined;
  readonly what: readonly string[];
  readonly steps: readonly GuideStep[];
}
