import { type CoatedClass, type CoatKey, type MudProduct, SETTING_RECOAT_FACTOR } from './coat';
import { isAccessory } from './coatKeysFor';
import type { ClassChoices } from './resolveMethod';

const NAMES: Readonly<Record<CoatKey, string>> = {
  tape: 'Tape coat',
  fill: 'Fill coat',
  finish: 'Finish coat',
  extra: 'Extra coat',
  sides: 'Last sides',
  skim: 'Skim',
};

/** What a coat is called: an accessory is filled where a joint is taped. */
export function coatName(kind: CoatedClass, key: CoatKey, { hard }: Pick<ClassChoices, 'hard'>): string {
  if (key === 'tape' && isAccessory(kind)) return 'First fill';
  return key === 'tape' && hard === 'trim' ? 'Tape coat, then trim and caulk' : NAMES[key];
}

const PURPOSES: Readonly<Record<CoatKey, string>> = {
  tape: 'bonds the tape; what stays under it is little',
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
export const purposeOf = (kind: CoatedClass, key: CoatKey): string =>
  (isAccessory(kind) ? ACCESSORY_PURPOSES : PURPOSES)[key];

/** What to wait for before anything goes over a coat. */
export const waitAfter = (mud: MudProduct, settingMinutes: number, isLast: boolean): string =>
  mud === 'setting'
    ? `${Math.round(settingMinutes * SETTING_RECOAT_FACTOR)} min from mixing: firm is enough, damp is fine`
    : `until it is dry and white throughout; ${isLast ? 'overnight' : 'overnight to a day'}, corners last`;

const COMMON = {
  finish: 'no rock and no light under a 12 in knife; the edges cannot be felt',
  extra: 'no rock and no light under a 12 in knife; the edges cannot be felt',
  sides: 'both sides straight, the corner sharp',
  skim: 'even under a lamp held along the wall',
} as const;

/** What to look at before the next coat. */
export const CHECKS: Readonly<Record<'seam' | 'angle' | 'accessory', Readonly<Record<CoatKey, string>>>> = {
  seam: {
    ...COMMON,
    tape: 'no bubble, no dry edge; the paper around it darkens evenly',
    fill: 'tape buried; the two lines of the knife lie beside the joint; no rock under a 12 in knife',
  },
  angle: {
    ...COMMON,
    tape: 'creased into the corner, no bubble, nothing thick behind it',
    fill: 'no gouge on the other side, the corner still sharp',
    finish: 'both sides straight, the corner sharp',
    extra: 'both sides straight, the corner sharp',
  },
  accessory: {
    ...COMMON,
    tape: 'straight and fast; nothing loose behind it',
    fill: 'a straight knife from the nose to the wall shows no hollow',
  },
};
