import { describe, expect, it } from 'vitest';
import { formatQuickLine } from '@/core/quickline/formatQuickLine';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { lineOf, textsOf } from './formTexts';

const HOUSE = { unit: 'in', hang: {} } as const;
const roomOf = (line: string) => {
  const reading = parseQuickLine(line, HOUSE);
  if (!reading.ok) throw new Error(reading.reason);
  return reading.room;
};
const LINES = [
  "Pantry: 7'6 x 5' x 8', door 28x80 wall 2, window 24x36 @48 wall 1 bead",
  "Landing: r 12' d 3'6 r 4' d 8' l 16' u 11'6, h 9', soffit 24x12 wall 1, niche 36x24x8 @40 wall 6 shelves 1, on Upper floor",
  "\"Bed, north\": 16' x 14' x 9', gable 5' walls 1 3, tile 60x72 wall 2, level 5 of ceiling, level 3, aim boards",
];

describe('the form', () => {
  it.each(LINES)('says everything that the line says: %s', (line) => {
    const room = roomOf(line);
    expect(roomOf(lineOf(textsOf(room, 'in')).line)).toEqual(room);
    expect(roomOf(formatQuickLine(room, 'in'))).toEqual(room);
  });

  it('shows a fault at the field that wrote it', () => {
    const faultOf = (change: (texts: ReturnType<typeof textsOf>) => void) => {
      const texts = textsOf(roomOf(LINES[1] ?? ''), 'in');
      change(texts);
      const { line, fieldAt } = lineOf(texts);
      const reading = parseQuickLine(line, HOUSE);
      return reading.ok ? 'fine' : fieldAt(reading.at);
    };
    const at = (texts: ReturnType<typeof textsOf>, kind: string) => texts.items.findIndex((item) => item.kind === kind);
    expect(faultOf(() => {})).toBe('fine');
    expect(faultOf((texts) => (texts.name = ''))).toBe('name');
    expect(faultOf((texts) => (texts.sizes = "r 12' d 3'6 r 4' d 8' l 15' u 11'6"))).toBe('sizes');
    const index = at(textsOf(roomOf(LINES[1] ?? ''), 'in'), 'soffit');
    const soffit = (values: Record<string, string>) =>
      faultOf((texts) => Object.assign(texts.items[index]?.values ?? {}, values));
    expect(soffit({ drop: '12q' })).toBe(`items.${index}.values.drop`);
    expect(soffit({ to: "40'" })).toBe(`items.${index}.values.to`);
    expect(soffit({ wall: '9' })).toBe(`items.${index}.values.wall`);
  });

  it('leaves empty fields unsaid', () => {
    const texts = textsOf(undefined, 'in');
    texts.name = 'Hall';
    texts.sizes = "8' x 6'";
    expect(lineOf(texts).line).toBe("Hall: 8' x 6'");
  });
});
