import { describe, expect, it } from 'vitest';
import { areaOf } from '../room/faces/face';
import { facesOf } from '../room/faces/facesOf';
import { type Drawing, readDxf } from './readDxf';
import { layersOf, roomsIn } from './roomsIn';

const HOUSE = { unit: 'in', hang: {} } as const;
type Pair = readonly [number, string | number];
const dxf = (entities: readonly (readonly Pair[])[], header: readonly Pair[] = []) =>
  [
    ...(header.length > 0 ? [[0, 'SECTION'], [2, 'HEADER'], ...header, [0, 'ENDSEC']] : []),
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities.flat(),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ]
    .flat()
    .join('\n');
const outline = (
  layer: string,
  points: readonly (readonly [number, number, number?])[],
  closed = true,
): readonly Pair[] => [
  [0, 'LWPOLYLINE'],
  [8, layer],
  [90, points.length],
  [70, closed ? 1 : 0],
  ...points.flatMap(([x, y, bulge]): readonly Pair[] => [
    [10, x],
    [20, y],
    ...(bulge === undefined ? [] : [[42, bulge] as Pair]),
  ]),
];
const text = (words: string, x: number, y: number, height = 200): readonly Pair[] => [
  [0, 'TEXT'],
  [8, 'names'],
  [10, x],
  [20, y],
  [40, height],
  [1, words],
];
const box = (x: number, y: number, width: number, height: number): readonly (readonly [number, number])[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];
const drawn = (source: string): Drawing => {
  const read = readDxf(source);
  if (!read.ok) throw new Error(read.reason);
  return read.drawing;
};
const MM: readonly Pair[] = [
  [9, '$INSUNITS'],
  [70, 4],
];
const rooms = (drawing: Drawing, layer = 'rooms', more: object = {}) =>
  roomsIn(drawing, { layer, unit: 'mm', height: 2400, floor: 'Ground floor', ...more }, { unit: 'mm', hang: {} });

describe('a drawing', () => {
  it('becomes rooms by its closed outlines, named by what is written within, standing as they are drawn', () => {
    const drawing = drawn(
      dxf(
        [
          outline('rooms', box(0, 0, 4000, 3000)),
          outline('rooms', box(4120, 0, 2000, 3000)),
          text('Kitchen', 500, 500),
          text('12.0 m²', 500, 900, 400),
          text('Store', 4500, 400),
        ],
        MM,
      ),
    );
    expect(drawing.unit).toBe('mm');
    expect(layersOf(drawing)).toEqual([{ name: 'rooms', closed: 2 }]);
    const found = rooms(drawing);
    expect(found.left).toEqual([]);
    expect(found.rooms.map(({ room: { name, outline: corners }, at, area }) => [name, corners, at, area])).toEqual([
      [
        'Kitchen',
        expect.arrayContaining([
          [0, 0],
          [4000, 0],
          [4000, 3000],
          [0, 3000],
        ]),
        [0, -3000],
        12e6,
      ],
      ['Store', expect.any(Array), [4120, -3000], 6e6],
    ]);
    // The area of its ceiling is that of the drawing.
    for (const { room, area } of found.rooms) {
      const ceiling = facesOf({ ...room, id: 'a' }, 'mm').find(({ kind }) => kind === 'ceiling');
      expect(ceiling && areaOf(ceiling)).toBeCloseTo(area, 0);
    }
  });

  it('is read in the unit that is chosen, to the sixteenth of an inch', () => {
    const feet = drawn(dxf([outline('0', box(1, 2, 12.00004, 10))]));
    const [own] = roomsIn(feet, { layer: '0', unit: 'ft', height: 2438.4, floor: 'Cellar' }, HOUSE).rooms;
    expect(own?.room).toMatchObject({ name: 'Room 1', floor: 'Cellar', height: 96 });
    expect(own?.room.outline).toEqual(
      expect.arrayContaining([
        [0, 0],
        [144, 0],
        [144, 120],
        [0, 120],
      ]),
    );
  });

  it('walks bends in short steps, and takes what stands within for a column', () => {
    // A half circle on the right side of a square of 4 m.
    const drawing = drawn(
      dxf([
        outline('rooms', [
          [0, 0],
          [4000, 0, 1],
          [4000, 4000],
          [0, 4000],
        ]),
        outline('rooms', box(1000, 1000, 400, 400)),
      ]),
    );
    const [own, none] = rooms(drawing).rooms;
    expect(none).toBeUndefined();
    expect(own?.room.columns).toHaveLength(1);
    expect((own?.area ?? 0) / (16e6 + (Math.PI * 4e6) / 2)).toBeCloseTo(1, 2);
  });

  it('gives each room a name of its own', () => {
    const drawing = drawn(
      dxf([
        ...[0, 1, 2].map((index) => outline('rooms', box(index * 5000, 0, 4000, 3000 - index))),
        text('Bed', 500, 500),
        text('Bed', 5500, 500),
        text('Bed 2', 10_500, 500),
      ]),
    );
    expect(rooms(drawing).rooms.map(({ room: { name } }) => name)).toEqual(['Bed', 'Bed 2', 'Bed 2 2']);
  });

  it('says what it left out, and why', () => {
    const drawing = drawn(
      dxf([
        outline('rooms', box(0, 0, 4000, 3000), false),
        outline('rooms', [
          [0, 0],
          [3000, 3000],
          [3000, 0],
          [0, 3000],
        ]),
        outline('rooms', box(9000, 0, 300, 300)),
        [
          [0, 'CIRCLE'],
          [8, 'rooms'],
          [10, 0],
          [20, 0],
          [40, 500],
        ],
        [
          [0, 'LINE'],
          [8, 'rooms'],
          [10, 0],
          [20, 0],
          [11, 5],
          [21, 5],
        ],
      ]),
    );
    expect(rooms(drawing).rooms).toEqual([]);
    expect(rooms(drawing).left.map(({ why }) => why)).toEqual(
      expect.arrayContaining([
        'is open: its ends do not meet',
        'is smaller than a closet',
        'is no outline',
        'stand alone: outlines are closed polylines',
        'crosses itself',
      ]),
    );
    expect(rooms(drawing, 'nothing')).toEqual({ rooms: [], left: [] });
  });

  it('is refused with the reason where it is none', () => {
    const why = (source: string) => {
      const read = readDxf(source);
      return read.ok ? undefined : read.reason;
    };
    expect(why('')).toBe('is empty');
    expect(why('a house')).toMatch(/no DXF text/);
    expect(why('0\nSECTION\0\0')).toMatch(/binary/);
    expect(why(dxf([outline('a', box(0, 0, 1, 1))]).slice(0, -30))).toMatch(/ends in the middle/);
    expect(why('0\nSECTION\n'.padEnd(32_000_001, ' '))).toMatch(/larger than 32 MB/);
    for (const wild of [
      dxf([
        outline('a', [
          [Number.NaN, 1],
          [1e308, 5],
          [-1e308, 3],
        ]),
      ]),
      dxf([
        [
          [0, 'LWPOLYLINE'],
          [8, 'a'],
        ],
      ]),
    ]) {
      const read = readDxf(wild);
      if (read.ok) expect(rooms(read.drawing, 'a').rooms).toEqual([]);
      else expect(read.reason).toMatch(/./);
    }
  });

  it('of a hundred thousand outlines is cut to the largest, and told in few words', () => {
    const many = drawn(
      dxf(
        Array.from({ length: 30_000 }, (_, index) =>
          outline('rooms', box((index % 200) * 5000, Math.floor(index / 200) * 4000, 4000, 3000 - (index % 7))),
        ),
      ),
    );
    const found = rooms(many);
    expect(found.rooms).toHaveLength(200);
    expect(found.left.length).toBeLessThan(10);
  });
});

describe('a corner without readable coordinates', () => {
  it.each(['1e400', '-1e999', 'nowhere'])('refuses the drawing: %s', (wrong) => {
    const source = dxf([outline('rooms', box(0, 0, 4000, 3000))], MM).replace('4000', wrong);
    expect(readDxf(source)).toEqual({
      ok: false,
      reason: 'has a corner on layer rooms whose coordinates can’t be read',
    });
  });
});
