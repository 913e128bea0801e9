import { describe, expect, it } from 'vitest';
import { lastPlace, placeOf } from './lastPlace';

const ANN = '00000000-0000-4000-8000-0000000000a1';
const HOUSE = '00000000-0000-4000-8000-0000000000c1';

describe('where somebody was last on a device', () => {
  it.each([
    ['a house', `/h/${HOUSE}`, HOUSE],
    ['a page of it', `/h/${HOUSE}/board`, HOUSE],
    ['a sheet of a room', `/h/${HOUSE}/hand-over/bed-2`, HOUSE],
    ['no page of a house', '/houses', undefined],
    ['another server', `//evil.example/h/${HOUSE}`, undefined],
    ['more than a path', `/h/${HOUSE}/board?x=//evil.example`, undefined],
  ])('is read as it was noted: %s', (_words, path, house) => {
    const read = placeOf(decodeURIComponent(lastPlace(ANN, path)), ANN);
    expect(read).toEqual(house && { house, path });
  });

  it('is nobody else’s, and nothing where nothing was noted', () => {
    expect(placeOf(decodeURIComponent(lastPlace(ANN, `/h/${HOUSE}`)), HOUSE)).toBeUndefined();
    expect(placeOf(undefined, ANN)).toBeUndefined();
  });
});
