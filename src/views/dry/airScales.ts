import { Chart, Filler, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { fahrenheitFromCelsius, type LengthUnit } from '@/core/measure/unit';
import type { Tones } from './useTones';

Chart.register(LinearScale, LineElement, PointElement, Filler, Legend, Tooltip);
Chart.defaults.font.family = "'Archivo Variable', sans-serif";

const HOUR_MS = 3_600_000;

/** How a chart of air shows temperatures: °F in a house measured in inches, else °C. */
export const degreesOf = (unit: LengthUnit) => ({
  words: unit === 'in' ? '°F' : '°C',
  of: (celsius: number): number => (unit === 'in' ? fahrenheitFromCelsius(celsius) : celsius),
});

/**
 * The scales of a chart of air: hours along (x counts from `base`, ms since 1970), percent on the left, degrees on the right.
 *
 * @param words of the percent, of the degrees, and of an instant on the scale of hours
 */
export function airScales(
  { muted, grid }: Tones,
  base: number,
  words: { readonly percent: string; readonly degrees: string; readonly instant: (at: number) => string },
  hours: { readonly step: number; readonly min?: number; readonly max?: number },
  degrees: { readonly suggestedMin?: number; readonly suggestedMax?: number } = {},
) {
  const { step, ...ends } = hours;
  return {
    x: {
      type: 'linear' as const,
      ...ends,
      ticks: {
        color: muted,
        maxRotation: 0,
        stepSize: step,
        callback: (value: string | number) => words.instant(base + Number(value) * HOUR_MS),
      },
      grid: { color: grid },
    },
    y: {
      min: 0,
      max: 100,
      title: { display: true, text: words.percent, color: muted },
      ticks: { color: muted, stepSize: 25 },
      grid: { color: grid },
    },
    degrees: {
      position: 'right' as const,
      ...degrees,
      title: { display: true, text: words.degrees, color: muted },
      ticks: { color: muted },
      grid: { display: false },
    },
  };
}
