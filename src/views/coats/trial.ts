import type { MethodPatch } from '@/core/estimate/methodPatch';
import { fromMm, type LengthUnit } from '@/core/measure/unit';
import { coatsFor } from '@/core/method/coatsFor';
import { choicesFor, type Method } from '@/core/method/resolveMethod';
import type { MethodClass } from '@/core/room/methodAnswers';
import { buildSection, type Section } from '@/core/section/buildSection';
import { foundIn, sectionFor } from '@/core/section/sectionFor';

/** What the sliders have set; the rest is as the method and the joint have it. */
export interface Trial {
  readonly taper?: number;
  readonly hump?: number;
  readonly bevel?: number;
  readonly factoryEdges?: 0 | 1 | 2;
  readonly gap?: number;
  readonly nose?: number;
  readonly width?: number;
  readonly mud?: 'drying' | 'settingFirst' | 'setting';
}

/** The section as the sliders have it. */
export function tryOut(kind: MethodClass, method: Method, trial: Trial): Section {
  if (Object.keys(trial).length === 0) return sectionFor(kind, method);
  const own = choicesFor(method, kind);
  const choices = { ...own, mud: trial.mud ?? own.mud, width: trial.width ?? own.width };
  const coats = coatsFor(kind, { ...method, classes: { ...method.classes, [kind]: choices } });
  const edges = trial.factoryEdges === undefined ? {} : { factoryEdges: trial.factoryEdges };
  const found = { ...foundIn(kind, method), ...definedIn(trial), ...edges };
  return buildSection(kind, coats, found, { sandBetween: own.between === 'sand' });
}

/** The joint as the sliders have it. */
export const definedIn = ({ taper, hump, bevel, gap, nose }: Trial) => ({
  ...(taper === undefined ? {} : { taper }),
  ...(hump === undefined ? {} : { hump }),
  ...(bevel === undefined ? {} : { bevel }),
  ...(gap === undefined ? {} : { gap }),
  ...(nose === undefined ? {} : { nose }),
});

/** What the sliders have set as a change of the method, in the unit of the house. */
export function patchFrom(kind: MethodClass, trial: Trial, unit: LengthUnit): MethodPatch {
  const own = Object.entries(definedIn(trial)).map(([key, mm]) => [key, Math.round(fromMm(mm, unit) * 1000) / 1000]);
  return {
    classes: {
      [kind]: {
        ...(trial.mud === undefined ? {} : { mud: trial.mud }),
        ...(trial.width === undefined ? {} : { width: Math.round(fromMm(trial.width, unit) * 4) / 4 }),
        ...(own.length > 0 ? { found: Object.fromEntries(own) } : {}),
      },
    },
  };
}
