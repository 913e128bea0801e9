import { MM_PER_INCH } from '../measure/unit';
import { SETTING_RECOAT_FACTOR } from '../method/coat';
import { type Air, COLDEST_FOR_FINISHING_C } from './air';
import { dryingHours, USUAL_THICKNESS_MM } from './dryingHours';

/** Drying mud, or setting mud by the minutes on its label. */
export type Mud = { readonly kind: 'drying' } | { readonly kind: 'setting'; readonly minutes: number };

/** Hours from application (setting mud: from mixing for `set` and `recoat`). */
export interface CoatTimes {
  readonly setHours?: number;
  readonly recoatHours: number;
  readonly sandHours: number;
  readonly warnings: readonly string[];
}

const SETTING_WANTS_MM = MM_PER_INCH / 8;
const DEEP_FOR_DRYING_MM = (MM_PER_INCH * 3) / 8;
const NEARLY_SATURATED = 98;

/**
 * When a coat may be coated again and when it may be sanded, in air that does not change, with what speaks against it.
 *
 * @param thickness mm
 * @example coatTimes({ kind: 'setting', minutes: 20 }, air)  // setHours 1/3, recoatHours 1/2
 */
export function coatTimes(mud: Mud, air: Air, thickness = USUAL_THICKNESS_MM): CoatTimes {
  const dry = dryingHours(air, thickness);
  const warnings = airWarnings(air);
  if (mud.kind === 'drying') {
    const deep = thickness >= DEEP_FOR_DRYING_MM ? ['so deep a fill of drying mud cracks; use setting mud'] : [];
    return { recoatHours: dry, sandHours: dry, warnings: [...warnings, ...deep] };
  }
  const setHours = mud.minutes / 60;
  const recoatHours = setHours * SETTING_RECOAT_FACTOR;
  return {
    setHours,
    recoatHours,
    sandHours: Math.max(recoatHours, dry),
    warnings: [
      ...warnings,
      ...(dry < setHours ? ['it dries before it sets, and bonds poorly: lay it thicker, or use a shorter label'] : []),
      ...(thickness < SETTING_WANTS_MM ? ['setting mud is better over 1/8 in'] : []),
    ],
  };
}

function airWarnings({ temperature, humidity }: Air): readonly string[] {
  return [
    ...(temperature < COLDEST_FOR_FINISHING_C ? ['below 10 °C (50 °F): stop finishing until the room is warmer'] : []),
    ...(humidity >= NEARLY_SATURATED ? ['the air is nearly saturated: mud will hardly dry'] : []),
  ];
}
