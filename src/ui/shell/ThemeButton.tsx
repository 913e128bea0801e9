'use client';

import { Moon, Sun } from 'lucide-react';

/** Day and night, for basements; remembered in a cookie so that the next page comes in it. */
export function ThemeButton() {
  const turn = () => {
    const next = document.documentElement.dataset.theme === 'oak-night' ? 'oak-day' : 'oak-night';
    document.documentElement.dataset.theme = next;
    // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is missing in some browsers on site
    document.cookie = `oak-theme=${next}; path=/; max-age=31536000; samesite=lax`;
  };
  return (
    <button type="button" className="btn btn-ghost btn-square" onClick={turn} aria-label="Day or night">
      <Sun className="size-5 [[data-theme=oak-night]_&]:hidden" aria-hidden="true" />
      <Moon className="hidden size-5 [[data-theme=oak-night]_&]:block" aria-hidden="true" />
    </button>
  );
}
