const PANELS = [
  { sealed: false, title: 'Not sealed', seen: 'the joint shows' },
  { sealed: true, title: 'Sealed', seen: 'one surface' },
] as const;

/** Why a joint shows through paint, however flat it is: paper drinks, mud does not; and what sealing changes. */
export function ShowThrough({ className = '' }: { readonly className?: string }) {
  return (
    <svg
      viewBox="0 0 640 176"
      role="img"
      aria-label="Not sealed: paint sinks into the paper and stands on the mud, so low light shows the joint as a stripe. Sealed: paint lies alike on both, and nothing shows."
      className={`h-auto w-full ${className}`}
    >
      {PANELS.map(({ sealed, title, seen }, index) => (
        <g key={title} transform={`translate(${index * 330} 0)`}>
          <text x={0} y={16} fontSize={15} fontWeight={700} className="fill-base-content">
            {title}: {seen}
          </text>
          <rect x={0} y={26} width={310} height={26} className="fill-coat-3 stroke-board-line" />
          {!sealed && <rect x={90} y={26} width={130} height={26} className="fill-coat-4" />}
          {[40, 150, 262].map((x) => (
            <Ray key={x} x={x} isSoft={!sealed && x !== 150} />
          ))}
          <rect x={0} y={118} width={310} height={40} className="fill-board stroke-board-line" />
          <path d="M90 118Q155 142 220 118Z" className="fill-coat-1 stroke-board-line" />
          {sealed ? (
            <path d="M0 115H310" className="stroke-secondary" strokeWidth={3} />
          ) : (
            SUNK_IN.map((x) => <path key={x} d={`M${x} 117v9`} className="stroke-primary" strokeWidth={1.5} />)
          )}
          <path
            d={sealed ? 'M0 110H310' : 'M0 116H86C92 116 92 110 98 110H212C218 110 218 116 224 116H310'}
            className="fill-none stroke-primary"
            strokeWidth={4}
          />
          <text x={36} y={173} fontSize={13} textAnchor="middle" className="fill-muted">
            paper
          </text>
          <text x={155} y={173} fontSize={13} textAnchor="middle" className="fill-muted">
            mud
          </text>
          <text x={270} y={173} fontSize={13} textAnchor="middle" className="fill-muted">
            {sealed ? 'sealer, paint' : 'paint'}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Where paint sinks into the paper. */
const SUNK_IN = [8, 20, 32, 44, 56, 68, 80, 232, 244, 256, 268, 280, 292, 304];

/** Low light that comes along the wall and is thrown back: by one way, or scattered. */
function Ray({ x, isSoft }: { readonly x: number; readonly isSoft: boolean }) {
  const back = isSoft ? [`M${x} 108l10-30`, `M${x} 108l22-22`, `M${x} 108l28-8`] : [`M${x} 108l44-40`];
  return (
    <g className="stroke-warning" strokeWidth={2}>
      <path d={`M${x - 30} 84L${x} 108`} strokeDasharray="5 4" />
      {back.map((d) => (
        <path key={d} d={d} />
      ))}
    </g>
  );
}
