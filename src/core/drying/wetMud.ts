import { type Lies, type Substrate, USUAL_THICKNESS_MM } from '../air/dryingHours';
import { isAccessory, isAngle } from '../joints/classTraits';
import { memoizeLast } from '../measure/memoizeLast';
import { type Coat, type CoatedClass, mudKind } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import { sectionFor } from '../section/sectionFor';

/** Drying mud, or setting mud by the minutes on its label. */
export type Mud = { readonly kind: 'drying' } | { readonly kind: 'setting'; readonly minutes: number };

/** Mud on a wall, as far as it matters to when it is ready. Thickness in mm. */
export interface WetMud {
  readonly mud: Mud;
  readonly thickness: number;
  readonly substrate: Substrate;
  /** On a joint of a house; undefined for mud by itself, as the handbook's table has it. */
  readonly lies?: Lies;
  /** How much longer than by the tables it takes to dry, as touch checks found it; 1 where it does not say. */
  readonly slowness?: number;
}

/** A hand leaves up to half as much again in places, and a coat is dry when its heaviest spot is. Common practice, no
 * source. */
const HEAVY_SPOT = 1.5;

/** A coat as its method would put it on: its thickness from the section, what it lies on from what comes before it. */
export const wetMudOf = memoizeLast((coat: Coat, method: Method): WetMud => {
  const own = coat.thickest ?? thickestOf(coat.class, coat, method) ?? USUAL_THICKNESS_MM;
  // Mud gathers in a corner: there it is at least as thick as the same coat on a flat.
  const beside = isAngle(coat.class) ? (thickestOf('flat', coat, method) ?? 0) : 0;
  return wetMudFrom(coat, Math.max(own, beside));
});

function thickestOf(kind: CoatedClass, { key, side }: Coat, method: Method): number | undefined {
  const coats = sectionFor(kind, method).coats.filter((own) => own.coat.key === key);
  return (coats.find((own) => own.coat.side === side) ?? coats[0])?.thickest;
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
  return { mud: mudKind(coat), thickness, substrate: substrateOf(coat), lies: liesOf(coat) };
}

/** Where a coat lies. */
export const liesOf = ({ class: kind }: Pick<Coat, 'class'>): Lies => (isAngle(kind) ? 'corner' : 'open');

/** What an entry keeps of the mud: where it lies is told by its class. */
export const loggedMud = ({ mud, thickness, substrate }: WetMud): Omit<WetMud, 'lies' | 'slowness'> => ({
  mud,
  thickness,
  substrate,
});

function substrateOf({ class: kind, key }: Coat): Substrate {
  if (kind === 'existing' && key === 'tape') return 'painted';
  if (key !== 'tape') return 'mud';
  return isAccessory(kind) && kind !== 'fasteners' ? 'metal' : 'board';
}
