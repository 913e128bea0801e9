'use client';

import { Chart, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { useEffect, useState } from 'react';
import { Line } from 'react-chartjs-2';
import { instantWords, timeOf } from '@/ui/when';

Chart.register(LinearScale, LineElement, PointElement, Legend, Tooltip);

const DASHES: readonly (readonly number[])[] = [[], [8, 4], [3, 3], [12, 3, 3, 3]];
const TONES = [
  '--color-primary',
  '--color-secondary',
  '--color-success',
  '--color-error',
  '--color-base-content',
] as const;
const HOUR_MS = 3_600_000;

Chart.defaults.font.family = "'Archivo Variable', sans-serif";

/** Drying curves of several rooms over the hours around now; lines differ in dash as well as in colour. */
export function DryingChart({
  lines,
  now,
  timeZone,
}: {
  readonly lines: readonly {
    readonly name: string;
    readonly curve: readonly { readonly at: number; readonly dry: number }[];
  }[];
  readonly now: number;
  readonly timeZone: string;
}) {
  const [tones, setTones] = useState<readonly string[]>();
  useEffect(() => {
    const style = getComputedStyle(document.documentElement);
    setTones([...TONES, '--muted', '--color-base-300'].map((name) => style.getPropertyValue(name).trim()));
  }, []);
  if (!tones) return <div className="h-64" />;
  const [muted, grid] = [tones.at(-2), tones.at(-1)];
  // Ticks fall on whole hours: x counts from the last one.
  const base = Math.floor(now / HOUR_MS) * HOUR_MS;
  const hours = (at: number) => (at - base) / HOUR_MS;
  return (
    <div className="h-64">
      <Line
        aria-label={`Drying curves: ${lines.map(({ name, curve }) => `${name} dry ${instantWords(curve.at(-1)?.at ?? now, timeZone)}`).join('; ')}`}
        role="img"
        data={{
          datasets: [
            ...lines.map(({ name, curve }, index) => ({
              label: name,
              data: curve.map(({ at, dry }) => ({ x: hours(at), y: dry * 100 })),
              borderColor: tones[index % TONES.length],
              backgroundColor: tones[index % TONES.length],
              borderDash: [...(DASHES[index % DASHES.length] ?? [])],
              borderWidth: 2.5,
              pointRadius: 0,
            })),
            {
              label: 'now',
              data: [0, 100].map((y) => ({ x: hours(now), y })),
              borderColor: muted,
              backgroundColor: muted,
              borderWidth: 1,
              pointRadius: 0,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          interaction: { mode: 'nearest', intersect: false },
          scales: {
            x: {
              type: 'linear',
              ticks: {
                color: muted,
                maxRotation: 0,
                stepSize: 6,
                callback: (value) => timeOf(base + Number(value) * HOUR_MS, timeZone),
              },
              grid: { color: grid },
            },
            y: {
              min: 0,
              max: 100,
              title: { display: true, text: '% of the wait', color: muted },
              ticks: { color: muted, stepSize: 25 },
              grid: { color: grid },
            },
          },
          plugins: {
            legend: { position: 'bottom', labels: { color: muted, usePointStyle: false, boxWidth: 34, boxHeight: 1 } },
            tooltip: {
              callbacks: {
                title: (items) => instantWords(base + (items[0]?.parsed.x ?? 0) * HOUR_MS, timeZone),
                label: (item) => `${item.dataset.label}: ${Math.round(item.parsed.y ?? 0)} % of the wait is over`,
              },
            },
          },
        }}
      />
    </div>
  );
}
