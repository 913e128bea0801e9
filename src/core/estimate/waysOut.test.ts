import { describe, expect, it } from 'vitest';
import { usualMethod } from '../method/resolveMethod';
import { knifeCheck } from '../section/knifeCheck';
import { toleranceFor } from '../section/tolerance';
import { waysOut } from './waysOut';

const INCH = 25.4;
const FOUR_FT = 48 * INCH;

describe('what can be done with a butt that stands too high', () => {
  const now = 24 * INCH;
  const finding = knifeCheck({ kind: 'rocks', lift: (3 / 8) * INCH, pivot: 6 * INCH }, 12 * INCH, now, toleranceFor());
  const [float, cutBack, backer, newBoard] = waysOut(finding, FOUR_FT, now, usualMethod(4));

  // common practice, no source: rates by hand for 4 ft of butt
  it('is priced by hand for a joint of 4 ft', () => {
    expect(finding.cutBack).toBe(true);
    // 64 in over 24 in is that many finish passes at 60 ft an hour.
    expect(float?.hours).toBeCloseTo((4 / 60) * (finding.width / now), 9);
    expect(float?.litres).toBeCloseTo((finding.extraMud * FOUR_FT) / 1000, 9);
    const coats = 4 / 70 + 4 / 40 + 4 / 60;
    expect(cutBack?.hours).toBeCloseTo(4 / 8 + coats, 9);
    expect(newBoard?.hours).toBeCloseTo(4 / 4 + coats, 9);
    expect(backer?.hours).toBeCloseTo(4 / 6 + 4 / 70 + 4 / 100 + 4 / 120, 9);
  });

  it('takes least mud over a backer, and most where it is floated on', () => {
    const litres = [float, cutBack, backer, newBoard].map((way) => way?.litres ?? 0);
    expect(Math.max(...litres)).toBe(litres[0]);
    expect(Math.min(...litres)).toBe(litres[2]);
  });
});
