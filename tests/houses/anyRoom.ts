import fc from 'fast-check';
import { checkRoom } from '@/core/room/checks/checkRoom';
import { BEAD_PROFILES, LIGHTS, SURFACES } from '@/core/room/kinds';
import { type Room, roomSchema } from '@/core/room/schema';

const HOUSE = { unit: 'in', hang: {} } as const;

/** Sixteenths of an inch, as decimal inches. */
const inches = (least: number, most: number) =>
  fc.integer({ min: least * 16, max: most * 16 }).map((sixteenths) => sixteenths / 16);
const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { nil: undefined });
const wall = fc.integer({ min: 0, max: 3 });

const opening = fc
  .record({
    kind: fc.constantFrom('door' as const, 'window' as const, 'opening' as const),
    wall,
    width: inches(20, 36),
    height: inches(20, 48),
    sill: inches(0, 30),
    at: inches(0, 50),
    edge: fc.constantFrom('casing' as const, 'bead' as const, 'open' as const),
    depth: maybe(inches(2, 12)),
    arch: maybe(inches(1, 8)),
  })
  .map(({ depth, arch, ...rest }) => ({
    ...rest,
    ...(depth === undefined ? {} : { depth }),
    ...(arch === undefined ? {} : { head: { arch } }),
  }));

const outline = fc.oneof(
  fc.tuple(inches(96, 300), inches(96, 300)).map(([long, wide]) => [
    [0, 0],
    [long, 0],
    [long, wide],
    [0, wide],
  ]),
  fc.tuple(inches(96, 200), inches(96, 200), inches(20, 60), inches(20, 60)).map(([long, wide, notch, deep]) => [
    [0, 0],
    [long, 0],
    [long, wide],
    [notch, wide],
    [0, wide - deep],
  ]),
);

const ceiling = fc.oneof(
  fc.constant({ shape: 'flat' }),
  fc.constant({ shape: 'open' }),
  inches(6, 60).map((rise) => ({ shape: 'shed', low: 0, rise })),
  inches(6, 60).map((rise) => ({ shape: 'gable', eaves: [0, 2], rise })),
  fc.tuple(inches(30, 70), inches(20, 60)).map(([knee, run]) => ({ shape: 'knee', eaves: [0, 2], knee, run })),
  fc.tuple(inches(8, 24), inches(4, 16)).map(([inset, rise]) => ({ shape: 'tray', inset, rise })),
);

const part = (value: fc.Arbitrary<object>) => fc.option(value, { nil: {}, freq: 2 });
/** A room of any kind that the line can say, in inches; every one is sound. */
export const anyRoom: fc.Arbitrary<Room> = fc
  .record({
    plain: fc.record({
      name: fc.constantFrom('Pantry', 'Bed 2', 'Room 3 east', 'Léa’s room', 'Bed, north', 'A: b'),
      outline,
      height: inches(84, 140),
      floor: fc.constantFrom('Ground floor', 'Upper floor', 'Cellar, west'),
      openings: fc.uniqueArray(opening, { selector: (one) => one.wall, maxLength: 3 }),
      ceiling,
    }),
    soffits: part(
      fc
        .tuple(wall, inches(0, 20), inches(40, 90), inches(6, 24), inches(6, 20))
        .map(([on, from, to, depth, drop]) => ({
          soffits: [{ wall: on, from, to, depth, drop }],
        })),
    ),
    niches: part(
      fc.tuple(wall, inches(0, 40), fc.integer({ min: 0, max: 2 })).map(([on, at, shelves]) => ({
        niches: [{ wall: on, at, bottom: 40, width: 20, height: 26, depth: 6, shelves }],
      })),
    ),
    zones: part(
      fc
        .tuple(wall, inches(0, 20), inches(30, 80), fc.constantFrom('tile', 'trim', 'cabinet'))
        .map(([on, from, to, cover]) => ({
          zones: [{ wall: on, from, to, bottom: 0, top: to, cover }],
        })),
    ),
    columns: part(
      fc.constant({
        columns: [
          {
            outline: [
              [60, 50],
              [60, 58],
              [68, 58],
              [68, 50],
            ],
          },
        ],
      }),
    ),
    rest: part(
      fc.record({
        existing: fc.constant([1, 3]),
        beads: fc.record({
          profile: fc.constantFrom(...BEAD_PROFILES),
          edges: fc.constant({ 'w0~w1': 'none' as const }),
        }),
        finish: fc.record({
          level: fc.constantFrom(0, 3, 5),
          surface: fc.constantFrom(...SURFACES),
          light: fc.constantFrom(...LIGHTS),
          faces: fc.constant({ w1: { level: 5 } }),
        }),
        mirrored: fc.constant(true),
        note: fc.constantFrom('back door only', 'no heat before 4:30, ask first', '12″ gap, see photo'),
        hang: fc.record({
          walls: fc.constantFrom('across', 'upright'),
          framing: fc.constantFrom(16, 24, 19.2),
          boards: fc.constant([{ width: 54, lengths: [120, 144] }]),
          screws: fc.constant({ ceiling: 12, wall: 12 }),
          aim: fc.constantFrom('joints', 'boards', 'waste'),
          butts: fc.constant('backed'),
        }),
        hung: fc.constant({
          w2: {
            run: 'across',
            courses: [
              { breadth: 48, butts: [32], backed: true },
              { breadth: 48, butts: [32, 48], backed: [32] },
              { breadth: 36, butts: [24, 40, 52], backed: [24], bevelled: [40, 52], flipped: true },
              { breadth: 48, butts: [], backed: false },
            ],
          },
        }),
      }),
    ),
  })
  .map(({ plain, ...parts }) =>
    roomSchema.parse({
      id: 'a',
      ...plain,
      ...parts.soffits,
      ...parts.niches,
      ...parts.zones,
      ...parts.columns,
      ...parts.rest,
    }),
  )
  .filter((candidate) => checkRoom(candidate, HOUSE).length === 0);
