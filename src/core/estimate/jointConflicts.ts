import { fromMm } from '../measure/unit';
import { chosenCoatKeys, coatKeysFor, isAngle } from '../method/coatKeysFor';
import { coatsFor } from '../method/coatsFor';
import { choicesFor } from '../method/resolveMethod';
import { judgeSection } from '../section/judgeSection';
import { sectionFor } from '../section/sectionFor';
import { strictestTolerance } from '../section/tolerance';
import { widthThatHides } from '../section/widthThatHides';
import type { Found, Looked } from './conflict';

export function angleSides({ method, kinds, tally }: Looked): readonly Found[] {
  return kinds.filter(isAngle).flatMap((kind): readonly Found[] => {
    const { angles, angleTool } = choicesFor(method, kind);
    const mend = {
      words: 'One side at a time, opposite walls first',
      patch: { choices: { angles: 'opposite' as const } },
    };
    if (angles === 'both' && angleTool === 'knife')
      return [
        {
          id: `angles.both.${kind}`,
          severity: 'forbidden',
          question: 'angles',
          class: kind,
          why: 'both sides wet with a plain knife: each pass gouges the side before',
          mend: { words: 'With a corner tool', patch: { classes: { [kind]: { angleTool: 'corner' } } } },
        },
      ];
    if (angles === 'sides' && tally.threeWays > 0 && coatsFor(kind, method).some(({ side }) => side !== undefined))
      return [
        {
          id: `angles.threeWays.${kind}`,
          severity: 'doubtful',
          question: 'angles',
          class: kind,
          why: `two wet sides meet in ${tally.threeWays} three-ways when all left sides are run together`,
          mend,
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
        why: `level ${method.level} asks for ${asked.length - 1} after the tape, ${chosen.length - 1} ${chosen.length === 2 ? 'is' : 'are'} chosen`,
        mend: { words: 'As the level asks', patch: { classes: { [kind]: { coats: 'level' } } } },
      },
    ];
  });
}

export function buttsTooNarrow({ method, kinds, finish, unit }: Looked): readonly Found[] {
  if (!kinds.includes('butt') || method.level < 4) return [];
  const tolerance = strictestTolerance(finish);
  if (!judgeSection(sectionFor('butt', method), tolerance).shows) return [];
  const width = widthThatHides('butt', method, tolerance);
  const found = { severity: 'doubtful', question: 'width', class: 'butt' } as const;
  if (width === undefined)
    return [
      {
        ...found,
        id: 'butt.build',
        why: 'the butts stand too high to be hidden by any width: bring the wall around them up, or take the board out',
        mend: { words: 'Three coats after tape', patch: { classes: { butt: { coats: 'three' } } } },
      },
    ];
  const typed = unit === 'in' ? Math.round(fromMm(width, 'in')) : Math.ceil(width / 10) * 10;
  return [
    {
      ...found,
      id: 'butt.narrow',
      why: 'the butts are floated narrower than their hump needs, and will show in this light',
      mend: { words: `${typed} ${unit} wide`, patch: { classes: { butt: { width: typed } } } },
    },
  ];
}
