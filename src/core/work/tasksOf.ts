import type { Tally } from '../joints/tally';
import { MM_PER_FOOT } from '../measure/unit';
import type { Coat, CoatedClass, CoatKey } from '../method/coat';
import { passOrder } from '../method/passOrder';
import { choicesFor, type Method } from '../method/resolveMethod';
import { coatedClassesOf, type RoomCoat, roundsOf } from '../method/roomCoats';
import { type SmallWork, smallWorkOf } from '../method/smallWork';
import type { Pass } from './pass';
import { rateOfCoat } from './rateOfCoat';
import {
  betweenRate,
  coatRate,
  RATES_PER_HOUR,
  ROOM_HOURS,
  SKIM_FT2_PER_HOUR,
  SKIM_SAND_FT2_PER_HOUR,
  SMALL_PER_HOUR,
} from './usualRates';

/** One pass through one room. */
export interface Task {
  readonly pass: Pass;
  readonly coats: readonly RoomCoat[];
  /** What is done beside the coats. */
  readonly small: readonly SmallWork[];
  /** Person-hours by the usual rates, walking in included. */
  readonly hours: number;
  /** The same by what people differ at, see `rateOfCoat`; the rest is walking in and small work. */
  readonly parts: readonly { readonly rate: string; readonly hours: number }[];
}

/**
 * The passes of one room that are priced, in order, sanding last; a room without coats has none.
 *
 * @param gaps and its mud, see `smallWorkOf`
 */
export function tasksOf(
  tally: Tally,
  coats: readonly RoomCoat[],
  method: Method,
  gaps?: number,
  gapLitres?: number,
): readonly Task[] {
  const small = smallWorkOf(tally, coats, method, gaps, gapLitres);
  const rounds = roundsOf(coats).map((round) => roundTask(round, coats, small, method));
  if (rounds.length === 0) return [];
  const sanding = sandingHours(tally, coats, method);
  const parts = [{ rate: 'sand', hours: sanding }];
  return [...rounds, { pass: 'sand', coats: [], small: [], hours: ROOM_HOURS + sanding, parts }];
}

/** Person-hours of a task by those who are so much faster than usual at what it consists of, see `rateOfCoat`. */
export const hoursAtPace = (
  { parts, hours }: Pick<Task, 'parts' | 'hours'>,
  paceAt: (rate: string) => number,
): number => parts.reduce((sum, part) => sum - part.hours + part.hours / paceAt(part.rate), hours);

function roundTask(round: CoatKey, coats: readonly RoomCoat[], small: readonly SmallWork[], method: Method): Task {
  const place = (coat: RoomCoat) => passOrder(coat.class, round, method.all);
  const inRound = coats.filter((coat) => coat.round === round).sort((a, b) => place(a) - place(b));
  const smallInRound = small.filter((work) => work.round === round);
  return partOfTask({ pass: round, coats: inRound, small: smallInRound }, coats, method);
}

/**
 * Some of the work of a pass, with its hours.
 *
 * @param all the coats of the room
 * @param apart whether somebody else scrapes before it
 */
export function partOfTask(
  {
    pass,
    coats,
    small,
  }: { readonly pass: Pass; readonly coats: readonly RoomCoat[]; readonly small: readonly SmallWork[] },
  all: readonly RoomCoat[],
  method: Method,
  apart = false,
): Task {
  const parts = coats.map((coat) => ({
    rate: rateOfCoat(coat),
    hours: coatHours(coat, method) + (apart ? 0 : betweenHours(coat, all, method)),
  }));
  const hours = parts.reduce(
    (sum, part) => sum + part.hours,
    small.reduce((sum, work) => sum + smallHours(work), ROOM_HOURS),
  );
  return { pass, coats, small, hours, parts };
}

/** Person-hours that some small work takes by the default rates. */
export const smallHours = ({ kind, amount }: Pick<SmallWork, 'kind' | 'amount'>): number =>
  (kind === 'threeWay' ? amount : amount / MM_PER_FOOT) / SMALL_PER_HOUR[kind];

/** Person-hours that one coat of a room takes by the default rates. */
export function coatHours(coat: RoomCoat, method: Method): number {
  if (coat.class === 'surface' || coat.key === 'skim') return amountOf(coat) / SKIM_FT2_PER_HOUR;
  return amountOf(coat) / coatRate(coat.class, coat, choicesFor(method, coat.class));
}

/** Person-hours of what is scraped, sanded or spotted on the coat below before this one goes over it. */
export function betweenHours(coat: RoomCoat, coats: readonly RoomCoat[], method: Method): number {
  if (coat.class === 'surface' || coat.class === 'fasteners' || coat.key === 'tape') return 0;
  return amountOf(coat) / betweenRate(coat.class, choicesFor(method, coat.class).between) / sidesOf(coat, coats);
}

/** Coats of an angle's sides are scraped side by side: half of the work each. */
const sidesOf = (coat: Coat, coats: readonly Coat[]): number =>
  coats.filter((other) => other.class === coat.class && other.key === coat.key).length;

function sandingHours(tally: Tally, coats: readonly RoomCoat[], method: Method): number {
  const skim = coats.find(({ key }) => key === 'skim');
  const skimmed = skim ? skim.amount / tally.paintedArea : 0;
  const joints = coatedClassesOf(tally).reduce((sum, kind) => {
    if (kind === 'surface' || choicesFor(method, kind).hard === 'trim') return sum;
    const amount = kind === 'fasteners' ? tally.fasteners : tally.classes[kind].length / MM_PER_FOOT;
    return sum + amount / RATES_PER_HOUR[kind].sand;
  }, 0);
  return joints * (1 - skimmed) + (skim ? amountOf(skim) / SKIM_SAND_FT2_PER_HOUR : 0);
}

/** Feet of joint, square feet of surface, or how many fasteners. */
function amountOf({ class: kind, amount }: { readonly class: CoatedClass; readonly amount: number }): number {
  if (kind === 'fasteners') return amount;
  return kind === 'surface' ? amount / MM_PER_FOOT ** 2 : amount / MM_PER_FOOT;
}
