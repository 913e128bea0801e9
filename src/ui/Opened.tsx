'use client';

import { Fragment, type ReactNode, useState } from 'react';

/**
 * Shows a form of what was opened. As long as nobody has touched it, it follows what the page shows; from then on it stays with its version,
 * so that what somebody else saved meanwhile is never overwritten without a word.
 */
export function Opened<Shown extends { readonly version: number }>({
  shown,
  children,
}: {
  readonly shown: Shown;
  readonly children: (opened: Shown) => ReactNode;
}) {
  const [opened, setOpened] = useState(shown);
  const [isTouched, setTouched] = useState(false);
  if (!isTouched && shown.version !== opened.version) setOpened(shown);
  const touch = () => setTouched(true);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: it only hears what is done in the form
    // biome-ignore lint/a11y/useKeyWithClickEvents: a button that is pressed by a key is clicked
    <div className="contents" onInput={touch} onClick={touch}>
      <Fragment key={opened.version}>{children(opened)}</Fragment>
    </div>
  );
}
