import { TOLERANCE_MM } from './unit';

/** A closed stretch of a line, in mm; `from` < `to`. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The length of all spans together, in mm. */
export const totalLength = (spans: readonly Span[]): number =>
  spans.reduce((sum, span) => sum + span.to - span.from, 0);

/** How much of the spans lies between two places, in mm. */
export function lengthWithin(spans: readonly Span[], from: number, to: number): number {
  let length = 0;
  for (const span of spans) length += Math.max(0, Math.min(span.to, to) - Math.max(span.from, from));
  return length;
}

/** What two spans share, or undefined when it is no longer than the tolerance. */
export function overlapOf(a: Span, b: Span, tolerance = TOLERANCE_MM): Span | undefined {
  const from = Math.max(a.from, b.from);
  const to = Math.min(a.to, b.to);
  return to - from > tolerance ? { from, to } : undefined;
}

/**
 * A span less the cuts, in order along the line; slivers within the tolerance are dropped.
 *
 * @example subtractSpans({ from: 0, to: 10 }, [{ from: 3, to: 4 }])  // [{ from: 0, to: 3 }, { from: 4, to: 10 }]
 */
export function subtractSpans(span: Span, cuts: readonly Span[], tolerance = TOLERANCE_MM): readonly Span[] {
  const left: Span[] = [];
  let from = span.from;
  for (const cut of [...cuts].sort((a, b) => a.from - b.from)) {
    if (cut.to <= from) continue;
    if (cut.from >= span.to) break;
    if (cut.from - from > tolerance) left.push({ from, to: cut.from });
    from = Math.max(from, cut.to);
  }
  if (span.to - from > tolerance) left.push({ from, to: span.to });
  return left;
}

/** What two lists of spans share. */
export function overlaps(a: readonly Span[], b: readonly Span[]): readonly Span[] {
  const shared: Span[] = [];
  // Plain loops: this runs for every line of screws of a house.
  for (const one of a) {
    for (const other of b) {
      const from = Math.max(one.from, other.from);
      const to = Math.min(one.to, other.to);
      if (to - from > TOLERANCE_MM) shared.push({ from, to });
    }
  }
  return shared;
}

/** Spans that overlap made one; spans that only touch stay apart. */
export function merged(spans: readonly Span[]): readonly Span[] {
  const together: Span[] = [];
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const last = together.at(-1);
    if (last && span.from < last.to - TOLERANCE_MM)
      together[together.length - 1] = { from: last.from, to: Math.max(last.to, span.to) };
    else together.push(span);
  }
  return together;
}
