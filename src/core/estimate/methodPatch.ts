import type { Level } from '../room/level';
import { type Choices, METHOD_CLASSES, type MethodClass } from '../room/methodAnswers';
import type { ClassMethod, MethodChoices } from '../room/methodSchema';

/** A change to a method: some answers, for all or for a class; or the level. */
export interface MethodPatch {
  readonly level?: Level;
  readonly choices?: Partial<Choices> & { readonly settingMinutes?: number };
  readonly classes?: Readonly<Partial<Record<MethodClass, ClassMethod>>>;
}

/**
 * A method with a change made; what the change does not name stays.
 *
 * @example withPatch(method, { choices: { mud: 'settingFirst' } })
 */
export function withPatch<Said extends MethodChoices & { readonly level?: Level }>(
  method: Said,
  { level, choices, classes }: MethodPatch,
): Said {
  const merged = { ...method.classes };
  for (const kind of METHOD_CLASSES) {
    const change = classes?.[kind];
    if (!change) continue;
    const found = change.found && { found: { ...merged[kind]?.found, ...change.found } };
    merged[kind] = { ...merged[kind], ...change, ...found };
  }
  return {
    ...method,
    ...choices,
    ...(level === undefined ? {} : { level }),
    ...(Object.keys(merged).length > 0 ? { classes: merged } : {}),
  };
}
