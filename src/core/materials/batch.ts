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
