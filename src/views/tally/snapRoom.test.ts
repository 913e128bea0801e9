import { describe, expect, it } from 'vitest';
import { rectangle } from '@/core/measure/polygon';
import { PARTITION_MM, snapStep } from './snapRoom';

const neighbour = rectangle(0, 4000, 0, 3000);

describe('a room dropped on the plan', () => {
  it('snaps beside its neighbour with a partition between, and in line with it', () => {
    const [dx, dy] = snapStep(rectangle(4200, 6000, 80, 2500), [neighbour]);
    expect(4200 + dx).toBeCloseTo(4000 + PARTITION_MM, 6);
    expect(80 + dy).toBeCloseTo(0, 6);
  });

  it('stays where it is when nothing is near', () => {
    expect(snapStep(rectangle(9000, 9900, 7000, 7900), [neighbour])).toEqual([0, 0]);
    expect(snapStep(rectangle(0, 1, 0, 1), [])).toEqual([0, 0]);
  });

  it('does not snap slanting walls', () => {
    const slanting = [
      [4100, 1000],
      [5000, 1500],
      [4500, 2500],
    ] as const;
    expect(snapStep(slanting, [neighbour])).toEqual([0, 0]);
  });
});
