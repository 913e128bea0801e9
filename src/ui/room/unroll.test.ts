import { describe, expect, it } from 'vitest';
import { takeOff } from '@/core/joints/takeOff';
import { signedArea } from '@/core/measure/vector';
import { roomOf } from '../../../tests/houses/readRooms';
import { pageLength, unrollRoom } from './unroll';

const unrolled = (line: string) => {
  const { house, room } = roomOf(line);
  const result = takeOff(room, house);
  return { result, page: unrollRoom(result) };
};
const IN = 25.4;

describe('the unrolled room', () => {
  it('is as wide and as high as the ceiling with a wall on each side', () => {
    const { page } = unrolled("A 12' x 10' x 8'");
    expect(page.box.width / IN).toBeCloseTo(144 + 2 * 96, 6);
    expect(page.box.height / IN).toBeCloseTo(120 + 2 * 96, 6);
  });

  it('draws every face in its true size', () => {
    const { page } = unrolled("A 12' x 10' x 8', door 32x80 wall 1");
    for (const { face, corners, holes } of page.faces) {
      expect(Math.abs(signedArea(corners)), face.id).toBeCloseTo(face.width * face.height, 3);
      for (const hole of holes) expect(Math.abs(signedArea(hole.corners)) / IN ** 2).toBeCloseTo(32 * 80, 3);
    }
  });

  it('draws a seam once, a fold once, and a torn upright on both halves', () => {
    const { page, result } = unrolled("A 12' x 10' x 8'");
    for (const joint of result.joints) {
      const lines = page.lines.filter((line) => line.joint === joint.id);
      expect(lines, joint.id).toHaveLength(joint.run === 'upright' ? 2 : 1);
      for (const line of lines) expect(pageLength(line.from, line.to)).toBeCloseTo(joint.length, 6);
    }
  });

  it('ties the halves of the four uprights with one letter each', () => {
    const letters = unrolled("A 12' x 10' x 8'").page.letters.map(({ letter }) => letter);
    expect(letters.sort()).toEqual(['A', 'A', 'B', 'B', 'C', 'C', 'D', 'D']);
  });

  it('shows the beads of a boarded window on the wall and leaves its returns out', () => {
    const { page } = unrolled("A 12' x 10' x 8', window 36x48 @36 wall 2 bead");
    expect(page.faces.map(({ face }) => face.kind)).not.toContain('return');
    expect(page.lines.filter((line) => line.class === 'bead')).toHaveLength(4);
  });
});
