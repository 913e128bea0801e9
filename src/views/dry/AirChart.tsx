'use client';

import { Line } from 'react-chartjs-2';
import { dayOf } from '@/core/measure/dayOf';
import type { LengthUnit } from '@/core/measure/unit';
import { dayWords, instantWords, timeOf } from '@/words/when';
import { airScales, degreesOf } from './airScales';
import { useTones } from './useTones';

/** A stretch of time with what was least, most and in the mean in it. */
export interface AirPoint {
  readonly at: number;
  readonly temperature: readonly [least: number, mean: number, most: number];
  readonly humidity: readonly [least: number, mean: number, most: number];
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** Temperature and humidity of a room over time; the bands go from the least to the most of each stretch. */
export function AirChart({
  points,
  unit,
  timeZone,
}: {
  readonly points: readonly AirPoint[];
  readonly unit: LengthUnit;
  readonly timeZone: string;
}) {
  const tones = useTones();
  if (!tones) return <div className="h-72" />;
  const { muted, clay } = tones;
  const blue = tones.lines[0] ?? muted;
  const first = Math.floor((points[0]?.at ?? 0) / HOUR_MS) * HOUR_MS;
  const hours = (at: number) => (at - first) / HOUR_MS;
  const length = (points.at(-1)?.at ?? first) - first;
  const degrees = degreesOf(unit);
  const words = (at: number) => (length > 3 * DAY_MS ? dayWords(dayOf(at, timeZone)) : timeOf(at, timeZone));
  const band = (of: (point: AirPoint, part: 0 | 2) => number, tone: string, axis: string) =>
    ([0, 2] as const).map((part) => ({
      label: '',
      data: points.map((point) => ({ x: hours(point.at), y: of(point, part) })),
      borderWidth: 0,
      pointRadius: 0,
      fill: part === 2 ? '-1' : false,
      backgroundColor: `color-mix(in srgb, ${tone} 22%, transparent)`,
      yAxisID: axis,
    }));
  const line = (label: string, of: (point: AirPoint) => number, tone: string, axis: string, dash: number[]) => ({
    label,
    data: points.map((point) => ({ x: hours(point.at), y: of(point) })),
    borderColor: tone,
    backgroundColor: tone,
    borderWidth: 2,
    borderDash: dash,
    pointRadius: points.length === 1 ? 4 : 0,
    yAxisID: axis,
  });
  return (
    <div className="h-72">
      <Line
        role="img"
        aria-label={`Temperature and humidity from ${instantWords(first, timeZone)} to ${instantWords(points.at(-1)?.at ?? first, timeZone)}`}
        data={{
          datasets: [
            ...band((point, part) => degrees.of(point.temperature[part]), clay, 'degrees'),
            ...band((point, part) => point.humidity[part], blue, 'y'),
            line(`temperature, ${degrees.words}`, (point) => degrees.of(point.temperature[1]), clay, 'degrees', []),
            line('humidity, %', (point) => point.humidity[1], blue, 'y', [8, 4]),
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          interaction: { mode: 'index', intersect: false },
          scales: airScales(
            tones,
            first,
            { percent: '% humidity', degrees: degrees.words, instant: words },
            { step: length > 3 * DAY_MS ? 24 : 3 },
          ),
          plugins: {
            legend: {
              position: 'bottom',
              labels: { color: muted, boxWidth: 30, boxHeight: 1, filter: ({ text }) => text !== '' },
            },
            tooltip: {
              filter: ({ dataset }) => dataset.label !== '',
              callbacks: {
                title: (items) => instantWords(first + (items[0]?.parsed.x ?? 0) * HOUR_MS, timeZone),
                label: (item) => `${item.dataset.label}: ${(item.parsed.y ?? 0).toFixed(1)}`,
              },
            },
          },
        }}
      />
    </div>
  );
}
