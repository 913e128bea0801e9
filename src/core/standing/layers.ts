import type { CoatEntry } from '../log/entry';
import { SETTING_RECOAT_FACTOR } from '../method/coat';
import type { Cover } from './alikePieces';

/** One coat on pieces that are alike: what it was logged as, how much of them is covered, and by which entries. */
export interface Layer {
  readonly key: string;
  readonly share: number;
  readonly entries: readonly CoatEntry[];
}

/** What is on pieces under the same entries, while it is put on. */
interface Layering {
  readonly layers: { readonly key: string; share: number; readonly entries: CoatEntry[] }[];
}

/** Of what is under such a layering, an entry covers this part, 0–1. */
interface Covered {
  readonly on: Layering;
  readonly part: number;
}

/** A share, whole where next to nothing is missing: amounts are kept in tenths of a mm. */
export const wholeIfNearly = (share: number): number => (share > 0.999 ? 1 : share);

/**
 * The layers under each cover, in the order in which they were begun.
 *
 * @param applied the coats that were logged in a room, in the order in which they were put on
 * @param covers those that lie on its pieces
 */
export function layersOf(
  applied: readonly CoatEntry[],
  covers: readonly (Cover | undefined)[],
): ReadonlyMap<Cover | undefined, readonly Layer[]> {
  const layerings = new Map<Cover | undefined, Layering>();
  const under = applied.map((): Covered[] => []);
  for (const last of covers) {
    if (layerings.has(last)) continue;
    const on: Layering = { layers: [] };
    layerings.set(last, on);
    for (let cover = last; cover; cover = cover.below) under[cover.entry]?.push({ on, part: cover.part });
  }
  for (const [index, entry] of applied.entries()) putOn(entry, under[index] ?? []);
  return new Map([...layerings].map(([cover, { layers }]) => [cover, layers] as const));
}

/** Drying mud is under no other coat sooner, whatever the air. Common practice, no source. */
const SOONEST_RECOAT_MS = 3 * 3_600_000;

/**
 * Puts a coat on what it was logged for. Where some of that has it already and some not, the rest was meant. Where all has
 * it, it is what was answered when it was logged: the same coat, or the next one. Without an answer it is the same coat once more
 * (two people logged it), unless the first could be coated again by then; while that is wet by its clock an answer is asked for.
 */
function putOn(entry: CoatEntry, covered: readonly Covered[]): void {
  const { key } = entry.payload;
  const lastOf = ({ on: { layers } }: Covered) => layers.findLast((layer) => layer.key === key);
  const open = covered.filter((one) => (lastOf(one)?.share ?? 0) < 1);
  const isNext = entry.payload.repeat ? entry.payload.repeat === 'next' : undefined;
  const again = open.length === 0 && (isNext ?? covered.every((one) => isAnother(lastOf(one), entry)));
  for (const one of open.length > 0 ? open : covered) {
    let layer = lastOf(one);
    if (!layer || again) {
      layer = { key, share: 0, entries: [] };
      one.on.layers.push(layer);
    }
    layer.share = wholeIfNearly(layer.share + one.part);
    layer.entries.push(entry);
  }
}

function isAnother(layer: Layer | undefined, { at }: CoatEntry): boolean {
  const last = layer?.entries.at(-1);
  if (!last) return false;
  const { mud } = last.payload;
  const wait = mud.kind === 'setting' ? mud.minutes * SETTING_RECOAT_FACTOR * 60_000 : SOONEST_RECOAT_MS;
  return Date.parse(at) - Date.parse(last.at) >= wait;
}
