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
      choices: { tools: 'trowel', laying: 'dispenser', cover: 'skim', consistency: 'box', between: 'scrape' },
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
      },
    },
    {
      id: 'setting',
      choices: { mud: 'settingFirst', tape: 'mesh', settingMinutes: 45, between: 'scrape' },
    },
    {
      id: 'metric',
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
