import { type LengthUnit, MM_PER_INCH } from '../measure/unit';
import type { MethodChoices } from '../room/methodSchema';

/** A complete method to start from, in plain words. */
export interface StartingMethod {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  readonly choices: MethodChoices;
}

/** Bedded and covered while wet, then filled, both sides at once. */
const CORNER_TOOL = { cover: 'skim', coats: 'one', angles: 'both', angleTool: 'corner' } as const;

/**
 * The methods that ship. Each answers what it differs in; the rest is as usual. Common practice, no source.
 *
 * @param unit of the house, in which widths are kept
 */
export function startingMethods(unit: LengthUnit): readonly StartingMethod[] {
  const length = (mm: number) => (unit === 'mm' ? mm : Math.round((mm / MM_PER_INCH) * 4) / 4);
  return [
    {
      id: 'hand',
      name: 'Widening knives by hand',
      words: 'Paper from the belt, three coats with knives that widen, drying mud throughout, scraped between.',
      choices: {},
    },
    {
      id: 'trowel',
      name: 'Hawk and trowel',
      words: 'Wet-tape dispenser, covered while wet; fill and finish with 14 and 16 in trowels, topping from the box.',
      choices: { tools: 'trowel', laying: 'dispenser', cover: 'skim', consistency: 'box', between: 'scrape' },
    },
    {
      id: 'boxes',
      name: 'Flat boxes by a pair',
      words: 'Applicator and angle head for tape, boxes for flats and butts, unbacked butts centred the same day.',
      choices: {
        tools: 'boxes',
        laying: 'applicator',
        angles: 'both',
        angleTool: 'corner',
        order: 'boxes',
        centring: 'sameDay',
        between: 'scrape',
      },
    },
    {
      id: 'setting',
      name: 'Setting mud first',
      words:
        'Tape and fill in setting mud on one day, drying mud last; mesh on the flats, paper in angles and on butts.',
      choices: { mud: 'settingFirst', tape: 'mesh', settingMinutes: 45, between: 'scrape' },
    },
    {
      id: 'metric',
      name: 'Metric taper jointing',
      words:
        'The fill 50 mm past the tape coat on each side; two coats in angles in all, both sides at once with the corner tool; sealed over all.',
      choices: {
        between: 'sand',
        last: 'seal',
        classes: {
          flat: { width: length(300) },
          mixed: { width: length(450) },
          butt: { width: length(650) },
          angle: CORNER_TOOL,
          offAngle: CORNER_TOOL,
        },
      },
    },
  ];
}
