import { isAngle } from '../joints/classTraits';
import { fromMm } from '../measure/unit';
import { chosenCoatKeys, coatKeysFor } from '../method/coatKeysFor';
import { coatsFor } from '../method/coatsFor';
import { choicesFor } from '../method/resolveMethod';
import { judgeSection, MOST_BUILD_MM } from '../section/judgeSection';
import { sectionFor } from '../section/sectionFor';
import { strictestTolerance } from '../section/tolerance';
import { widthThatHides } from '../section/widthThatHides';
import type { Found, Looked } from './conflict';

export function angleSides({ method, kinds, tally }: Looked): readonly Found[] {
  return kinds.filter(isAngle).flatMap((kind): readonly Found[] => {
    const { angles, angleTool } = choicesFor(method, kind);
    if (angles === 'both' && angleTool === 'knife')
      return [
        {
          id: `angles.both.${kind}`,
          severity: 'forbidden',
          question: 'angles',
          class: kind,
          why: { rule: 'bothSidesByKnife' },
          mend: { classes: { [kind]: { angleTool: 'corner' } } },
        },
      ];
    if (angles === 'sides' && tally.threeWays > 0 && coatsFor(kind, method).some(({ side }) => side !== undefined))
      return [
        {
          id: `angles.threeWays.${kind}`,
          severity: 'doubtful',
          question: 'angles',
          class: kind,
          why: { rule: 'wetSidesMeet', threeWays: tally.threeWays },
          mend: { choices: { angles: 'opposite' } },
        },
      ];
    return [];
  });
}

/** source of what a level asks: Gypsum Association GA-214; ASTM C840 (from memory) */
export function tooFewCoats({ method, kinds }: Looked): readonly Found[] {
  return kinds.flatMap((kind): readonly Found[] => {
    const choices = choicesFor(method, kind);
    const [chosen, asked] = [chosenCoatKeys(kind, method.level, choices), coatKeysFor(kind, method.level)];
    if (chosen.length >= asked.length || choices.hard === 'trim') return [];
    return [
      {
        id: `level.${kind}`,
        // A single wide coat on butts is a school of its own.
        severity: kind === 'butt' && chosen.length > 1 ? 'doubtful' : 'forbidden',
        question: 'coats',
        class: kind,
        why: { rule: 'tooFewCoats', level: method.level, asked: asked.length - 1, chosen: chosen.length - 1 },
        mend: { classes: { [kind]: { coats: 'level' } } },
      },
    ];
  });
}

export function buttsTooNarrow({ method, kinds, finish, unit }: Looked): readonly Found[] {
  if (!kinds.includes('butt') || method.level < 4) return [];
  const tolerance = strictestTolerance(finish);
  const { shows, crown } = judgeSection(sectionFor('butt', method), tolerance);
  const isHigh = crown >= MOST_BUILD_MM;
  const isSkimmed = coatsFor('surface', method).length > 0;
  if (!shows || (isSkimmed && !isHigh)) return [];
  const width = widthThatHides('butt', method, tolerance);
  const found = { severity: 'doubtful', question: 'width', class: 'butt' } as const;
  if (width === undefined && !isHigh)
    return [
      {
        ...found,
        id: 'butt.light',
        why: { rule: 'buttsInThisLight' },
        mend: { choices: { last: 'skim' } },
      },
    ];
  if (width === undefined)
    return [
      {
        ...found,
        id: 'butt.build',
        why: { rule: 'buttsTooHigh' },
        mend: { classes: { butt: { coats: 'three' } } },
      },
    ];
  const typed = unit === 'in' ? Math.round(fromMm(width, 'in')) : Math.ceil(width / 10) * 10;
  return [
    {
      ...found,
      id: 'butt.narrow',
      why: { rule: 'buttsTooNarrow', width: typed },
      mend: { classes: { butt: { width: typed } } },
    },
  ];
}
