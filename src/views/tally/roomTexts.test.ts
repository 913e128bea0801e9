import { describe, expect, it } from 'vitest';
import { parseQuickLine, type QuickRoom } from '@/core/house/parseQuickLine';
import { NO_OPENING, readTexts, textsOf } from './roomTexts';

const room = (line: string): QuickRoom => {
  const reading = parseQuickLine(line, { unit: 'in', hang: {} });
  if (!reading.ok) throw new Error(reading.reason);
  return reading.room;
};

describe('the form of a room', () => {
  it.each([
    "Pantry 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 bead depth 5",
    "Loft 12' x 10' x 9', level 5, on Upper floor, ceiling across, walls upright",
    "Porch 12' x 10' x 9', ceiling open, opening 60x84 wall 3 at 2' open",
  ])('says all that the quick line says of %s', (line) => {
    expect(readTexts(textsOf(room(line), 'in'), 'in')).toEqual({ room: room(line), problems: [] });
  });

  it('keeps every wrong field with its place and its reason', () => {
    const texts = {
      ...textsOf(room("A 12' x 10' x 8', door 28x80 wall 2"), 'in'),
      name: ' ',
      length: '12q',
      height: '0',
    };
    texts.openings = texts.openings.map((opening) => ({ ...opening, width: '', sill: 'x' }));
    expect(readTexts(texts, 'in')).toEqual({
      room: undefined,
      problems: [
        { path: 'name', reason: 'needs a name' },
        { path: 'length', reason: '"q" does not belong in a length' },
        { path: 'height', reason: 'must be greater than 0' },
        { path: 'openings[0].width', reason: 'no length is written here' },
        { path: 'openings[0].sill', reason: '"x" does not belong in a length' },
      ],
    });
  });

  it('puts an opening without a place in the middle of its wall', () => {
    const texts = textsOf(room("A 12' x 10' x 8'"), 'in');
    const next = readTexts({ ...texts, openings: [{ ...NO_OPENING, width: '32', height: '80', wall: '2' }] }, 'in');
    expect(next.room?.openings[0]).toMatchObject({ wall: 1, at: (120 - 32) / 2, sill: 0, edge: 'casing' });
  });

  it('is empty for a new room', () => {
    expect(textsOf(undefined, 'mm')).toMatchObject({ name: '', length: '', height: '2400 mm', openings: [] });
  });
});
