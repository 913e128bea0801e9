import type { Tally } from '../joints/tally';
import { MM_PER_FOOT } from '../measure/unit';
import type { Coat, CoatedClass, CoatKey } from '../method/coat';
import { amountsToSand } from '../method/finalSanding';
import { choicesFor, type Method } from '../method/resolveMethod';
import { type RoomCoat, roundsOf } from '../method/roomCoats';
import { placeInSequence } from '../method/sequence';
import { type SmallWork, shareOfSmall, smallWorkOf } from '../method/smallWork';
import type { Room } from '../room/schema';
import { sandHoursOf } from './closing';
import type { Pass } from './pass';
import { rateOfCoat } from './rateOfCoat';
import { betweenRate, coatRate, ROOM_HOURS, SKIM_FT2_PER_HOUR, SMALL_PER_HOUR } from './usualRates';

/** One pass through one room. */
export interface Task {
  readonly pass: Pass;
  readonly coats: readonly RoomCoat[];
  /** What is done beside the coats. */
  readonly small: readonly SmallWork[];
  /** Person-hours by the default rates, walking in included. */
  readonly hours: number;
  /** The same by what people differ at, see `rateOfCoat`; the rest is small work of its own. */
  readonly parts: readonly { readonly rate: string; readonly hours: number }[];
}

/**
 * The passes of one room that are priced, in order, sanding last; a room without coats has none.
 *
 * @param found the gaps that were found and their mud, see `smallWorkOf`
 */
export function tasksOf(
  tally: Tally,
  coats: readonly RoomCoat[],
  method: Method,
  finish?: Room['finish'],
  found: { readonly gaps?: number | undefined; readonly litres?: number | undefined } = {},
): readonly Task[] {
  const small = smallWorkOf(tally, coats, method, found.gaps, found.litres);
  const rounds = roundsOf(coats).map((round) => roundTask(round, coats, small, method));
  if (rounds.length === 0) return [];
  const sanding = sandHoursOf(amountsToSand(tally, method, finish));
  const hours = sanding > 0 ? ROOM_HOURS + sanding : 0;
  return [...rounds, { pass: 'sand', coats: [], small: [], hours, parts: [{ rate: 'sand', hours }] }];
}

/** Person-hours of a task by those who are so much faster than usual at what it consists of, see `rateOfCoat`. */
export const hoursAtPace = (
  { parts, hours }: Pick<Task, 'parts' | 'hours'>,
  paceAt: (rate: string) => number,
): number => parts.reduce((sum, part) => sum - part.hours + part.hours / paceAt(part.rate), hours);

function roundTask(round: CoatKey, coats: readonly RoomCoat[], small: readonly SmallWork[], method: Method): Task {
  const place = (coat: RoomCoat) => placeInSequence(coat.class, round, method.all);
  const inRound = coats.filter((coat) => coat.round === round).sort((a, b) => place(a) - place(b));
  const part = { pass: round, coats: inRound, small: small.filter((work) => work.round === round) };
  const { hours } = partOfTask(part, coats, method, 1);
  return partOfTask(part, coats, method, hours > 0 ? 1 + ROOM_HOURS / hours : 1);
}

/**
 * Returns by how much the hours of a round grow with walking in and setting up, which is spread over all of its work: whoever runs
 * a part of it has a part of that.
 *
 * @param whole the round as a task
 * @example setUpFactor({ hours: 1 + 5 / 60 })  // 1.083
 */
export const setUpFactor = (whole: Pick<Task, 'hours'> | undefined): number =>
  whole && whole.hours > ROOM_HOURS ? whole.hours / (whole.hours - ROOM_HOURS) : 1;

/**
 * Returns some of the work of a pass, with its hours.
 *
 * @param all the coats of the room
 * @param factor for setting up, see `setUpFactor`
 * @param isScraped what lies under a coat is scraped already, or by somebody else
 */
export function partOfTask(
  { pass, coats, small }: Pick<Task, 'pass' | 'coats' | 'small'>,
  all: readonly RoomCoat[],
  method: Method,
  factor: number,
  isScraped: (coat: RoomCoat) => boolean = () => false,
): Task {
  const parts = coats.map((coat) => {
    const before = isScraped(coat) ? 0 : betweenHours(coat, all, method);
    const beside = edgeHours(coat, all, small);
    return { rate: rateOfCoat(coat), hours: factor * (coatHours(coat, method) + before + beside) };
  });
  const others = small.filter(({ kind }) => kind !== 'factoryEdge').reduce((sum, work) => sum + smallHours(work), 0);
  return { pass, coats, small, parts, hours: parts.reduce((sum, part) => sum + part.hours, factor * others) };
}

/** Returns the person-hours of filling the factory edges that lie in the angles of a coat. */
export const edgeHours = (coat: RoomCoat, all: readonly RoomCoat[], small: readonly SmallWork[]): number =>
  small.reduce(
    (sum, work) => (work.kind === 'factoryEdge' ? sum + smallHours(work) * shareOfSmall(work, coat, all) : sum),
    0,
  );

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
  return (
    amountOf(coat) /
    betweenRate(coat.class, choicesFor(method, coat.class).between, method.scraping) /
    sidesOf(coat, coats)
  );
}

/** Coats of an angle's sides are scraped side by side: half of the work each. */
const sidesOf = (coat: Coat, coats: readonly Coat[]): number =>
  coats.filter((other) => other.class === coat.class && other.key === coat.key).length;

/** Feet of joint, square feet of surface, or how many fasteners. */
function amountOf({ class: kind, amount }: { readonly class: CoatedClass; readonly amount: number }): number {
  if (kind === 'fasteners') return amount;
  return kind === 'surface' ? amount / MM_PER_FOOT ** 2 : amount / MM_PER_FOOT;
}
