import { type AirFrom, firstAfter } from './airClock';

/** Where a room's air was read: in the room, in another one, for the house, nowhere; or it is what is to come. */
export type AirSource =
  | { readonly kind: 'room' | 'house' | 'assumed' | 'forecast' }
  | { readonly kind: 'neighbour'; readonly room: string };

/** The readings of one place, in order of time. */
export interface AirTrack {
  readonly source: AirSource;
  readonly steps: readonly AirFrom[];
}

/** Air with where it comes from, and when it was read. */
export interface SourcedAir extends AirFrom {
  readonly source: AirSource;
  readonly readAt: number;
}

/** A reading speaks for its place for so long; then another place's newer one is the better guess. Common practice, no
 * source. */
export const FRESH_MS = 6 * 3_600_000;

/**
 * The air of a room from its own readings; where these stop or have not begun, from the next place that has fresh ones.
 * Where nothing is fresh the best place's last reading holds on, and its first one also counts for what lies before it.
 *
 * @param tracks the best place first
 * @returns in order of time; empty only when every track is
 */
export function roomAir(tracks: readonly AirTrack[]): readonly SourcedAir[] {
  const known = tracks.filter(({ steps }) => steps.length > 0);
  const out: SourcedAir[] = [];
  const begin = Math.min(...known.map(({ steps }) => steps[0]?.from ?? Number.POSITIVE_INFINITY));
  if (known.length > 0) fill(known, 0, begin, Number.POSITIVE_INFINITY, out);
  return out;
}

function fill(tracks: readonly AirTrack[], rank: number, start: number, end: number, out: SourcedAir[]): void {
  const track = tracks[rank];
  if (!track) {
    const held = heldAt(tracks, start);
    if (held) out.push(held);
    return;
  }
  const { steps, source } = track;
  let open = start;
  for (let index = firstFreshIn(steps, start); index < steps.length; index += 1) {
    const step = steps[index];
    if (!step || step.from >= end) break;
    const begin = Math.max(start, step.from);
    if (begin > open) fill(tracks, rank + 1, open, begin, out);
    out.push({ from: begin, air: step.air, source, readAt: step.from });
    open = Math.min(end, step.from + FRESH_MS, steps[index + 1]?.from ?? Number.POSITIVE_INFINITY);
  }
  if (open < end) fill(tracks, rank + 1, open, end, out);
}

/** The reading that still speaks at an instant, or the first after it. */
function firstFreshIn(steps: readonly AirFrom[], at: number): number {
  const next = firstAfter(steps, at);
  const before = steps[next - 1];
  return before && before.from + FRESH_MS > at ? next - 1 : next;
}

function heldAt(tracks: readonly AirTrack[], at: number): SourcedAir | undefined {
  for (const { steps, source } of tracks) {
    const before = steps[firstAfter(steps, at) - 1];
    if (before) return { from: at, air: before.air, source, readAt: before.from };
  }
  const [best] = tracks;
  const first = best?.steps[0];
  return best && first && { from: at, air: first.air, source: best.source, readAt: first.from };
}

/** Air that was set moving over the walls of a room, m/s; 0 from when the fan was taken away. */
export interface FanFrom {
  readonly from: number;
  readonly speed: number;
}

/** The same air with the fans that stood in it; what a device measured of moving air counts before what was said. */
export function withFans(steps: readonly SourcedAir[], fans: readonly FanFrom[]): readonly SourcedAir[] {
  if (fans.length === 0) return steps;
  const out: SourcedAir[] = [];
  for (const [index, step] of steps.entries()) {
    const end = steps[index + 1]?.from ?? Number.POSITIVE_INFINITY;
    const inside = fans.filter(({ from }) => from > step.from && from < end);
    const before = fans.findLast(({ from }) => from <= step.from);
    for (const { from, speed } of [{ from: step.from, speed: before?.speed ?? 0 }, ...inside])
      out.push({ ...step, from, air: { ...step.air, speed: step.air.speed ?? speed } });
  }
  return out;
}
