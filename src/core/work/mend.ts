import type { WetMud } from '../drying/wetMud';
import type { Coat, CoatedClass } from '../method/coat';

/** Something that is wrong with a room. */
export interface Mend {
  /** Person-hours. */
  readonly hours: number;
  /** On what it lies, where that is known. */
  readonly class: CoatedClass | undefined;
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

/** What is mended before some coats cover it. */
export const mendedBefore = (coats: readonly Coat[], mend: readonly Mend[]): readonly Mend[] =>
  mend.filter((own) => own.first && (own.class === undefined || coats.some((coat) => coat.class === own.class)));
