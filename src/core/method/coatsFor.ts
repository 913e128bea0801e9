import { CLASS_TRAITS, isAccessory, isAngle } from '../joints/classTraits';
import { COAT_KEYS, type Coat, type CoatedClass, type CoatKey, coatId, type MudProduct, type Side } from './coat';
import { chosenCoatKeys } from './coatKeysFor';
import { type ClassChoices, choicesFor, type Method } from './resolveMethod';
import { toolFor } from './tools';

/**
 * The coats that one class gets, in order. Both sides of an angle are taped together; after that one side is run per
 * round, the other a round later, so that no knife touches a wet side; a corner tool runs both at once.
 *
 * @example coatsFor('angle', usualMethod(4)).map(({ id }) => id)  // ['angle.tape', 'angle.fill.first', 'angle.fill.second']
 */
export function coatsFor(kind: CoatedClass, method: Method): readonly Coat[] {
  // The rooms of a house share their method; its ladders are worked out once.
  const ladders = known.get(method) ?? new Map<CoatedClass, readonly Coat[]>();
  known.set(method, ladders);
  const coats = ladders.get(kind) ?? ladderOf(kind, method);
  ladders.set(kind, coats);
  return coats;
}

const known = new WeakMap<Method, Map<CoatedClass, readonly Coat[]>>();

function ladderOf(kind: CoatedClass, method: Method): readonly Coat[] {
  const choices = choicesFor(method, kind);
  const keys = chosenCoatKeys(kind, method.level, choices);
  let round = 0;
  return keys.flatMap((key): readonly Coat[] => {
    const coat = coatOf(kind, key, keys, choices);
    if (!isAngle(kind) || key === 'tape' || choices.angles === 'both') {
      round = COAT_KEYS.indexOf(key);
      return [coat];
    }
    const [one, other] = SIDES_OF[choices.angles];
    // One side was covered in the tape pass while it was wet: only the other is left to coat.
    const sides = choices.cover === 'oneSide' && key === keys[1] ? [other] : [one, other];
    // A side waits for the other one: two coats of both sides take four rounds.
    return sides.map((side) => {
      round += 1;
      return {
        ...coat,
        id: coatId({ ...coat, side }),
        side,
        round: COAT_KEYS[round] ?? key,
        sides: calledSides(side, choices),
      };
    });
  });
}

/** In bathrooms and the like the ceiling's sides come first. */
const calledSides = (side: Side, { order }: Pick<ClassChoices, 'order'>): Coat['sides'] =>
  order === 'ceilingSides' && (side === 'first' || side === 'second') ? (side === 'first' ? 'ceiling' : 'wall') : side;

const SIDES_OF: Readonly<Record<'opposite' | 'sides', readonly [Side, Side]>> = {
  opposite: ['first', 'second'],
  sides: ['left', 'right'],
};

function coatOf(kind: CoatedClass, key: CoatKey, keys: readonly CoatKey[], choices: ClassChoices): Coat {
  const isLast = key === keys.at(-1);
  const mud = mudFor(kind, key, isLast, keys, choices);
  const tapes = key === 'tape' && !isAccessory(kind);
  return {
    id: coatId({ class: kind, key, side: undefined }),
    class: kind,
    key,
    side: undefined,
    round: key,
    sides: undefined,
    isLast,
    trimmed: tapes && choices.hard === 'trim',
    tool: toolFor(kind, key, isLast, choices),
    centred: isCentred(kind, key, choices),
    mud,
    settingMinutes: mud === 'setting' ? choices.settingMinutes : undefined,
    consistency: consistencyOf(key, isLast, choices),
    tape: tapes ? (choices.tape === 'paper' ? 'paper' : 'mesh') : undefined,
    edges:
      isLast && key !== 'fill' && choices.lastPass === 'edges' && (CLASS_TRAITS[kind].sides === 2 || kind === 'flat'),
    covered: key === 'tape' && (choices.cover === 'skim' || (choices.cover === 'oneSide' && isAngle(kind))),
  };
}

const isCentred = (kind: CoatedClass, key: CoatKey, { tools, centring }: ClassChoices): boolean =>
  tools === 'boxes' && CLASS_TRAITS[kind].sides === 2 && key !== 'tape' && centring !== 'none';

function mudFor(
  kind: CoatedClass,
  key: CoatKey,
  isLast: boolean,
  keys: readonly CoatKey[],
  { mud, product, consistency }: ClassChoices,
): MudProduct {
  if (key !== 'skim' && isSetting(kind, key, isLast, keys, mud)) return 'setting';
  if (product === 'allPurpose') return 'all-purpose';
  if (product === 'lightweight') return 'lightweight';
  if (key === 'tape') return 'taping';
  // All-purpose is hard to sand as a top coat, in angles above all.
  return key === 'fill' && !isAngle(kind) && consistency !== 'box' ? 'all-purpose' : 'topping';
}

/** Thin passes over screws lose their water before setting mud has set: only the first of them is one. */
function isSetting(
  kind: CoatedClass,
  key: CoatKey,
  isLast: boolean,
  keys: readonly CoatKey[],
  mud: ClassChoices['mud'],
): boolean {
  switch (mud) {
    case 'drying':
      return false;
    case 'settingTape':
      return key === 'tape';
    case 'settingFirst':
      return key === 'tape' || (kind !== 'fasteners' && key === 'fill' && (!isLast || keys.length < 2));
    case 'setting':
      return true;
  }
}

function consistencyOf(key: CoatKey, isLast: boolean, choices: ClassChoices): Coat['consistency'] {
  if (choices.consistency === 'box' && key !== 'tape') return 'stiff';
  // Thin mud is what makes angles easy.
  if (key === 'tape') return 'thin';
  return isLast && key !== 'fill' ? 'thin' : 'medium';
}
