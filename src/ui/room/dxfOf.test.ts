import { describe, expect, it } from 'vitest';
import { readDxf } from '@/core/dxf/readDxf';
import { roomsIn } from '@/core/dxf/roomsIn';
import { JOINT_CLASSES } from '@/core/joints/joint';
import { takeOff } from '@/core/joints/takeOff';
import { MM_PER_INCH } from '@/core/measure/unit';
import { roomOf } from '../../../tests/houses/readRooms';
import { dxfOf, FACES_LAYER, layerOf, OPENINGS_LAYER } from './dxfOf';
import { unrollRoom } from './unroll';

const { room, house } = roomOf(
  "Hall: r 16' d 10' l 6' d 4' l 10' u 14', h 9', door 32x80 wall 1, window 36x48 @36 wall 3 bead",
);
const taken = takeOff(room, house);
const laid = unrollRoom(taken);

// One library writes, another one reads.
describe('a room laid flat as DXF', () => {
  const read = readDxf(dxfOf([{ name: room.name, laid }], 'in'));
  if (!read.ok) throw new Error(read.reason);
  const { drawing } = read;
  const on = (layer: string) => drawing.lines.filter((line) => line.layer === layer);

  it('has each class of joint on a layer of its own, as long as it is in the tally', () => {
    expect(drawing.unit).toBe('in');
    for (const kind of JOINT_CLASSES) {
      const drawn = on(layerOf(kind)).reduce(
        (sum, { points: [from, to] }) =>
          sum + Math.hypot((to?.[0] ?? 0) - (from?.[0] ?? 0), (to?.[1] ?? 0) - (from?.[1] ?? 0)),
        0,
      );
      const lines = laid.lines.filter((line) => line.class === kind);
      const meant = lines.reduce((sum, { from, to }) => sum + Math.hypot(to[0] - from[0], to[1] - from[1]), 0);
      expect(on(layerOf(kind)), kind).toHaveLength(lines.length);
      expect(drawn, kind).toBeCloseTo(meant / MM_PER_INCH, 2);
    }
    // Seams lie on one face only: what is drawn is what is taped.
    for (const kind of ['flat', 'butt', 'mixed'] as const) {
      const drawn = laid.lines
        .filter((line) => line.class === kind)
        .reduce((sum, { from, to }) => sum + Math.hypot(to[0] - from[0], to[1] - from[1]), 0);
      expect(drawn).toBeCloseTo(taken.tally.classes[kind].length, 3);
    }
  });

  it('has its faces and openings as closed outlines, with their names', () => {
    expect(on(FACES_LAYER).length).toBe(laid.faces.reduce((sum, { loops }) => sum + loops.length, 0));
    expect(on(FACES_LAYER).every(({ closed }) => closed)).toBe(true);
    expect(on(OPENINGS_LAYER)).toHaveLength(2);
    expect(drawing.texts.map(({ text }) => text)).toEqual(expect.arrayContaining(['Hall', 'wall 1', 'ceiling']));
  });

  it('is read back as rooms of the same areas, face by face', () => {
    const { rooms } = roomsIn(drawing, { layer: FACES_LAYER, unit: 'in', height: 2438, floor: 'Ground floor' }, house);
    const ceiling = rooms.find((own) => own.room.name === 'ceiling');
    // 16 × 10 ft and 10 × 4 ft.
    expect((ceiling?.area ?? 0) / MM_PER_INCH ** 2 / 144).toBeCloseTo(200, 1);
  });

  it('stands beside the next one', () => {
    const both = readDxf(
      dxfOf(
        [
          { name: 'A', laid },
          { name: 'B', laid },
        ],
        'mm',
      ),
    );
    if (!both.ok) throw new Error(both.reason);
    const xs = (name: string) => both.drawing.texts.find(({ text }) => text === name)?.at[0] ?? 0;
    expect(both.drawing.unit).toBe('mm');
    expect(xs('B') - xs('A')).toBeCloseTo(laid.box.width + 1500, 0);
  });
});
