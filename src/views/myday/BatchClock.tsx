'use client';

import { useState } from 'react';
import type { useLog } from '@/client/useLog';
import { useServerTime } from '@/client/useServerClock';
import type { Batch } from '@/core/log/batch';
import type { LengthUnit } from '@/core/measure/unit';
import { TextField } from '@/ui/TextField';
import { mudVolumeWords } from '@/words/mudWords';
import { timeOf } from '@/words/when';

const MINUTE_MS = 60_000;

/** Setting mud: mixed with a press, then how long it can be worked still, large; it is on every coat that is done meanwhile. */
export function BatchClock({
  log,
  now,
  minutes,
  most,
  batch,
  unit,
  timeZone,
}: {
  readonly log: ReturnType<typeof useLog>;
  /** When the page was made. */
  readonly now: number;
  /** On the label that the method asks for. */
  readonly minutes: number;
  /** Litres that one uses up in that time. */
  readonly most: number;
  readonly batch: Batch | undefined;
  readonly unit: LengthUnit;
  readonly timeZone: string;
}) {
  const [label, setLabel] = useState(String(minutes));
  const [product, setProduct] = useState('');
  const [fault, setFault] = useState<string>();
  const at = useServerTime(now);
  const mix = () => {
    const asked = Number(label.replace(',', '.'));
    if (!(asked > 0 && asked <= 360)) return setFault('Enter the minutes as a number.');
    setFault(undefined);
    void log.write([
      {
        kind: 'mixed',
        room: null,
        payload: { minutes: asked, ...(product.trim() ? { product: product.trim() } : {}), amount: rounded(most) },
      },
    ]);
  };
  const left = batch && Math.ceil((batch.at + batch.minutes * MINUTE_MS - at) / MINUTE_MS);
  return (
    <section aria-label="Setting mud" className="space-y-2 rounded-xl border-2 border-secondary p-3">
      {batch && left !== undefined && (
        <div role="timer" aria-live="off">
          <p className="narrow text-5xl font-bold">
            {left > 0 ? `${left} min left` : left === 0 ? 'Time is up' : `${-left} min over`}
          </p>
          <p className="text-muted">
            {batch.minutes} min mud{batch.product ? `, ${batch.product}` : ''}, mixed {timeOf(batch.at, timeZone)}.{' '}
            {left > 0 ? 'Done below goes by this batch.' : 'Throw out what is left, clean the pan: crumbs drag lines.'}
          </p>
        </div>
      )}
      <details open={!batch}>
        <summary className="flex min-h-12 cursor-pointer items-center font-semibold">
          {batch ? 'A new batch' : 'Setting mud: at most'}
          {!batch && ` ${mudVolumeWords(most, unit)} at once`}
        </summary>
        <p className="text-sm text-muted">
          {mudVolumeWords(most, unit)} is what one uses up in {minutes} min at the usual pace. Its clock runs from
          mixing. It gets hot, and it is alkaline: gloves, water at hand.
        </p>
        <div className="mt-2 grid grid-cols-2 gap-3">
          <TextField
            label="Minutes on the label"
            inputMode="numeric"
            value={label}
            error={fault}
            onChange={(event) => setLabel(event.target.value)}
          />
          <TextField
            label="Product"
            maxLength={80}
            value={product}
            onChange={(event) => setProduct(event.target.value)}
          />
        </div>
        <button type="button" className="btn btn-secondary btn-lg mt-3 w-full" disabled={log.busy} onClick={mix}>
          Mixed now
        </button>
      </details>
    </section>
  );
}

/** As exactly as a bucket has marks; litres. */
const rounded = (litres: number): number => Math.max(0.1, Math.round(litres * 10) / 10);
