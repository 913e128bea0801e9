'use client';

import { type KeyboardEvent, type RefObject, useId } from 'react';
import type { Draft } from './useDraft';

/** One line of text that makes a room; what is wrong is marked under its character. Enter keeps the room. */
export function QuickLine({ draft, input, onKeep }: { readonly draft: Draft; readonly input: RefObject<HTMLInputElement | null>; readonly onKeep: () => void }) {
  const id = useId();
  const { line, reading } = draft;
  const fault = line.trim() !== '' && !reading.ok ? reading : undefined;
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') onKeep();
    if (event.key === 'Escape') input.current?.blur();
  };
  return (
    <div>
      <label htmlFor={id} className="sr-only">Quick line</label>
      <div className="flex items-center gap-2 rounded-xl border-2 border-primary bg-sheet px-3">
        <kbd className="kbd kbd-sm" aria-hidden="true">/</kbd>
        <div className="min-w-0 flex-1 overflow-x-auto">
          <div className="relative min-w-full" style={{ width: `${Math.max(line.length + 2, 30)}ch` }}>
            <input
              ref={input}
              id={id}
              value={line}
              onChange={(event) => draft.typeLine(event.target.value)}
              onKeyDown={onKeyDown}
              placeholder="Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead"
              className="h-12 w-full bg-transparent font-mono text-[0.95rem] outline-none placeholder:text-muted"
              aria-invalid={fault ? true : undefined}
              aria-describedby={`${id}-fault`}
              autoComplete="off"
              spellCheck={false}
            />
            {fault && (
              <span aria-hidden="true" className="pointer-events-none absolute bottom-1.5 left-0 font-mono text-[0.95rem] whitespace-pre leading-none">
                <span className="invisible">{line.slice(0, fault.at)}</span>
                <span className="border-b-[3px] border-error">
                  <span className="invisible">{line.slice(fault.at, fault.at + fault.length).padEnd(1)}</span>
                </span>
              </span>
            )}
          </div>
        </div>
      </div>
      <p id={`${id}-fault`} className="min-h-6 px-3 pt-1 text-sm text-error" role="status">{fault?.reason}</p>
    </div>
  );
}
