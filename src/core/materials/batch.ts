/** Work that takes mud: litres of it, and the hours that one person or pair needs to put it on. */
export interface MudWork {
  readonly litres: number;
  readonly hours: number;
}

/**
 * How much mud is used up within so many minutes at one's own pace: the largest batch of setting mud by its working time, or
 * what belongs in the pan for the next hour; litres.
 *
 * @example mudWithin({ litres: 4, hours: 2 }, 20)  // 0.67: twenty minutes of two hours' work
 */
export const mudWithin = ({ litres, hours }: MudWork, minutes: number): number =>
  hours * 60 <= minutes ? litres : (litres * minutes) / (hours * 60);

/** A bag of setting mud that makes 2.4 gal takes 1.25 gal of water. Common practice, no source (from memory). */
const WATER_PART = 1.25 / 2.4;

/**
 * What a batch of setting mud is mixed of: so much of a bag, and water; litres.
 *
 * @param bag what a bag makes, litres
 * @example mixOf(1.2, 9)  // { bags: 0.133, water: 0.625 }
 */
export const mixOf = (litres: number, bag: number): { readonly bags: number; readonly water: number } => ({
  bags: litres / bag,
  water: litres * WATER_PART,
});
