import { CLASS_TRAITS, isAngle } from '../joints/classTraits';
import { MM_PER_FOOT } from '../measure/unit';
import type { Coat, CoatedClass } from '../method/coat';
import type { DefectKind } from '../method/defects';
import type { ClassChoices, Scraping } from '../method/resolveMethod';
import type { SmallWorkKind } from '../method/smallWork';

/**
 * What one person does in an hour by hand: feet of joint (both sides of an angle at once in the tape coat, one side
 * after), or fasteners. Bead in the tape round is set and filled. Common practice, no source (from memory).
 */
export const RATES_PER_HOUR: Readonly<
  Record<Exclude<CoatedClass, 'surface'>, Readonly<Record<'tape' | 'fill' | 'finish' | 'sand', number>>>
> = {
  flat: { tape: 90, fill: 120, finish: 150, sand: 200 },
  butt: { tape: 70, fill: 40, finish: 60, sand: 100 },
  backedButt: { tape: 70, fill: 100, finish: 120, sand: 150 },
  mixed: { tape: 85, fill: 80, finish: 100, sand: 150 },
  angle: { tape: 60, fill: 90, finish: 90, sand: 150 },
  offAngle: { tape: 45, fill: 70, finish: 70, sand: 150 },
  bead: { tape: 40, fill: 80, finish: 110, sand: 150 },
  trim: { tape: 40, fill: 100, finish: 120, sand: 150 },
  existing: { tape: 70, fill: 60, finish: 80, sand: 120 },
  fasteners: { tape: 500, fill: 700, finish: 700, sand: 800 },
};

/** Square feet of a level 5 skim, and of its sanding, in an hour. Common practice, no source. */
export const SKIM_FT2_PER_HOUR = 150;
export const SKIM_SAND_FT2_PER_HOUR = 300;

/**
 * Minutes to mend what is wrong, walking to it included; what nobody gave a name to takes as long as most. Common practice, no
 * source.
 */
export const MEND_MINUTES: Readonly<Record<DefectKind | 'unnamed', number>> = {
  bubble: 15,
  tapeShows: 10,
  ridge: 3,
  crown: 20,
  hollow: 10,
  gouged: 8,
  rounded: 10,
  streak: 5,
  pinholes: 8,
  furred: 5,
  crack: 15,
  beadOut: 30,
  screwPop: 5,
  torn: 8,
  edgeShows: 10,
  cutLine: 8,
  heavyBottom: 3,
  showThrough: 15,
  gap: 10,
  corner: 5,
  outlet: 4,
  ragged: 3,
  loose: 5,
  dent: 8,
  unnamed: 10,
};
/** Cutting a butt's paper back and taping it again: feet in an hour. Common practice, no source. */
const CUT_BACK_FT_PER_HOUR = 8;

/**
 * Returns the person-hours of cutting a joint back and taping it again.
 *
 * @param length mm
 * @example cutBackHours(4 * 304.8)  // 0.5
 */
export const cutBackHours = (length: number): number => length / MM_PER_FOOT / CUT_BACK_FT_PER_HOUR;

/** Sanding one mended place. Common practice, no source. */
export const SAND_MENDED_HOURS = 3 / 60;

/** What one person seals in an hour: 400 ft². Common practice, no source. */
export const SEAL_MM2_PER_HOUR = 400 * MM_PER_FOOT ** 2;

/** Walking in and setting up, per room and pass; mixing and cleaning, per person and day. Common practice, no source. */
export const ROOM_HOURS = 5 / 60;
export const DAY_HOURS = 30 / 60;

/** Feet in an hour by other tools than knives, by one person. Common practice, no source (from memory). */
const LAYING_RATES = {
  dispenser: 150,
  taper: 250,
  mesh: 130,
  head: 150,
  cornerTool: 200,
} as const;
const BOX_RATE = 500;
const BOXED_BACKED_BUTT_RATE = 400;
/** An unbacked butt is boxed on both sides; centring it is small work. Common practice, no source. */
const BOXED_BUTT_RATE = 250;
const TROWEL_FACTOR = 1.1;
/** Covering the tape while it is wet, a strip of paper over a bead. Common practice, no source. */
const COVERED_FACTOR = 0.85;
const STRIP_FACTOR = 0.7;
/** Putting trim over a joint, after its tape, with caulk on both edges. Common practice, no source. */
const TRIM_RATE = 40;

/** Setting up and cleaning out a mechanical taper, once a day of taping. Common practice, no source. */
export const TAPER_SETUP_HOURS = 1;
const TAPING_DAY_HOURS = 7;

/**
 * Returns whether a mechanical taper pays for some tape against another way of laying it, with one set-up and clean-out a day.
 *
 * @param feet of joint by class
 * @returns the hours that it wins, and the feet of such tape from which it would win; Infinity where it never does
 * @example taperPays({ flat: 375 }, 'applicator')  // { wins: 0, least: 375 }: 1 h over 1/150 − 1/250 h a foot
 */
export function taperPays(
  feet: Readonly<Partial<Record<CoatedClass, number>>>,
  otherwise: ClassChoices['laying'],
): { readonly wins: number; readonly least: number } {
  const taped = Object.entries(feet) as [Exclude<CoatedClass, 'surface'>, number][];
  const hours = (laying: ClassChoices['laying']) =>
    taped.reduce(
      (sum, [kind, amount]) => sum + amount / layingRate(kind, RATES_PER_HOUR[kind].tape, 'paper', { laying }),
      0,
    );
  const setups = Math.max(1, Math.ceil(hours('taper') / TAPING_DAY_HOURS)) * TAPER_SETUP_HOURS;
  const gain = hours(otherwise) - hours('taper');
  const all = taped.reduce((sum, [, amount]) => sum + amount, 0);
  return { wins: gain - setups, least: gain > 0 ? (all * setups) / gain : Number.POSITIVE_INFINITY };
}

/**
 * What one person does of small work in an hour: feet, three-ways by count. With its box an unbacked butt comes to 110 ft.
 * Common practice, no source.
 */
export const SMALL_PER_HOUR: Readonly<Record<SmallWorkKind, number>> = {
  prefill: 60,
  factoryEdge: 200,
  threeWay: 40,
  centring: 200,
};

/** What one person does of a coat in an hour with the tools chosen: feet, or fasteners. */
export function coatRate(
  kind: Exclude<CoatedClass, 'surface'>,
  { key, tool, tape, covered, edges }: Coat,
  choices: ClassChoices,
): number {
  const usual = RATES_PER_HOUR[kind];
  if (key === 'tape') {
    const rate = layingRate(kind, usual.tape, tape, choices) * (covered && tape ? COVERED_FACTOR : 1);
    const finished = choices.hard === 'trim' ? 1 / (1 / rate + 1 / TRIM_RATE) : rate;
    return kind === 'bead' && choices.beadStrip === 'strip' ? finished * STRIP_FACTOR : finished;
  }
  const byHand = key === 'fill' ? usual.fill : usual.finish;
  const rate =
    tool.kind === 'box'
      ? boxRate(kind, byHand)
      : tool.kind === 'trowel'
        ? byHand * TROWEL_FACTOR
        : tool.kind === 'corner'
          ? LAYING_RATES.cornerTool
          : byHand;
  return edges ? rate * 1.3 : rate;
}

function layingRate(
  kind: CoatedClass,
  byHand: number,
  tape: Coat['tape'],
  { laying }: Pick<ClassChoices, 'laying'>,
): number {
  if (tape === undefined) return byHand;
  if (tape === 'mesh') return LAYING_RATES.mesh;
  // Rates are those of flats; harder joints keep their proportion.
  const harder = byHand / RATES_PER_HOUR.flat.tape;
  const angle = isAngle(kind);
  switch (laying) {
    case 'belt':
      return byHand;
    case 'dispenser':
      return LAYING_RATES.dispenser * harder;
    case 'applicator':
      return angle ? (LAYING_RATES.head * byHand) / RATES_PER_HOUR.angle.tape : LAYING_RATES.dispenser * harder;
    case 'taper':
      return angle ? (LAYING_RATES.head * byHand) / RATES_PER_HOUR.angle.tape : LAYING_RATES.taper * harder;
  }
}

function boxRate(kind: CoatedClass, byHand: number): number {
  switch (CLASS_TRAITS[kind].boxed) {
    case 'along':
      return BOX_RATE;
    case 'butt':
      return Math.max(byHand, BOXED_BUTT_RATE);
    case 'backed':
      return BOXED_BACKED_BUTT_RATE;
    case 'never':
      return byHand;
  }
}

/**
 * Feet of joint that one person scrapes in an hour: 15–20 minutes for a floor of 1,000 ft that was left clean; hours where burrs and
 * lap marks are everywhere, which is what is reckoned with until a crew's log says otherwise. Common practice, no source.
 */
export const SCRAPED_PER_HOUR: Readonly<Record<Scraping, number>> = { clean: 3300, dirty: 600 };

/** Feet in an hour of what is done between two coats. Common practice, no source. */
export function betweenRate(
  kind: Exclude<CoatedClass, 'surface' | 'fasteners'>,
  between: ClassChoices['between'],
  scraping: Scraping = 'dirty',
): number {
  switch (between) {
    case 'scrape':
      return SCRAPED_PER_HOUR[scraping];
    case 'sand':
      return RATES_PER_HOUR[kind].sand * 1.5;
    case 'spot':
      return 1000;
    case 'sponge':
      return 250;
  }
}
