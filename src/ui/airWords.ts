import { fahrenheitFromCelsius, type LengthUnit } from '@/core/measure/unit';

/** A temperature the way the house is measured: °F with inches, °C with millimetres. */
const degrees = (celsius: number, unit: LengthUnit): string =>
  unit === 'in' ? `${Math.round(fahrenheitFromCelsius(celsius))} °F` : `${celsius.toFixed(1)} °C`;

/** 66 °F · 58 % */
export const airWords = (
  { temperature, humidity }: { readonly temperature: number; readonly humidity: number },
  unit: LengthUnit,
): string => `${degrees(temperature, unit)} · ${Math.round(humidity)} %`;
