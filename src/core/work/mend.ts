import type { WetMud } from '../drying/wetMud';
import type { Coat, CoatedClass } from '../method/coat';
import type { After } from './workItem';

/** Something that is wrong with a room. */
export interface Mend {
  /** Person-hours. */
  readonly hours: number;
  /** On what it lies, where that is known. */
  readonly class: CoatedClass | undefined;
  /** The part of its class that lies under it, 0–1: of one joint, however small the place is. */
  readonly share: number;
  /** Whether nothing goes over it before. */
  readonly first: boolean;
  /** What mending leaves wet; undefined where it is mended without mud. */
  readonly mud: WetMud | undefined;
}

/** Everything that is to be mended in a room, done in one go; undefined where nothing is. */
export function mendOf(mend: readonly Mend[]) {
  if (mend.length === 0) return undefined;
  return {
    work: 'mend',
    kind: 'mend',
    pass: 'mend',
    coats: [],
    hours: mend.reduce((sum, { hours }) => sum + hours, 0),
    rate: 'mend',
    skill: 'coat',
    muds: mudsOfMend(mend),
  } as const;
}

export const mudsOfMend = (mend: readonly Mend[]): readonly WetMud[] => mend.flatMap(({ mud }) => mud ?? []);

/**
 * That some coats wait for what must not be covered: until it is mended, and where it lies on most of what they lie on, until that is
 * dry. Of the rest of a class the coat goes on meanwhile, and what was mended has had its own. Undefined where nothing is in their way.
 */
export function waitForMend(coats: readonly Coat[], mend: readonly Mend[]): Pick<After, 'until' | 'muds'> | undefined {
  const before = mend.filter(
    (own) => own.first && (own.class === undefined || coats.some((coat) => coat.class === own.class)),
  );
  if (before.length === 0) return undefined;
  const under = before.reduce((sum, { share }) => sum + share, 0);
  return under > MOST ? { until: 'recoat', muds: mudsOfMend(before) } : { until: 'ended', muds: [] };
}
const MOST = 0.5;
