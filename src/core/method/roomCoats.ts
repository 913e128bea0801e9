import type { FinishPart } from '../joints/finishParts';
import { JOINT_CLASSES } from '../joints/joint';
import type { Piece } from '../joints/pieces';
import type { Tally } from '../joints/tally';
import { LEVELS, type Level } from '../room/level';
import type { Room } from '../room/schema';
import { COAT_KEYS, type Coat, type CoatedClass, type CoatId, type CoatKey } from './coat';
import { coatsFor } from './coatsFor';
import { extraCoatOver, type JointsWithMore } from './extraCoat';
import { type Method, withLevel } from './resolveMethod';

/** A coat of a room with how much there is of it: mm of joint, fasteners by count, a surface in mm². */
export interface RoomCoat extends Coat {
  readonly amount: number;
  /** The part of it that lies on butts whose paper edges were cut back, 0–1. */
  readonly bevelled?: number;
  /** Of a tape coat: the tape behind cabinets that is laid with it and never coated, mm. */
  readonly behind?: number;
  /** The mud that single joints take beyond what their section says, litres. */
  readonly more?: number;
}

/** The classes that a room has anything of, fasteners and the surface last. */
export function coatedClassesOf(tally: Tally): readonly CoatedClass[] {
  const joints = JOINT_CLASSES.filter((kind) => tally.classes[kind].length > 0);
  return [
    ...joints,
    ...(tally.fasteners > 0 ? (['fasteners'] as const) : []),
    ...(tally.paintedArea > 0 ? (['surface'] as const) : []),
  ];
}

/**
 * Every coat that a room will get. Faces with a level of their own take the coats of that level, a joint between two
 * faces those of the higher one; so a coat may cover only a part of its class.
 */
export function roomCoats(tally: Tally, method: Method, finish?: Room['finish']): readonly RoomCoat[] {
  const { bevelled, classes } = tally;
  const coats = withTapeBehind(plainCoats(tally, method, finish), tapedBehind(tally, method, finish));
  if (!bevelled) return coats;
  const part = bevelled.length / classes.butt.length;
  return coats.map((coat) => (coat.class === 'butt' ? { ...coat, bevelled: part } : coat));
}

/**
 * Returns the coats of a room that is taken off with what single joints get beyond their class: a coat of their own, or mud that the last
 * one takes along.
 *
 * @param more by piece, see `jointFindings`
 */
export const coatsWithMore = (
  { tally, pieces }: { readonly tally: Tally; readonly pieces: readonly Pick<Piece, 'id' | 'class' | 'amount'>[] },
  method: Method,
  finish: Room['finish'],
  more: JointsWithMore,
): readonly RoomCoat[] => withJointsMore(roomCoats(tally, method, finish), pieces, more);

function withJointsMore(
  coats: readonly RoomCoat[],
  pieces: readonly Pick<Piece, 'id' | 'class' | 'amount'>[],
  more: JointsWithMore,
): readonly RoomCoat[] {
  if (more.size === 0) return coats;
  const all = [...coats];
  for (const piece of pieces) {
    const own = more.get(piece.id);
    const place = all.findLastIndex((coat) => coat.class === piece.class);
    const last = all[place];
    if (!own || !last) continue;
    const extra =
      own.coat &&
      extraCoatOver(
        coats.filter((coat) => coat.class === piece.class),
        own.coat,
      );
    const known = extra && last.id === extra.id;
    if (!extra || known)
      all[place] = { ...last, amount: last.amount + (known ? piece.amount : 0), more: (last.more ?? 0) + own.litres };
    else all.splice(place + 1, 0, { ...extra, amount: piece.amount, more: own.litres });
  }
  return all;
}

/** The joints behind cabinets that are taped; mm. */
const tapedBehind = (tally: Tally, method: Method, finish: Room['finish']): number =>
  tally.parts
    ? tally.parts.reduce(
        (sum, part) => (methodOn(part.faces, method, finish).level > 0 ? sum + part.tapedOnly : sum),
        0,
      )
    : tally.tapedOnly.length;

/** Tape behind cabinets is laid with the other tape of its room. */
function withTapeBehind(coats: readonly RoomCoat[], length: number): readonly RoomCoat[] {
  if (length === 0) return coats;
  const taped = coats.reduce((sum, { tape, amount }) => (tape ? sum + amount : sum), 0);
  return coats.map((coat) => (coat.tape ? { ...coat, behind: (length * coat.amount) / taped } : coat));
}

function plainCoats(tally: Tally, method: Method, finish: Room['finish']): readonly RoomCoat[] {
  const kinds = coatedClassesOf(tally);
  if (!tally.parts) return kinds.flatMap((kind) => coatsOver(amountOf(tally, kind), kind, method));
  const parts = tally.parts.map((part) => ({ part, method: methodOn(part.faces, method, finish) }));
  return kinds.flatMap((kind) => {
    const coats = new Map<CoatId, RoomCoat>();
    for (const { part, method: own } of parts) {
      for (const coat of coatsOver(amountIn(part, kind), kind, own)) {
        coats.set(coat.id, { ...coat, amount: coat.amount + (coats.get(coat.id)?.amount ?? 0) });
      }
    }
    return [...coats.values()].sort((a, b) => COAT_KEYS.indexOf(a.round) - COAT_KEYS.indexOf(b.round));
  });
}

const coatsOver = (amount: number, kind: CoatedClass, method: Method): readonly RoomCoat[] =>
  amount > 0 ? coatsFor(kind, method).map((coat) => ({ ...coat, amount })) : [];

function amountOf(tally: Tally, kind: CoatedClass): number {
  if (kind === 'fasteners') return tally.fasteners;
  return kind === 'surface' ? tally.paintedArea : tally.classes[kind].length;
}

/** The method on a face, or on a joint between faces, which goes by the higher level. */
export function methodOn(faces: readonly string[], method: Method, finish: Room['finish']): Method {
  if (!finish?.faces) return method;
  const levels = new Set<Level>(faces.map((face) => finish?.faces?.[face]?.level ?? method.level));
  const level = LEVELS.findLast((own) => levels.has(own)) ?? method.level;
  return withLevel(method, level);
}

function amountIn(part: FinishPart, kind: CoatedClass): number {
  if (kind === 'fasteners') return part.fasteners;
  return kind === 'surface' ? part.paintedArea : (part.classes[kind] ?? 0);
}

/** The rounds that a room needs, in order. */
export const roundsOf = (coats: readonly Coat[]): readonly CoatKey[] =>
  COAT_KEYS.filter((round) => coats.some((coat) => coat.round === round));
