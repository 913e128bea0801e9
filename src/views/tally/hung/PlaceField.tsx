'use client';

import { useState } from 'react';
import { parseLength } from '@/core/measure/parseLength';
import type { LengthUnit } from '@/core/measure/unit';
import { TextField } from '@/ui/TextField';
import { lengthWords } from '@/words/lengthWords';

/** Where it hangs, as it was measured. */
export function PlaceField({
  label,
  at,
  unit,
  onPlace,
}: {
  readonly label: string;
  readonly at: number;
  readonly unit: LengthUnit;
  readonly onPlace: (to: number) => void;
}) {
  const said = lengthWords(at, unit).replaceAll('′', "'").replaceAll('″', '"');
  const [typed, setTyped] = useState(said);
  const [error, setError] = useState<string>();
  const take = () => {
    // What is said of a place is rounded: leaving the field moves nothing.
    if (typed === said) return setError(undefined);
    const read = parseLength(typed, unit);
    setError(read.ok ? undefined : read.reason);
    if (read.ok) onPlace(read.mm);
  };
  return (
    <TextField
      label={label}
      className="w-36"
      data-length
      value={typed}
      error={error}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        take();
      }}
    />
  );
}
