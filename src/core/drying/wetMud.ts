import type { Coat } from '../method/coat';
import { mudKind } from '../method/coat';
import { isAccessory } from '../method/coatKeysFor';
import type { Method } from '../method/resolveMethod';
import { sectionFor } from '../section/sectionFor';
import { type Substrate, USUAL_THICKNESS_MM } from './dryingHours';

/** Drying mud, or setting mud by the minutes on its label. */
export type Mud = { readonly kind: 'drying' } | { readonly kind: 'setting'; readonly minutes: number };

/** Mud on a wall, as far as it matters to when it is ready. Thickness in mm. */
export interface WetMud {
  readonly mud: Mud;
  readonly thickness: number;
  readonly substrate: Substrate;
}

/** A hand leaves up to half as much again in places, and a coat is dry when its heaviest spot is. Common practice, no
 * source. */
const HEAVY_SPOT = 1.5;

/** A coat as its method would put it on: its thickness from the section, what it lies on from what comes before it. */
export function wetMudOf(coat: Coat, method: Method): WetMud {
  const volume = sectionFor(coat.class, method).coats.find(
    (own) => own.coat.key === coat.key && own.coat.side === coat.side,
  );
  return wetMudFrom(coat, volume?.thickest ?? USUAL_THICKNESS_MM);
}

/**
 * A coat that lies so thick in section.
 *
 * @param thickest of the section, mm
 */
export function wetMudFrom(coat: Coat, thickest: number): WetMud {
  const heavy = thickest * HEAVY_SPOT;
  // Under tape mud dries as the handbook's table says, however thin it was wiped.
  const thickness = coat.tape ? Math.max(USUAL_THICKNESS_MM, heavy) : heavy;
  return { mud: mudKind(coat), thickness, substrate: substrateOf(coat) };
}

function substrateOf({ class: kind, key }: Coat): Substrate {
  if (kind === 'existing' && key === 'tape') return 'painted';
  if (key !== 'tape') return 'mud';
  return isAccessory(kind) && kind !== 'fasteners' ? 'metal' : 'board';
}
