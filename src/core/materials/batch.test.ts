import { describe, expect, it } from 'vitest';
import { mudWithin } from './batch';

describe('how much mud is used up in time', () => {
  it('is all of it, or the part for which there is time', () => {
    // By hand: 6 l in 3 h are 2 l an hour, so 0.67 l in 20 min.
    expect(mudWithin({ litres: 6, hours: 3 }, 20)).toBeCloseTo(2 / 3, 12);
    expect(mudWithin({ litres: 6, hours: 3 }, 60)).toBe(2);
    expect(mudWithin({ litres: 6, hours: 3 }, 180)).toBe(6);
    expect(mudWithin({ litres: 6, hours: 3 }, 300)).toBe(6);
    expect(mudWithin({ litres: 0, hours: 0 }, 20)).toBe(0);
  });
});
