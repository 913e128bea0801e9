import { ASSUMED_AIR } from '../air/air';
import type { HouseHead } from '../house/schema';
import { takeOff } from '../joints/takeOff';
import { addTallies, type Tally } from '../joints/tally';
import { fromMm, type LengthUnit } from '../measure/unit';
import { resolveHang } from '../room/resolveHang';
import type { HangChoices, Room } from '../room/schema';
import { priceOf } from './priceOf';

/** What else could be hung: boards a half foot wider, longer ones, or walls upright. */
export const OTHER_STOCK = ['wider', 'longer', 'longest', 'upright'] as const;
export type OtherStock = (typeof OTHER_STOCK)[number];

/** What a house would be to its finishers with other boards than it is hung with; less where it is negative. */
export interface StockAnswer {
  readonly stock: OtherStock;
  /** mm of flats, and of butts, backed ones too; how many butts. */
  readonly flat: number;
  readonly butt: number;
  readonly butts: number;
  readonly sheets: number;
  readonly hours: number;
  readonly litres: number;
  readonly nights: number;
}

/** Widths and lengths that are to be had, in the unit of a house. Common practice, no source. */
const TO_BE_HAD: Readonly<
  Record<
    LengthUnit,
    {
      readonly wide: number;
      readonly wideLengths: readonly number[];
      readonly longer: number;
      readonly longest: number;
    }
  >
> = {
  in: { wide: 54, wideLengths: [96, 120, 144], longer: 168, longest: 192 },
  mm: { wide: 1350, wideLengths: [2400, 3000], longer: 3600, longest: 4200 },
};
/** What saves less is not worth asking for; hours. */
const LEAST_HOURS = 0.1;

/**
 * The boards that would help: for each kind that is not in use, what the finishers would save by it, the most first. Faces that
 * were found hung stay as they are.
 *
 * @example betterStock(rooms, house).map(({ stock }) => stock)  // ['wider'] where walls are 9 ft
 */
export function betterStock(rooms: readonly Room[], house: HouseHead): readonly StockAnswer[] {
  const now = workedOut(rooms, house);
  return OTHER_STOCK.flatMap((stock): readonly StockAnswer[] => {
    const others = rooms.map((room) => roomWithStock(room, house, stock));
    if (others.every((room, index) => room === rooms[index])) return [];
    const then = workedOut(others, house);
    const answer: StockAnswer = {
      stock,
      flat: then.tally.classes.flat.length - now.tally.classes.flat.length,
      butt: buttsOf(then.tally).length - buttsOf(now.tally).length,
      butts: buttsOf(then.tally).count - buttsOf(now.tally).count,
      sheets: sheetsOf(then.tally) - sheetsOf(now.tally),
      hours: then.price.hours - now.price.hours,
      litres: then.price.litres - now.price.litres,
      nights: then.price.nights - now.price.nights,
    };
    return answer.hours <= -LEAST_HOURS ? [answer] : [];
  }).sort((a, b) => a.hours - b.hours);
}

/** A room hung with other boards; the same one where it is already. */
export function roomWithStock(room: Room, house: Pick<HouseHead, 'unit' | 'hang'>, stock: OtherStock): Room {
  const hung = (hang: HangChoices): Room => ({ ...room, hang: { ...room.hang, ...hang } });
  const plan = resolveHang(house, room);
  if (stock === 'upright') return plan.walls === 'upright' ? room : hung({ walls: 'upright' });
  const had = TO_BE_HAD[house.unit];
  const boards = plan.boards.map(({ width, lengths }) => ({
    width: fromMm(width, house.unit),
    lengths: lengths.map((length) => fromMm(length, house.unit)),
  }));
  if (stock === 'wider')
    return boards.some(({ width }) => width >= had.wide)
      ? room
      : hung({ boards: [...boards, { width: had.wide, lengths: [...had.wideLengths] }] });
  const most = had[stock];
  if (boards.every(({ lengths }) => lengths.some((length) => length >= most))) return room;
  const more = stock === 'longest' ? [had.longer, had.longest] : [had.longer];
  return hung({
    boards: boards.map(({ width, lengths }) => ({
      width,
      lengths: [...lengths, ...more.filter((length) => !lengths.includes(length))],
    })),
  });
}

function workedOut(rooms: readonly Room[], house: HouseHead) {
  const taken = rooms.map((room) => ({ room, tally: takeOff(room, house).tally }));
  return { tally: addTallies(taken.map(({ tally }) => tally)), price: priceOf(house, taken, ASSUMED_AIR) };
}

const buttsOf = ({ classes: { butt, backedButt } }: Tally) => ({
  length: butt.length + backedButt.length,
  count: butt.count + backedButt.count,
});
const sheetsOf = ({ boards }: Tally): number => boards.reduce((sum, { count }) => sum + count, 0);
