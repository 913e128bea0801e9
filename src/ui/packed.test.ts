import { describe, expect, it } from 'vitest';
import { packed, packedTimes, unpacked, unpackedTimes } from './packed';

describe('what a page is given as text', () => {
  it('is the same again', () => {
    const rooms = [{ id: 'hall', coats: [1, 0.5], name: 'Flur “Süd” "2" `3`' }];
    expect(unpacked(packed(rooms))).toEqual(rooms);
  });
  it('keeps a time that never comes, and one that is not there', () => {
    const rooms = [{ id: 'hall', first: 12, all: Number.POSITIVE_INFINITY }, { id: 'den' }];
    expect(unpackedTimes(packedTimes(rooms))).toEqual(rooms);
  });
});
