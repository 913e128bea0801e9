import { describe, expect, it } from 'vitest';
import { shrinkPhoto, sizeWithin } from './shrinkPhoto';

describe('a photo that is made small', () => {
  it('keeps its proportion, and is never made larger', () => {
    expect(sizeWithin({ width: 4000, height: 3000 }, 1600)).toEqual({ width: 1600, height: 1200 });
    expect(sizeWithin({ width: 900, height: 3600 }, 1600)).toEqual({ width: 400, height: 1600 });
    expect(sizeWithin({ width: 640, height: 480 }, 1600)).toEqual({ width: 640, height: 480 });
    expect(sizeWithin({ width: 20_000, height: 1 }, 1600)).toEqual({ width: 1600, height: 1 });
  });

  it('is not even opened where it is no picture, or too large', async () => {
    const reasonOf = async (blob: Blob) => {
      const shrunk = await shrinkPhoto(blob);
      return shrunk.ok ? undefined : shrunk.reason;
    };
    expect(await reasonOf(new Blob(['hello']))).toMatch(/no photo that can be read/);
    expect(await reasonOf(new Blob([]))).toMatch(/no photo that can be read/);
    expect(await reasonOf(new Blob([new Uint8Array(31_000_000)]))).toBe('has 31 MB; a photo may have at most 30');
  });
});
