'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import { dayWords } from '@/words/when';

/** Edits a list of days, YYYY-MM-DD: each is picked from a calendar and removed by a press. */
export function DaysField({
  label,
  days,
  change,
  hiddenLabel = false,
}: {
  readonly label: string;
  readonly days: readonly string[];
  readonly change: (days: readonly string[]) => void;
  /** Where a table says already what it is. */
  readonly hiddenLabel?: boolean;
}) {
  const [picked, setPicked] = useState('');
  const add = () => {
    if (picked === '') return;
    change([...new Set([...days, picked])].sort());
    setPicked('');
  };
  return (
    <fieldset>
      <legend className={hiddenLabel ? 'sr-only' : 'mb-1 text-sm font-semibold'}>{label}</legend>
      <div className="flex flex-wrap items-center gap-1">
        {hiddenLabel && (
          <span aria-hidden="true" className="text-sm text-muted">
            Off
          </span>
        )}
        {days.map((day) => (
          <button
            key={day}
            type="button"
            className="btn btn-sm font-normal"
            aria-label={`Remove ${dayWords(day)} from ${label}`}
            onClick={() => change(days.filter((other) => other !== day))}
          >
            {dayWords(day)} <X className="size-4" aria-hidden="true" />
          </button>
        ))}
        <input
          type="date"
          className="input input-sm w-36"
          aria-label={`Add a day to ${label}`}
          value={picked}
          onChange={(event) => setPicked(event.target.value)}
        />
        <button type="button" className="btn btn-sm" disabled={picked === ''} onClick={add}>
          Add day
        </button>
      </div>
    </fieldset>
  );
}
