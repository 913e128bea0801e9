import { describe, expect, it } from 'vitest';
import { readLaser } from './readLaser';

describe('a reading of a laser measure', () => {
  it.each([
    ['3.766 m', 3766],
    ['3,766m', 3766],
    ['3766 mm', 3766],
    ['376.6 cm', 3766],
    ['12\' 4 1/2"', 3771.9],
    ['148.5 in', 3771.9],
    ['12.375 ft', 3771.9],
    ['  2.4 m\r', 2400],
  ])('%s', (line, mm) => {
    const read = readLaser(line);
    expect(read.ok && read.mm).toBeCloseTo(mm, 6);
  });

  it.each([
    ['3766', /no unit/],
    ['', /no length/],
    ['ERR 204', /does not belong/],
    ['-3.7 m', /./],
    ['0.004 m', /too near/],
    ['70 m', /farther/],
    ['1e9 m', /./],
    ['NaN m', /./],
  ])('%s is refused', (line, reason) => {
    const read = readLaser(line);
    expect(read.ok ? '' : read.reason).toMatch(reason);
  });
});
