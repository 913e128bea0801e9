import { CLASS_TRAITS } from '@/core/joints/classTraits';
import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import { cachedMethod } from '@/core/method/cachedMethod';
import { COATED_CLASSES, type Coat, type CoatedClass, FIRM_MINUTES, SETTING_RECOAT_FACTOR } from '@/core/method/coat';
import { DEFECT_KINDS, DEFECTS, usualMistakes } from '@/core/method/defects';
import { ladderFor } from '@/core/method/ladderFor';
import type { HouseSnapshot } from '@/core/snapshot/houseSnapshot';
import type { GlyphLayer } from '@/ui/section/SectionGlyph';
import { checkWords, coatName, purposeOf, setBacks, stepWords, toolWords, waitWords } from '@/words/coatWords';
import { DEFECT_WORDS, MEND_WORDS } from '@/words/defectWords';
import { bladeWords, inchesTo, smallWords } from '@/words/lengthWords';
import { CLASS_NAMES } from '@/words/stateWords';
import type { GuideCard, GuideStep } from './guideCard';
import { topicCards } from './topicCards';

/** What each class is and how it behaves. Common practice, no source. */
const ABOUT: Readonly<Record<CoatedClass, (unit: LengthUnit) => string>> = {
  flat: (unit) =>
    `Two tapered long edges meet: a valley that the tape sinks into. It ends ${inchesTo(10, 12, unit)} wide.`,
  butt: (unit) =>
    `Two square or cut ends meet: a hump, for the tape stands proud. It ends ${inchesTo(24, 28, unit)} wide, a bad one ${bladeWords(36 * MM_PER_INCH, unit)}; wide hides it, height never does.`,
  backedButt: () => 'Two ends over a recessing backer: nearly a flat; it takes a little more mud than one.',
  mixed: () => 'A tapered edge against a cut one: half a valley. It is floated wider than a flat.',
  angle: () =>
    'An inside corner: creased paper, and two sides, each a surface of its own that is coated, dries and is logged by itself.',
  offAngle: () =>
    'An inside corner that is not square, under slopes and in bays: flexible tape, for it drifts out of line easily.',
  bead: (unit) =>
    `An outside corner, filled from the nose ${inchesTo(6, 10, unit)} back on both sides. It is set square and fixed in opposite pairs every ${inchesTo(16, 18, unit)}.`,
  trim: () => 'A free edge with an L or a J on it, filled on one side.',
  existing: () => 'New board meets an old wall, which has no taper and may be painted: the mud is floated onto it.',
  fasteners: () => 'Every screw in the field: three thin passes; none behind tape or tile.',
  surface: () => 'A thin skim over everything, so that paper and mud take light and paint alike.',
};

/** The cards of the guide by the method of a house: what its lead chose is what they say. */
export function guideCards({ house }: Pick<HouseSnapshot, 'house'>): readonly GuideCard[] {
  const method = cachedMethod(house);
  const { unit } = house;
  const classes = COATED_CLASSES.flatMap((kind): readonly GuideCard[] => {
    const steps = ladderFor(kind, method);
    if (steps.length === 0) return [];
    const laid: GlyphLayer[] = [];
    return [
      {
        id: kind,
        title: CLASS_NAMES[kind],
        kind,
        what: [ABOUT[kind](unit)],
        steps: steps.map((step): GuideStep => {
          if (step.kind !== 'coat') {
            const { name, what } = stepWords(step, unit);
            return { name, layers: [], lines: [`${capital(what)}.`], mistakes: [] };
          }
          const { coat } = step;
          const before = laid.map((layer): GlyphLayer => ({ ...layer, phase: 'dry' }));
          laid.push({ key: coat.key, side: coat.side, phase: 'dry' });
          return {
            name: coatName(coat),
            layers: [...before, { key: coat.key, side: coat.side, phase: 'wet' }],
            lines: [
              `It ${purposeOf(coat)}.`,
              `${capital(toolWords(coat, unit))}, ${smallWords(coat.tool.width, house.unit)} wide${coat.key !== 'tape' && CLASS_TRAITS[kind].sides === 2 ? ' on each side' : ''}.`,
              `${capital(mudWords(coat))}, ${coat.consistency}.`,
              ...(coat.tape ? [setBacks(house.unit)] : []),
              `Then wait ${waitWords(coat)}.`,
              `Good when: ${checkWords(coat, unit)}.`,
            ],
            mistakes: usualMistakes(coat).map((defect) => ({
              name: DEFECT_WORDS[defect].name,
              words: `${DEFECT_WORDS[defect].cause}. Mend: ${DEFECT_WORDS[defect].mend}.`,
            })),
          };
        }),
      },
    ];
  });
  const facts = { firm: FIRM_MINUTES, recoat: SETTING_RECOAT_FACTOR, sponge: method.all.sponge };
  return [...classes, defectCard(), ...topicCards(house.unit, facts)];
}

const mudWords = ({ mud, settingMinutes, tape }: Coat): string =>
  `${settingMinutes === undefined ? `${mud} mud` : `${settingMinutes} min setting mud`}${tape ? ` under ${tape} tape` : ''}`;

/** What goes wrong, each kind to be linked to. */
const defectCard = (): GuideCard => ({
  id: 'defects',
  title: 'What goes wrong',
  kind: undefined,
  what: ['Where it comes from, how it is mended, and when.'],
  steps: DEFECT_KINDS.map((defect) => ({
    id: `defect-${defect}`,
    name: DEFECT_WORDS[defect].name,
    layers: [],
    lines: [
      `It comes from: ${DEFECT_WORDS[defect].cause}.`,
      `${capital(DEFECT_WORDS[defect].mend)}; ${MEND_WORDS[DEFECTS[defect].mend]}.`,
    ],
    mistakes: [],
  })),
});

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The cards in which every word that is looked for stands; all of them where nothing is. */
export function cardsWith(cards: readonly GuideCard[], looked: string): readonly GuideCard[] {
  const words = looked.toLowerCase().split(/\s+/).filter(Boolean);
  return cards.filter((card) => {
    const text = textOf(card).toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

const textOf = ({ title, what, steps }: GuideCard): string =>
  [
    title,
    ...what,
    ...steps.flatMap(({ name, lines, mistakes }) => [
      name,
      ...lines,
      ...mistakes.flatMap((mistake) => [mistake.name, mistake.words]),
    ]),
  ].join(' ');
