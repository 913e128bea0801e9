/** The sign: four tally strokes in oak, the fifth in chalk blue. */
export function Sign({ className }: { readonly className?: string }) {
  return (
    <svg
      viewBox="0 0 32 32"
      className={className}
      aria-hidden="true"
      fill="none"
      strokeWidth={2.6}
      strokeLinecap="round"
    >
      <path d="M8 6v20M13.3 6v20M18.700 6v20M24 6v20" className="stroke-secondary" />
      <path d="M4 23 28 9" className="stroke-primary" />
    </svg>
  );
}
