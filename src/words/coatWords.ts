import { isAccessory, isAngle } from '../core/joints/classTraits';
import { type LengthUnit, MM_PER_FOOT } from '../core/measure/unit';
import { type Coat, type CoatedClass, type CoatKey, SETTING_RECOAT_FACTOR, type Side } from '../core/method/coat';
import type { LadderStep } from '../core/method/ladderFor';
import type { ClassChoices } from '../core/method/resolveMethod';
import type { CoatKind } from '../core/readiness/coatClock';
import { bladeWords, deepFillWords } from './lengthWords';

const NAMES: Readonly<Record<CoatKey, string>> = {
  tape: 'Tape coat',
  fill: 'Fill coat',
  finish: 'Finish coat',
  extra: 'Extra coat',
  sides: 'Last sides',
  skim: 'Skim',
};

/** What a coat is called: an accessory is filled where a joint is taped. */
export function coatName({
  class: kind,
  key,
  sides,
  trimmed,
}: Pick<Coat, 'class' | 'key' | 'sides' | 'trimmed'>): string {
  if (key === 'tape' && isAccessory(kind)) return kind === 'fasteners' ? 'First fill' : 'Set and first fill';
  const name = trimmed ? 'Tape coat, then trim and caulk' : NAMES[key];
  return sides ? `${name}, ${sidesWords(sides)}` : name;
}

/**
 * Names some coats that are run one after the other, those with the same name together.
 *
 * @param nameOf a class, within a sentence
 * @example coatsWords(coats, nameOf)  // 'Set and first fill on corner bead, tape coat on butts and flats'
 */
export function coatsWords(
  coats: readonly Pick<Coat, 'class' | 'key' | 'sides' | 'trimmed'>[],
  nameOf: (kind: CoatedClass) => string,
): string {
  const byName = new Map<string, string[]>();
  for (const coat of coats) {
    const name = coatName({ ...coat, sides: undefined });
    const kinds = byName.get(name) ?? [];
    byName.set(name, kinds);
    if (!kinds.includes(nameOf(coat.class))) kinds.push(nameOf(coat.class));
  }
  const words = [...byName].map(([name, kinds]) => `${name} on ${listWords(kinds)}`.toLowerCase()).join(', ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Words in a row: flats, butts and fasteners. */
export const listWords = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/**
 * Names coats that dry alike.
 *
 * @example coatKindWords('all-purpose fill')  // 'All-purpose mud, fill coat,'
 */
export function coatKindWords(kind: CoatKind): string {
  const [mud = '', key] = kind.split(' ');
  return `${mud.charAt(0).toUpperCase()}${mud.slice(1)} mud, ${NAMES[key as CoatKey].toLowerCase()},`;
}

/** The sides of angles that are run in a round. */
export const sidesWords = (sides: NonNullable<Coat['sides']>): string => `${SIDES[sides]} sides`;
const SIDES: Readonly<Record<Side | 'ceiling' | 'wall', string>> = {
  left: 'left',
  right: 'right',
  first: 'first',
  second: 'second',
  ceiling: 'ceiling',
  wall: 'wall',
};

const PURPOSES: Readonly<Record<CoatKey, string>> = {
  tape: 'beds the tape; leave only a thin film under it',
  fill: 'buries the tape and gives the wall its final shape',
  finish: 'clears what small marks remain',
  extra: 'clears what the check still shows',
  sides: 'finishes the sides that are left',
  skim: 'covers paper and mud alike, so that light finds no difference',
};

const ACCESSORY_PURPOSES: Readonly<Record<CoatKey, string>> = {
  ...PURPOSES,
  tape: 'gives a first thin fill, in the same round as the tape',
  fill: 'fills what the first coat left by shrinking',
  finish: 'leaves it level with the paper',
};

/** What a coat is for, as the end of a sentence that begins with "it". */
export const purposeOf = ({ class: kind, key }: Pick<Coat, 'class' | 'key'>): string =>
  (isAccessory(kind) ? ACCESSORY_PURPOSES : PURPOSES)[key];

/**
 * What a coat is put on with.
 *
 * @example toolWords(coat, 'mm')  // '250 mm flat box, set to 2'
 */
export function toolWords({ tool, centred }: Pick<Coat, 'tool' | 'centred'>, unit: LengthUnit): string {
  const knife = `${bladeWords(tool.width, unit)} knife`;
  const from = tool.tapeFrom && TAPE_FROM[tool.tapeFrom];
  const words = {
    knife: from ? `${from}, ${knife}` : knife,
    trowel: `${bladeWords(tool.width, unit)} trowel`,
    box: `${bladeWords(tool.width, unit)} flat box, set to ${tool.setting}`,
    head: `${tool.tapeFrom === 'taper' ? 'mechanical taper' : 'applicator'}, roller and angle head`,
    corner: 'corner tool, both sides',
    taper: `mechanical taper, ${knife}`,
  }[tool.kind];
  return centred ? `${words}, centred with a ${longKnife(unit)} the same day` : words;
}
const TAPE_FROM: Readonly<Record<NonNullable<Coat['tool']['tapeFrom']>, string>> = {
  roll: 'mesh from the roll',
  belt: 'tape from the belt',
  dispenser: 'wet-tape dispenser',
  applicator: 'wet-tape dispenser',
  taper: 'mechanical taper',
};

/** What to wait for before anything goes over a coat. */
export const waitWords = ({ settingMinutes, isLast }: Pick<Coat, 'settingMinutes' | 'isLast'>): string =>
  settingMinutes === undefined
    ? `until it is dry and white throughout; ${isLast ? 'overnight' : 'overnight to a day'}, corners last`
    : `${Math.round(settingMinutes * SETTING_RECOAT_FACTOR)} min from mixing: firm is enough, damp is fine`;

type Checks = Readonly<Record<CoatKey, string>>;
/** What to look at before the next coat, and when it is good. */
export function checkWords({ class: kind, key }: Pick<Coat, 'class' | 'key'>, unit: LengthUnit): string {
  const knife = `a ${longKnife(unit)}`;
  const common = {
    finish: `no rock and no light under ${knife}; the edges cannot be felt`,
    extra: `no rock and no light under ${knife}; the edges cannot be felt`,
    sides: 'both sides straight, the corner sharp',
    skim: 'even under a lamp held along the wall',
  };
  return checksOf(kind, common, knife)[key];
}

/** What is laid across a joint to see whether it is flat. */
export const longKnife = (unit: LengthUnit): string => `${bladeWords(MM_PER_FOOT, unit)} knife`;

function checksOf(kind: CoatedClass, common: Omit<Checks, 'tape' | 'fill'>, knife: string): Checks {
  if (kind === 'fasteners')
    return {
      ...common,
      tape: 'no head above the paper, no ring around it; torn paper is a new screw',
      fill: 'level under a knife, no dimple left',
      finish: 'no dimple, no edge to feel',
      extra: 'no dimple, no edge to feel',
    };
  if (isAccessory(kind))
    return {
      ...common,
      tape: 'straight and fast; nothing loose behind it',
      fill: 'a straight knife from the nose to the wall shows no hollow',
    };
  if (isAngle(kind))
    return {
      ...common,
      tape: 'creased into the corner, no bubble, nothing thick behind it',
      fill: 'no gouge on the other side, the corner still sharp',
      finish: common.sides,
      extra: common.sides,
    };
  return {
    ...common,
    tape: 'no bubble, no dry edge; the paper around it darkens evenly',
    fill: `tape buried; the two lines of the knife lie beside the joint; no rock under ${knife}`,
  };
}

interface StepWords {
  readonly name: string;
  readonly what: string;
}

/** What is done between two coats. */
export const BETWEEN_WORDS: Readonly<Record<ClassChoices['between'], StepWords>> = {
  scrape: {
    name: 'Scrape and dust off',
    what: 'burrs, lap marks and heavy bottoms with the knife; brush the dust off',
  },
  sand: { name: 'Sand and dust off', what: '100 grit, lightly; brush or wipe the dust off: it weakens the next coat' },
  spot: { name: 'Spot the marks', what: 'no sanding: fill the marks with a touch of mud' },
  sponge: { name: 'Wet sponge', what: 'rub the edges down with a damp sponge; no dust in a house that is lived in' },
};

/** What is done beside the coats of a ladder. */
export function stepWords(step: Exclude<LadderStep, { readonly kind: 'coat' }>, unit: LengthUnit): StepWords {
  switch (step.kind) {
    case 'between':
      return BETWEEN_WORDS[step.how];
    case 'prefill':
      return { name: 'Pre-fill', what: `gaps over ${deepFillWords(unit)} and broken board with setting mud` };
    case 'cover':
      return { name: 'Trim and caulk', what: 'cover it and caulk the edges: trim alone stops no air' };
    case 'sand':
      return {
        name: 'Sand',
        what: 'along the joint or a little off it, fine and foam-backed; stop where tape appears; wipe the dust off',
      };
  }
}

/** Tape is cut short of what it runs into. Common practice, no source. */
export const setBacks = (unit: LengthUnit): string =>
  unit === 'in'
    ? 'Tape stops ¼ in from a bead’s end, ½ in short of the angle it runs into, about 1 in above the floor.'
    : 'Tape stops 6 mm from a bead’s end, 12 mm short of the angle it runs into, about 25 mm above the floor.';
