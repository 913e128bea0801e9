'use client';

import { type ReactNode, useEffect, useId, useRef } from 'react';

/** A dialog over the page, open for as long as it is drawn; Escape closes it, and loses what was typed in it. */
export function Dialog({
  title,
  close,
  className = '',
  children,
}: {
  readonly title: ReactNode;
  readonly close: () => void;
  /** Of its box. */
  readonly className?: string;
  readonly children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  useEffect(() => {
    const before = document.activeElement;
    dialog.current?.showModal();
    // Whoever works by keys goes on where they were.
    return () => {
      if (before instanceof HTMLElement && before.isConnected) before.focus();
    };
  }, []);
  return (
    <dialog ref={dialog} className="modal" onClose={close} aria-labelledby={id}>
      <div className={`modal-box space-y-4 ${className}`}>
        <h2 id={id} className="first-letter:uppercase">
          {title}
        </h2>
        {children}
      </div>
    </dialog>
  );
}
