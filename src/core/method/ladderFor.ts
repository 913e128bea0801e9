import type { Coat, CoatedClass } from './coat';
import { coatsFor } from './coatsFor';
import { type ClassChoices, choicesFor, type Method } from './resolveMethod';

/** One rung of a ladder: a coat, or what is done between two coats. */
export type LadderStep =
  | { readonly kind: 'coat'; readonly coat: Coat }
  | { readonly kind: 'prefill' | 'between' | 'sand' | 'seal' | 'cover'; readonly name: string; readonly what: string };

/** What is done between two coats. */
export const BETWEEN: Readonly<Record<ClassChoices['between'], { readonly name: string; readonly what: string }>> = {
  scrape: {
    name: 'Scrape and dust off',
    what: 'burrs, lap marks and heavy bottoms with the knife; brush the dust off',
  },
  sand: { name: 'Sand and dust off', what: '100 grit, lightly; brush or wipe the dust off: it weakens the next coat' },
  spot: { name: 'Spot the marks', what: 'no sanding: fill the marks with a touch of mud' },
  sponge: { name: 'Wet sponge', what: 'rub the edges down with a damp sponge; no dust in a house that is lived in' },
};

/**
 * The whole ladder of a class: pre-fill, its coats with what is done between them, sanding, and what goes over all.
 * Run sheet and cards are made of it.
 */
export function ladderFor(kind: CoatedClass, method: Method): readonly LadderStep[] {
  const coats = coatsFor(kind, method);
  if (coats.length === 0) return [];
  const choices = choicesFor(method, kind);
  const { between, hard } = choices;
  const steps: LadderStep[] = [];
  if (coats[0]?.tape)
    steps.push({ kind: 'prefill', name: 'Pre-fill', what: 'gaps over 1/8 in and broken board with setting mud' });
  for (const [index, coat] of coats.entries()) {
    const before = coats[index - 1];
    // The other side of an angle was not touched by the coat before it.
    if (before && before.key !== coat.key) steps.push({ kind: 'between', ...BETWEEN[between] });
    steps.push({ kind: 'coat', coat });
  }
  if (hard === 'trim')
    steps.push({
      kind: 'cover',
      name: 'Trim and caulk',
      what: 'cover it and caulk the edges: trim alone stops no air',
    });
  else if (method.level >= 3)
    steps.push({
      kind: 'sand',
      name: 'Sand',
      what: 'along the joint or a little off it, fine and foam-backed; stop where tape appears; wipe the dust off',
    });
  return steps;
}
