import { type LengthUnit, MM_PER_INCH } from '../measure/unit';
import type { MethodChoices } from '../room/methodSchema';

export const SCHOOLS = ['hand', 'trowel', 'boxes', 'setting', 'metric'] as const;
export type School = (typeof SCHOOLS)[number];

/** A complete method to start from. */
export interface StartingMethod {
  readonly id: School;
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
      choices: {},
    },
    {
      id: 'trowel',
      choices: {
        tools: 'trowel',
        laying: 'dispenser',
        cover: 'skim',
        consistency: 'box',
        between: 'scrape',
        classes: { mixed: { width: length(20 * MM_PER_INCH) }, existing: { width: length(24 * MM_PER_INCH) } },
      },
    },
    {
      id: 'boxes',
      choices: {
        tools: 'boxes',
        laying: 'applicator',
        angles: 'both',
        angleTool: 'corner',
        order: 'boxes',
        centring: 'sameDay',
        between: 'scrape',
        classes: { mixed: { width: length(18 * MM_PER_INCH) }, existing: { width: length(24 * MM_PER_INCH) } },
      },
    },
    {
      id: 'setting',
      choices: {
        mud: 'settingFirst',
        tape: 'mesh',
        settingMinutes: 45,
        between: 'scrape',
        classes: { butt: { width: length(30 * MM_PER_INCH) }, existing: { width: length(24 * MM_PER_INCH) } },
      },
    },
    {
      id: 'metric',
      choices: {
        between: 'sand',
        last: 'seal',
        classes: {
          flat: { width: length(300) },
          mixed: { width: length(450) },
          butt: { width: length(700) },
          existing: { width: length(550) },
          angle: CORNER_TOOL,
          offAngle: CORNER_TOOL,
        },
      },
    },
  ];
}
