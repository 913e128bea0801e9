import type { Found, Slowness } from '../drying/touch';
import type { CoatKind } from '../readiness/coatClock';
import type { HouseSnapshot } from '../snapshot/houseSnapshot';

/** The number of touch checks, and of those that agreed with the predicted drying times. */
export interface Right {
  readonly touches: number;
  /** As the tables had it, and with what was learned in the room since. */
  readonly plain: number;
  readonly learned: number;
}

/** The same for one room and one kind of coat. */
export interface RoomRight extends Right {
  readonly room: { readonly id: string; readonly name: string };
  readonly kind: CoatKind;
  readonly slowness: Slowness;
  /** How many of them lay within the range that was learned. */
  readonly covered: number;
}

/** Dry is white, whatever else is not. */
const isRight = (dried: number, found: Found): boolean => dried >= 1 === (found === 'white');

/** Whether the clocks were right: what they said would be found beside what was, by room and by kind of coat. */
export function wasRight({ rooms }: Pick<HouseSnapshot, 'rooms'>): readonly RoomRight[] {
  return rooms.flatMap(({ room, learned: { touches, byKind } }): readonly RoomRight[] =>
    [...byKind].map(([kind, slowness]) => {
      const own = touches.filter((touch) => touch.kind === kind);
      const count = (is: (touch: (typeof own)[number]) => boolean) => own.filter(is).length;
      return {
        room: { id: room.id, name: room.name },
        kind,
        slowness,
        touches: own.length,
        plain: count(({ dried, found }) => isRight(dried, found)),
        learned: count(({ dried, found }) => isRight(dried / slowness.factor, found)),
        covered: count(({ dried, found }) =>
          found === 'white' ? dried / slowness.low >= 1 : dried / slowness.high < 1,
        ),
      };
    }),
  );
}

/** All of them together. */
export const rightInAll = (rooms: readonly Right[]): Right => ({
  touches: rooms.reduce((sum, { touches }) => sum + touches, 0),
  plain: rooms.reduce((sum, { plain }) => sum + plain, 0),
  learned: rooms.reduce((sum, { learned }) => sum + learned, 0),
});
