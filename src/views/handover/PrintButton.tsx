'use client';

import { Printer } from 'lucide-react';

/** Prints the page, or saves it as a PDF, as the browser offers. */
export function PrintButton() {
  return (
    <button type="button" className="btn btn-lg" onClick={() => window.print()}>
      <Printer className="size-5" aria-hidden="true" /> Print or save as PDF
    </button>
  );
}
