import type { Level } from '../house/level';
import { MM_PER_INCH } from '../measure/unit';
import { COAT_KEYS, type Coat, type CoatedClass, type CoatKey } from './coat';
import { coatKeysFor, isAccessory, isAngle } from './coatKeysFor';

/** The choices that make a method. One school is built: three coats by hand with widening knives, all drying mud. */
export interface Method {
  readonly level: Level;
}

/** Knife widths in inches by coat. Common practice, no source. */
const KNIVES = {
  flat: { tape: 6, fill: 10, finish: 12 },
  butt: { tape: 6, fill: 12, finish: 14 },
  angle: { tape: 4, fill: 5, finish: 5 },
  bead: { tape: 6, fill: 8, finish: 10 },
  fasteners: { tape: 6, fill: 6, finish: 8 },
} as const;
const SKIM_KNIFE = 14;

const PURPOSES: Readonly<Record<CoatKey, string>> = {
  tape: 'bonds the tape; what stays under it is little',
  fill: 'buries the tape and gives the wall its final shape',
  finish: 'clears what small marks remain',
  skim: 'covers paper and mud alike, so that light finds no difference',
};

const ACCESSORY_PURPOSES: Readonly<Record<CoatKey, string>> = {
  tape: 'gives a first thin fill, in the same round as the tape',
  fill: 'fills what the first coat left by shrinking',
  finish: 'leaves it level with the paper',
  skim: PURPOSES.skim,
};

/**
 * The coats that one class gets, in order. Both sides of an angle are taped together; after that one side is run per
 * round, the other a round later, so that no knife touches a wet side.
 *
 * @example coatsFor('angle', { level: 4 }).map(coatId)  // ['angle.tape', 'angle.fill.left', 'angle.fill.right']
 */
export function coatsFor(kind: CoatedClass, method: Method): readonly Coat[] {
  return coatKeysFor(kind, method.level).flatMap((key): readonly Coat[] => {
    const coat = coatOf(kind, key);
    if (!isAngle(kind) || key === 'tape') return [coat];
    const later = COAT_KEYS[COAT_KEYS.indexOf(key) + 1] ?? key;
    return [
      { ...coat, side: 'left', name: `${coat.name}, left sides` },
      { ...coat, side: 'right', round: later, name: `${coat.name}, right sides` },
    ];
  });
}

function coatOf(kind: CoatedClass, key: CoatKey): Coat {
  const knife = key === 'skim' ? SKIM_KNIFE : KNIVES[knifeKind(kind)][key];
  const accessory = isAccessory(kind);
  return {
    class: kind,
    key,
    side: undefined,
    round: key,
    name: accessory ? ACCESSORY_NAMES[key] : NAMES[key],
    purpose: accessory ? ACCESSORY_PURPOSES[key] : PURPOSES[key],
    tool: `${knife} in knife`,
    width: knife * MM_PER_INCH,
    mud: key === 'tape' ? 'taping' : key === 'fill' ? 'all-purpose' : 'topping',
    consistency: key === 'fill' || (key === 'tape' && isAngle(kind)) ? 'medium' : 'thin',
  };
}

const NAMES: Readonly<Record<CoatKey, string>> = {
  tape: 'Tape coat',
  fill: 'Fill coat',
  finish: 'Finish coat',
  skim: 'Skim',
};
const ACCESSORY_NAMES: Readonly<Record<CoatKey, string>> = {
  tape: 'First fill',
  fill: 'Fill coat',
  finish: 'Finish coat',
  skim: 'Skim',
};

function knifeKind(kind: CoatedClass): keyof typeof KNIVES {
  switch (kind) {
    case 'flat':
    case 'mixed':
    case 'backedButt':
    case 'existing':
      return 'flat';
    case 'butt':
      return 'butt';
    case 'angle':
    case 'offAngle':
      return 'angle';
    case 'bead':
    case 'trim':
      return 'bead';
    case 'fasteners':
    case 'surface':
      return 'fasteners';
  }
}
