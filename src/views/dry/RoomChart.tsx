'use client';

import { Line } from 'react-chartjs-2';
import type { LengthUnit } from '@/core/measure/unit';
import { instantWords, timeOf } from '@/words/when';
import { airScales, degreesOf } from './airScales';
import type { DryRoom } from './dryRooms';
import { useTones } from './useTones';

const DASHES: readonly (readonly number[])[] = [[], [8, 4], [3, 3], [12, 3, 3, 3]];
const HOUR_MS = 3_600_000;
const DEGREE_ROOM = 6;

interface RoomChartProps {
  readonly lines: readonly {
    readonly name: string;
    readonly curve: readonly (readonly [at: number, left: number])[];
  }[];
  readonly history: DryRoom['history'];
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
}

/** What is left to dry of each wet coat of a room, with the room's humidity and temperature behind it. */
export function RoomChart({ lines, history, unit, now, timeZone }: RoomChartProps) {
  const tones = useTones();
  if (!tones) return <div className="h-72" />;
  const { muted, grid, clay } = tones;
  // Ticks fall on whole hours: x counts from the last one.
  const base = Math.floor(now / HOUR_MS) * HOUR_MS;
  const hours = (at: number) => (at - base) / HOUR_MS;
  const ends = lines.map(({ curve }) => curve.at(-1)?.[0] ?? now);
  const end = Math.max(now + 24 * HOUR_MS, ...ends) + 2 * HOUR_MS;
  const shown = history.filter(({ at }) => at <= end);
  const degrees = degreesOf(unit);
  const air = (of: (step: (typeof shown)[number]) => number) =>
    shown.map((step) => ({ x: hours(step.at), y: of(step) }));
  const temperatures = shown.map(({ temperature }) => degrees.of(temperature));
  const forecastFrom = shown.find(({ forecast }) => forecast)?.at;
  /** What is only forecast is drawn dashed. */
  const segment = {
    borderDash: ({ p0 }: { p0: { parsed: { x: number | null } } }) =>
      forecastFrom !== undefined && (p0.parsed.x ?? 0) >= hours(forecastFrom) ? [2, 4] : undefined,
  };
  return (
    <div className="h-72">
      <Line
        role="img"
        aria-label={
          lines.length === 0
            ? 'Temperature and humidity of the room'
            : `Left to dry: ${lines.map(({ name, curve }) => `${name} none ${instantWords(curve.at(-1)?.[0] ?? now, timeZone)}`).join('; ')}`
        }
        data={{
          datasets: [
            ...lines.map(({ name, curve }, index) => ({
              label: name,
              data: curve.map(([at, left]) => ({ x: hours(at), y: left * 100 })),
              borderColor: tones.lines[index % tones.lines.length],
              backgroundColor: tones.lines[index % tones.lines.length],
              borderDash: [...(DASHES[index % DASHES.length] ?? [])],
              borderWidth: 2.5,
              pointRadius: 0,
              yAxisID: 'y',
              order: 1,
            })),
            {
              label: 'humidity, %',
              data: air(({ humidity }) => humidity),
              borderColor: grid,
              backgroundColor: `color-mix(in srgb, ${grid} 35%, transparent)`,
              fill: 'origin',
              borderWidth: 1.5,
              pointRadius: 0,
              yAxisID: 'y',
              order: 3,
              segment,
            },
            {
              label: `temperature, ${degrees.words}`,
              data: air(({ temperature }) => degrees.of(temperature)),
              borderColor: clay,
              backgroundColor: clay,
              borderWidth: 1.5,
              pointRadius: 0,
              yAxisID: 'degrees',
              order: 2,
              segment,
            },
            {
              label: 'now',
              data: [0, 100].map((y) => ({ x: hours(now), y })),
              borderColor: muted,
              backgroundColor: muted,
              borderWidth: 1,
              pointRadius: 0,
              yAxisID: 'y',
              order: 2,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          interaction: { mode: 'nearest', intersect: false },
          scales: airScales(
            tones,
            base,
            {
              percent: '% left to dry · % humidity',
              degrees: degrees.words,
              instant: (at) => timeOf(at, timeZone),
            },
            { step: 6, min: hours(shown[0]?.at ?? now), max: hours(end) },
            {
              suggestedMin: Math.min(...temperatures) - DEGREE_ROOM,
              suggestedMax: Math.max(...temperatures) + DEGREE_ROOM,
            },
          ),
          plugins: {
            legend: { position: 'bottom', labels: { color: muted, boxWidth: 30, boxHeight: 1 } },
            tooltip: {
              callbacks: {
                title: (items) => instantWords(base + (items[0]?.parsed.x ?? 0) * HOUR_MS, timeZone),
                label: (item) => `${item.dataset.label}: ${Math.round(item.parsed.y ?? 0)}`,
              },
            },
          },
        }}
      />
    </div>
  );
}
