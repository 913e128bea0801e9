import { ASSUMED_AIR } from '../air/air';
import type { HouseHead } from '../house/schema';
import { JOINT_CLASSES, type JointClass } from '../joints/joint';
import type { Tally } from '../joints/tally';
import { priceOf, type TakenRoom } from './priceOf';

/** What is finished otherwise where boards hang otherwise than they were planned; more where it is positive. */
export interface HungDifference {
  /** The classes that differ: mm, and how many. */
  readonly classes: readonly { readonly class: JointClass; readonly length: number; readonly count: number }[];
  /** Of tapers that lie in an angle, along one side or along both; mm. */
  readonly factoryEdge: number;
  readonly litres: number;
  readonly hours: number;
  readonly nights: number;
}

/** Shorter is the same joint; mm. */
const SAME_MM = 1;

/**
 * What a room takes more, or less, as it was found than as it was planned: feet, mud, hours and nights by the method of the house.
 *
 * @example hungDifference(house, room, planned, found).classes  // [{ class: 'butt', length: 1219.2, count: 1 }]
 */
export function hungDifference(
  house: Pick<HouseHead, 'unit' | 'method'>,
  room: TakenRoom['room'],
  planned: Tally,
  found: Tally,
): HungDifference {
  const [before, after] = [planned, found].map((tally) => priceOf(house, [{ room, tally }], ASSUMED_AIR));
  if (!before || !after) throw new Error('both are priced');
  return {
    classes: JOINT_CLASSES.flatMap((kind) => {
      const length = found.classes[kind].length - planned.classes[kind].length;
      const count = found.classes[kind].count - planned.classes[kind].count;
      return Math.abs(length) < SAME_MM && count === 0 ? [] : [{ class: kind, length, count }];
    }),
    factoryEdge: tapersIn(found) - tapersIn(planned),
    litres: after.litres - before.litres,
    hours: after.hours - before.hours,
    nights: after.nights - before.nights,
  };
}

const tapersIn = ({ factoryEdgeInAngle: { one, both } }: Tally): number => one + 2 * both;

/** A house's differences together. */
export function addDifferences(all: readonly HungDifference[]): HungDifference {
  const classes = JOINT_CLASSES.flatMap((kind) => {
    const own = all.flatMap((one) => one.classes.filter((differs) => differs.class === kind));
    return own.length === 0
      ? []
      : [
          {
            class: kind,
            length: own.reduce((sum, one) => sum + one.length, 0),
            count: own.reduce((sum, one) => sum + one.count, 0),
          },
        ];
  });
  const sum = (of: (one: HungDifference) => number) => all.reduce((total, one) => total + of(one), 0);
  return {
    classes,
    factoryEdge: sum((one) => one.factoryEdge),
    litres: sum((one) => one.litres),
    hours: sum((one) => one.hours),
    // Rooms dry side by side.
    nights: all.reduce((most, { nights }) => (Math.abs(nights) > Math.abs(most) ? nights : most), 0),
  };
}
