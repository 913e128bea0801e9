'use client';

import { type KeyboardEvent, type RefObject, useId } from 'react';
import type { Draft } from './useDraft';

/** One line of text that makes a room; what is wrong is marked under its character. Enter keeps the room. */
export function QuickLine({
  draft,
  input,
  onKeep,
}: {
  readonly draft: Draft;
  readonly input: RefObject<HTMLTextAreaElement | null>;
  readonly onKeep: () => void;
}) {
  const id = useId();
  const { line, reading } = draft;
  const fault = line.trim() !== '' && !reading.ok ? reading : undefined;
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      onKeep();
    }
    if (event.key === 'Escape') input.current?.blur();
  };
  return (
    <div>
      <label htmlFor={id} className="sr-only">
        Quick line
      </label>
      <div className="flex items-center gap-2 rounded-xl border-2 border-primary bg-sheet px-3">
        <span className="kbd kbd-sm" aria-hidden="true">
          /
        </span>
        <div className="relative min-w-0 flex-1 py-2.5 font-mono text-[0.95rem] leading-6">
          <textarea
            ref={input}
            id={id}
            value={line}
            rows={Math.max(1, Math.ceil(line.length / 70))}
            onChange={(event) => draft.typeLine(event.target.value.replaceAll('\n', ' '))}
            onKeyDown={onKeyDown}
            placeholder="Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead"
            className="relative block field-sizing-content min-h-6 w-full resize-none overflow-hidden bg-transparent break-words whitespace-pre-wrap outline-none placeholder:text-muted"
            aria-invalid={fault ? true : undefined}
            aria-describedby={`${id}-fault`}
            autoComplete="off"
            spellCheck={false}
          />
          {fault && (
            <span
              aria-hidden="true"
              className="pointer-events-none absolute inset-x-0 top-2.5 break-words whitespace-pre-wrap"
            >
              <span className="invisible">{line.slice(0, fault.at)}</span>
              <span className="border-b-[3px] border-error">
                <span className="invisible">{line.slice(fault.at, fault.at + fault.length).padEnd(1)}</span>
              </span>
            </span>
          )}
        </div>
      </div>
      <p id={`${id}-fault`} className="min-h-6 px-3 pt-1 text-sm text-error" role="status">
        {fault?.reason}
      </p>
    </div>
  );
}
