import type { Coat, CoatedClass } from './coat';
import { coatsFor } from './coatsFor';
import { type ClassChoices, choicesFor, type Method } from './resolveMethod';

/** One rung of a ladder: a coat, or what is done before, between and after the coats. */
export type LadderStep =
  | { readonly kind: 'coat'; readonly coat: Coat }
  | { readonly kind: 'between'; readonly how: ClassChoices['between'] }
  | { readonly kind: 'prefill' | 'sand' | 'cover' };

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
  if (coats[0]?.tape) steps.push({ kind: 'prefill' });
  for (const [index, coat] of coats.entries()) {
    const before = coats[index - 1];
    // The other side of an angle was not touched by the coat before it.
    if (before && before.key !== coat.key) steps.push({ kind: 'between', how: between });
    steps.push({ kind: 'coat', coat });
  }
  if (hard === 'trim') steps.push({ kind: 'cover' });
  else if (method.level >= 3) steps.push({ kind: 'sand' });
  return steps;
}
