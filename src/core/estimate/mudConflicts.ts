import { coatTimes } from '../drying/coatTimes';
import { wetMudFrom } from '../drying/wetMud';
import { isAngle } from '../joints/classTraits';
import { coatsFor } from '../method/coatsFor';
import { choicesFor } from '../method/resolveMethod';
import { sectionFor } from '../section/sectionFor';
import type { Found, Looked } from './conflict';

export function meshInDryingMud({ method, kinds }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    const [tapeCoat] = coatsFor(kind, method);
    if (tapeCoat?.tape !== 'mesh' || tapeCoat.mud === 'setting') return [];
    return [
      {
        id: `mesh.mud.${kind}`,
        severity: 'forbidden',
        question: 'tape',
        class: kind,
        why: { rule: 'meshInDryingMud' },
        mend: { classes: { [kind]: { mud: 'settingFirst' } } },
      },
    ];
  });
}

export function meshInAngles({ method, kinds }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    if (!(isAngle(kind) || kind === 'butt') || choicesFor(method, kind).tape !== 'mesh') return [];
    return [
      {
        id: `mesh.${kind}`,
        severity: isAngle(kind) ? 'forbidden' : 'doubtful',
        question: 'tape',
        class: kind,
        why: { rule: isAngle(kind) ? 'meshInAngle' : 'meshOnButt' },
        mend: { classes: { [kind]: { tape: 'paper' } } },
      },
    ];
  });
}

/** Setting mud that dries before it has set bonds poorly: by the thickness of the coat and the air. */
export function settingMudTooThin({ method, kinds, air }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    const late = sectionFor(kind, method).coats.filter(({ coat }) => coat.key !== 'tape' && coat.mud === 'setting');
    const thin = late.find(({ coat, thickest }) =>
      coatTimes(wetMudFrom(coat, thickest), air).troubles.includes('driesBeforeItSets'),
    );
    const last = late.at(-1);
    const isLast =
      last !== undefined && last.coat.key === coatsFor(kind, method).at(-1)?.key && last.coat.key !== 'fill';
    const isScrewPass = kind === 'fasteners' && late.length > 0;
    if (!thin && !isLast && !isScrewPass) return [];
    return [
      {
        id: `setting.thin.${kind}`,
        severity: 'doubtful',
        question: 'mud',
        class: kind,
        why: thin ? { rule: 'driesBeforeItSets', coat: thin.coat } : { rule: 'settingMudLast' },
        mend: { classes: { [kind]: { mud: 'settingFirst' } } },
      },
    ];
  });
}

export function notSealed({ method, finish }: Looked): readonly Found[] {
  const surfaces = [finish?.surface, ...Object.values(finish?.faces ?? {}).map(({ surface }) => surface)];
  const texture = surfaces.includes('fine texture');
  if (method.all.last !== 'none' || (method.level < 4 && !texture)) return [];
  return [
    {
      id: 'last.none',
      severity: 'doubtful',
      question: 'last',
      class: undefined,
      why: texture ? { rule: 'textureUnsealed' } : { rule: 'unsealed', level: method.level },
      mend: { choices: { last: 'seal' } },
    },
  ];
}

/** All-purpose to the end is hard to sand, in angles above all. Common practice, no source. */
export function hardTopCoat({ method, kinds }: Looked): readonly Found[] {
  if (method.level < 4 || method.all.product !== 'allPurpose' || !kinds.some(isAngle)) return [];
  return [
    {
      id: 'product.allPurpose',
      severity: 'doubtful',
      question: 'product',
      class: undefined,
      why: { rule: 'hardTopCoat' },
      mend: { choices: { product: 'lightweight' } },
    },
  ];
}

/** One side of an angle is coated over its wet tape, so all coats of that angle are of one mud. Common practice, no source. */
export function mudsOnOneAngle({ method, kinds }: Looked): readonly Found[] {
  return kinds.filter(isAngle).flatMap((kind): readonly Found[] => {
    const { cover, angles } = choicesFor(method, kind);
    const muds = new Set(coatsFor(kind, method).map(({ mud }) => mud));
    if (cover !== 'oneSide' || angles === 'both' || muds.size < 2) return [];
    return [
      {
        id: `cover.oneSide.${kind}`,
        severity: 'forbidden',
        question: 'product',
        class: kind,
        why: { rule: 'mudsOnOneAngle' },
        mend: { classes: { [kind]: { mud: 'drying', product: 'lightweight' } } },
      },
    ];
  });
}
