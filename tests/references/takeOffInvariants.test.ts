import fc from 'fast-check';
import polygonClipping, { type MultiPolygon, type Ring } from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { type House, houseSchema } from '@/core/house/schema';
import { takeOff } from '@/core/joints/takeOff';
import { addTallies, type Tally } from '@/core/joints/tally';
import { rectangle } from '@/core/measure/polygon';
import type { Loop } from '@/core/measure/vector';
import { checkRoom } from '@/core/room/checks/checkRoom';
import { areaOf, type Face } from '@/core/room/faces/face';
import { facesOf } from '@/core/room/faces/facesOf';
import { mirrorRoom } from '@/core/room/mirrorRoom';
import type { Room } from '@/core/room/schema';
import { wallsOf } from '@/core/room/walls';
import { houseFile } from '../houses/fileRooms';

const IN = 25.4;

// Areas and what a board is after cutting come from the general-purpose library polygon-clipping.
// It fails on corners that differ by less than it can tell apart, so it gets whole thousandths of a millimetre.
const near = (mm: number) => Math.round(mm * 1000) / 1000;
const ring = (loop: Loop): Ring => loop.map(([x, y]): [number, number] => [near(x), near(y)]);
const regionOf = (face: Face): MultiPolygon =>
  polygonClipping.xor(...(face.loops.map((loop) => [ring(loop)]) as [Ring[]]));
const ringArea = (points: Ring) =>
  Math.abs(
    points.reduce((sum, [x, y], index) => {
      const [nx, ny] = points[(index + 1) % points.length] ?? [x, y];
      return sum + (x * ny - nx * y) / 2;
    }, 0),
  );
const ringLength = (points: Ring) =>
  points.reduce((sum, [x, y], index) => {
    const [nx, ny] = points[(index + 1) % points.length] ?? [x, y];
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);
const areaOfRegion = (region: MultiPolygon) =>
  region.reduce(
    (sum, [outer, ...inner]) => sum + ringArea(outer ?? []) - inner.reduce((cut, hole) => cut + ringArea(hole), 0),
    0,
  );
const rimOfRegion = (region: MultiPolygon) => region.flat().reduce((sum, one) => sum + ringLength(one), 0);

/** Outlines of many kinds in whole inches: legs cut out of corners, and stars with as many walls as points. */
const corner = fc.record({ wide: fc.integer({ min: 10, max: 50 }), deep: fc.integer({ min: 10, max: 40 }) });
const notched = fc
  .record({
    long: fc.integer({ min: 110, max: 320 }),
    broad: fc.integer({ min: 90, max: 240 }),
    corners: fc.tuple(
      ...([0, 1, 2, 3].map(() => fc.option(corner, { nil: undefined })) as [
        fc.Arbitrary<{ wide: number; deep: number } | undefined>,
      ]),
    ),
  })
  .map(({ long, broad, corners }): Room['outline'] => {
    const [a, b, c, d] = corners as readonly ({ wide: number; deep: number } | undefined)[];
    return [
      ...(a
        ? ([
            [0, a.deep],
            [a.wide, a.deep],
            [a.wide, 0],
          ] as [number, number][])
        : ([[0, 0]] as [number, number][])),
      ...(b
        ? ([
            [long - b.wide, 0],
            [long - b.wide, b.deep],
            [long, b.deep],
          ] as [number, number][])
        : ([[long, 0]] as [number, number][])),
      ...(c
        ? ([
            [long, broad - c.deep],
            [long - c.wide, broad - c.deep],
            [long - c.wide, broad],
          ] as [number, number][])
        : ([[long, broad]] as [number, number][])),
      ...(d
        ? ([
            [d.wide, broad],
            [d.wide, broad - d.deep],
            [0, broad - d.deep],
          ] as [number, number][])
        : ([[0, broad]] as [number, number][])),
    ];
  });
const star = fc.array(fc.integer({ min: 60, max: 170 }), { minLength: 3, maxLength: 8 }).map((radii): Room['outline'] =>
  radii.map((radius, index): [number, number] => {
    const angle = (2 * Math.PI * index) / radii.length;
    return [Math.round(radius * Math.cos(angle)), Math.round(radius * Math.sin(angle))];
  }),
);
const outline = fc.oneof(notched, star);

const window = fc.record({
  wall: fc.integer({ min: 0, max: 7 }),
  at: fc.integer({ min: 0, max: 60 }),
  width: fc.integer({ min: 14, max: 48 }),
  height: fc.integer({ min: 14, max: 60 }),
  sill: fc.integer({ min: 0, max: 40 }),
  edge: fc.constantFrom('casing' as const, 'bead' as const, 'open' as const),
  arch: fc.constantFrom(0, 0, 0, 6),
});
const hang = fc.record({
  walls: fc.constantFrom('across' as const, 'upright' as const),
  ceiling: fc.constantFrom('auto' as const, 'along' as const, 'across' as const),
  framing: fc.constantFrom(16, 24),
  boards: fc.constantFrom(
    [{ width: 48, lengths: [96, 120, 144] }],
    [
      { width: 54, lengths: [144] },
      { width: 48, lengths: [96, 144] },
    ],
  ),
});
const ceiling = fc.constantFrom(
  { shape: 'flat' as const },
  { shape: 'open' as const },
  { shape: 'tray' as const, inset: 12, rise: 8 },
  { shape: 'shed' as const, low: 0, rise: 30 },
);

const soffit = fc.record({
  wall: fc.integer({ min: 0, max: 7 }),
  /** Where it ends: with its wall, or before it. */
  short: fc.constantFrom(0, 0, 10),
  depth: fc.integer({ min: 8, max: 30 }),
  drop: fc.constantFrom(9, 12),
});
const niche = fc.record({
  wall: fc.integer({ min: 0, max: 7 }),
  at: fc.integer({ min: 4, max: 60 }),
  bottom: fc.constantFrom(0, 0, 30),
  width: fc.integer({ min: 12, max: 30 }),
  height: fc.integer({ min: 20, max: 40 }),
  depth: fc.integer({ min: 4, max: 8 }),
  shelves: fc.constantFrom(0, 1),
});
const zone = fc.record({
  wall: fc.integer({ min: 0, max: 7 }),
  from: fc.constantFrom(0, 20, 40),
  wide: fc.constantFrom(20, 40),
  bottom: fc.constantFrom(0, 30),
  tall: fc.constantFrom(30, 42),
  cover: fc.constantFrom('tile' as const, 'cabinet' as const),
});
const old = fc.constantFrom<number[]>([], [], [1]);

/** A checked room from what was drawn: parts that do not fit are left away. */
const anyRoom = fc
  .record({
    outline,
    ceiling,
    hang,
    windows: fc.array(window, { maxLength: 4 }),
    soffits: fc.array(soffit, { maxLength: 2 }),
    niches: fc.array(niche, { maxLength: 2 }),
    zones: fc.array(zone, { maxLength: 3 }),
    existing: old,
    height: fc.integer({ min: 84, max: 130 }),
  })
  .map(({ outline, ceiling, hang, windows, soffits, niches, zones, existing, height }) => {
    const house: House = houseSchema.parse(houseFile({ outline, height, ceiling, hang, existing }));
    const [bare] = house.rooms;
    if (!bare) throw new Error('one room');
    const plain: Room = checkRoom(bare, house).length === 0 ? bare : { ...bare, ceiling: { shape: 'flat' } };
    const room: Room = { ...plain, openings: [] };
    for (const { arch, ...opening } of windows) {
      const head = { arch: Math.min(arch, opening.width / 2) };
      const depth = opening.edge === 'bead' ? { depth: 5 } : {};
      room.openings.push({ ...opening, kind: 'window', head, ...depth });
      if (checkRoom(room, house).length > 0) room.openings.pop();
    }
    const lengths = wallsOf(room.outline, 'in').map(({ length }) => length / IN);
    const fitting = (next: Room): Room => (checkRoom(next, house).length === 0 ? next : room);
    let whole: Room = room;
    const keep = (next: Room) => {
      if (fitting(next) === next) whole = next;
    };
    for (const { wall, short, depth, drop } of soffits) {
      const to = Math.round(((lengths[wall] ?? 0) - short) * 1e6) / 1e6;
      if (to > 1) keep({ ...whole, soffits: [...(whole.soffits ?? []), { wall, from: 0, to, depth, drop }] });
    }
    for (const one of niches) keep({ ...whole, niches: [...(whole.niches ?? []), one] });
    for (const { wall, from, wide, bottom, tall, cover } of zones)
      keep({
        ...whole,
        zones: [...(whole.zones ?? []), { wall, from, to: from + wide, bottom, top: bottom + tall, cover }],
      });
    return { house, room: whole };
  })
  .filter(({ house, room }) => checkRoom(room, house).length === 0);

/** Off the halves that sixteenths of an inch make, so that noise does not round them either way. */
const rounded = (value: number) => Math.round(value + 0.013);
const facts = (tally: Tally) => ({
  classes: Object.fromEntries(
    Object.entries(tally.classes).map(([kind, { length, count }]) => [kind, [rounded((length / IN) * 100), count]]),
  ),
  rest: [tally.threeWays, tally.crossings],
  factory: [tally.factoryEdgeInAngle.one, tally.factoryEdgeInAngle.both].map((length) => rounded(length / IN)),
  area: rounded(tally.boardArea / IN ** 2),
});

/** Along a slope a hair decides whether a line of screws takes one more. */
function expectSameScrews(a: Tally, b: Tally): void {
  for (const count of ['screws', 'fasteners'] as const)
    expect(Math.abs(a[count] - b[count]), count).toBeLessThanOrEqual(2 + a[count] * 0.01);
}

describe('zones', () => {
  it('never add to a joint, and paint less the more they cover', () => {
    fc.assert(
      fc.property(anyRoom, ({ house, room }) => {
        const [zoned, bare] = [takeOff(room, house).tally, takeOff({ ...room, zones: [] }, house).tally];
        for (const kind of ['angle', 'offAngle', 'bead', 'existing'] as const)
          expect(zoned.classes[kind].length, kind).toBeLessThanOrEqual(bare.classes[kind].length + 0.1);
        expect(zoned.boardArea).toBeCloseTo(bare.boardArea, 3);
        expect(zoned.paintedArea).toBeLessThanOrEqual(bare.paintedArea + 0.1);
        // The boards are hung for least work: what zones hide can only save some.
        const work = ({ classes }: Tally) =>
          classes.flat.length + 1.5 * classes.mixed.length + 10 * (classes.butt.length + classes.backedButt.length);
        expect(work(zoned)).toBeLessThanOrEqual(work(bare) + 1);
      }),
      { numRuns: 80 },
    );
  });

  it('cut in two say the same as whole', () => {
    fc.assert(
      fc.property(anyRoom, fc.integer({ min: 1, max: 19 }), ({ house, room }, part) => {
        const halves = (room.zones ?? []).flatMap((one) => [
          { ...one, to: one.from + part },
          { ...one, from: one.from + part },
        ]);
        expect(facts(takeOff({ ...room, zones: halves }, house).tally)).toEqual(facts(takeOff(room, house).tally));
      }),
      { numRuns: 80 },
    );
  });
});

describe('rooms of any shape', () => {
  it('have faces of the area that the reference library finds', () => {
    fc.assert(
      fc.property(anyRoom, ({ room }) => {
        for (const face of facesOf(room, 'in')) {
          if (face.holes.some(({ arch }) => arch)) continue;
          // The library was given whole thousandths of a millimetre.
          const region = regionOf(face);
          const noise = 5 + rimOfRegion(region) * 2e-3;
          expect(Math.abs(areaOf(face) - areaOfRegion(region))).toBeLessThan(noise + areaOf(face) * 1e-5);
        }
      }),
      { numRuns: 80 },
    );
  });

  it('are covered by their boards once, and the boards’ rims are twice the seams and once the face’s rim', () => {
    fc.assert(
      fc.property(anyRoom, ({ house, room }) => {
        // What zones hide is no seam of the tally.
        const { faces, joints } = takeOff({ ...room, zones: [] }, house);
        for (const { face, boards } of faces) {
          if (face.loops.length === 0 || face.existing) continue;
          const region = regionOf(face);
          const pieces = boards.map(({ u0, u1, v0, v1 }) =>
            polygonClipping.intersection(region, [[ring(rectangle(u0, u1, v0, v1))]]),
          );
          const area = pieces.reduce((sum, piece) => sum + areaOfRegion(piece), 0);
          expect(area / areaOfRegion(region)).toBeCloseTo(1, 5);
          const seams = joints
            .filter(({ run, lines }) => run === 'seam' && lines[0]?.face === face.id)
            .reduce((sum, { length }) => sum + length, 0);
          const rims = pieces.reduce((sum, piece) => sum + rimOfRegion(piece), 0);
          expect(Math.abs(rims - 2 * seams - rimOfRegion(region)), face.id).toBeLessThan(1);
        }
      }),
      { numRuns: 80 },
    );
  });

  it('keep every total when they are turned and moved on the plan', () => {
    fc.assert(
      fc.property(anyRoom, fc.integer({ min: 1, max: 359 }), ({ house, room }, degrees) => {
        const angle = (degrees * Math.PI) / 180;
        const turned = room.outline.map(([x, y]): [number, number] => [
          x * Math.cos(angle) - y * Math.sin(angle) + 77,
          x * Math.sin(angle) + y * Math.cos(angle) - 13,
        ]);
        fc.pre(checkRoom({ ...room, outline: turned }, house).length === 0);
        const [there, here] = [takeOff({ ...room, outline: turned }, house).tally, takeOff(room, house).tally];
        expect(facts(there)).toEqual(facts(here));
        expectSameScrews(there, here);
      }),
      { numRuns: 80 },
    );
  });

  it('keep every total in the mirror, framing and all, and twice mirrored are themselves', () => {
    fc.assert(
      fc.property(anyRoom, ({ house, room }) => {
        const image = mirrorRoom(room, 'in');
        expect(checkRoom(image, house)).toEqual([]);
        const [there, here] = [takeOff(image, house).tally, takeOff(room, house).tally];
        expect(facts(there)).toEqual(facts(here));
        expectSameScrews(there, here);
        const back = mirrorRoom(image, 'in');
        expect(back.mirrored).toBeUndefined();
        expect(back.openings.map(({ wall, at }) => [wall, Math.round(at * 1000)])).toEqual(
          room.openings.map(({ wall, at }) => [wall, Math.round(at * 1000)]),
        );
      }),
      { numRuns: 80 },
    );
  });

  it('split by an open partition have together the edges and the area of the whole', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 200 }),
        fc.integer({ min: 60, max: 200 }),
        fc.integer({ min: 70, max: 160 }),
        (left, right, deep) => {
          const open = (wall: number) => [{ wall, kind: 'opening', at: 0, width: deep, height: 96, edge: 'open' }];
          const box = (from: number, to: number) => [
            [from, 0],
            [to, 0],
            [to, deep],
            [from, deep],
          ];
          const tallyOf = (rest: object) => {
            const house = houseSchema.parse(houseFile(rest));
            const [room] = house.rooms;
            if (!room || checkRoom(room, house).length > 0) throw new Error('the room fits');
            return takeOff(room, house).tally;
          };
          const whole = tallyOf({ outline: box(0, left + right) });
          const parts = addTallies([
            tallyOf({ outline: box(0, left), openings: open(1) }),
            tallyOf({ outline: box(left, left + right), openings: open(3) }),
          ]);
          for (const kind of ['angle', 'offAngle', 'bead'] as const)
            expect(parts.classes[kind].length).toBeCloseTo(whole.classes[kind].length, 3);
          expect(parts.boardArea).toBeCloseTo(whole.boardArea, 1);
          expect(parts.threeWays).toBe(whole.threeWays);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('have as much length of wall edges as their walls say', () => {
    fc.assert(
      fc.property(outline, (points) => {
        const house = houseSchema.parse(houseFile({ outline: points }));
        const [room] = house.rooms;
        fc.pre(room !== undefined && checkRoom(room, house).length === 0);
        if (!room) return;
        const { joints } = takeOff(room, house);
        const around = wallsOf(points, 'in').reduce((sum, { length }) => sum + length, 0);
        const level = joints
          .filter(({ run, inside }) => run === 'level' && inside)
          .reduce((sum, { length }) => sum + length, 0);
        expect(level).toBeCloseTo(around, 1);
      }),
      { numRuns: 60 },
    );
  });
});
