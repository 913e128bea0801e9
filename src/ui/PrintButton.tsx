'use client';

import { Printer } from 'lucide-react';

/** Prints the page, or saves it as a PDF, as the browser offers. */
export function PrintButton({ small = false }: { readonly small?: boolean }) {
  const print = () => window.print();
  const icon = <Printer className="size-5" aria-hidden="true" />;
  return small ? (
    <button type="button" className="btn btn-square" aria-label="Print" title="Print" onClick={print}>
      {icon}
    </button>
  ) : (
    <button type="button" className="btn btn-lg" onClick={print}>
      {icon} Print or save as PDF
    </button>
  );
}
