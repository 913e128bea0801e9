import { z } from 'zod';
import type { LengthUnit } from '../measure/unit';
import { AIMS, BEAD_PROFILES, COVERS, EDGE_PROFILES, LIGHTS, MOST_GIVEN, MOST_NOTE, SURFACES } from './kinds';
import { levelSchema } from './levelSchema';
import { choicesSchema } from './methodSchema';

const positive = () => z.number().gt(0, 'must be greater than 0');
const notNegative = () => z.number().min(0, 'must not be negative');
const MANY = 'are too many for one room';
const CEILINGS = '"flat", "open", "shed", "gable", "knee" or "tray"';
/** What a wall, an opening or another part is called by everything that is said of it and recorded on it, for good. */
/** Ids are used as keys of objects: names that every object has already are reserved. */
const isReserved = (id: string): boolean => id in Object.prototype;
const partId = z
  .string()
  .regex(/^\w{1,20}$/, 'may hold up to 20 letters, digits and "_"')
  .refine((id) => !isReserved(id), 'is a reserved word');
const pointSchema = z.tuple([z.number(), z.number()]);

export const boardStockSchema = z.strictObject({
  width: positive(),
  lengths: z.array(positive()).min(1, 'needs at least one length').max(20, 'are too many'),
  thickness: positive().optional(),
});

export const hangSchema = z.strictObject({
  boards: z.array(boardStockSchema).min(1, 'needs at least one board').max(4, 'are too many kinds').optional(),
  walls: z.enum(['across', 'upright']).optional(),
  ceiling: z.enum(['auto', 'along', 'across']).optional(),
  framing: positive().optional(),
  screws: z.strictObject({ ceiling: positive().optional(), wall: positive().optional() }).optional(),
  aim: z.enum(AIMS).optional(),
  /** "backed": every butt is hung over a recessing backer. */
  butts: z.enum(['plain', 'backed']).optional(),
});

const wallNumber = () => z.int().min(0, 'must be the number of a wall, from 0');

export const openingSchema = z.strictObject({
  id: partId.optional(),
  wall: wallNumber(),
  kind: z.enum(['door', 'window', 'opening']),
  at: notNegative(),
  width: positive(),
  height: positive(),
  sill: notNegative().default(0),
  /** The rise of an arched head; `height` reaches to its crown. */
  head: z.strictObject({ arch: notNegative().default(0) }).optional(),
  edge: z.enum(['casing', 'bead', 'open']).default('casing'),
  depth: notNegative().optional(),
});

export const ceilingSchema = z.discriminatedUnion(
  'shape',
  [
    z.strictObject({ shape: z.literal('flat') }),
    z.strictObject({ shape: z.literal('open') }),
    z.strictObject({ shape: z.literal('shed'), low: wallNumber(), rise: positive() }),
    z.strictObject({ shape: z.literal('gable'), eaves: z.tuple([wallNumber(), wallNumber()]), rise: positive() }),
    z.strictObject({
      shape: z.literal('knee'),
      eaves: z.array(wallNumber()).min(1, 'needs at least one wall').max(200, MANY),
      knee: positive(),
      run: positive(),
    }),
    z.strictObject({ shape: z.literal('tray'), inset: positive(), rise: positive() }),
  ],
  { error: ({ code }) => (code === 'invalid_union' ? `must be ${CEILINGS}` : undefined) },
);

export const soffitSchema = z.strictObject({
  id: partId.optional(),
  wall: wallNumber(),
  from: notNegative(),
  to: positive(),
  depth: positive(),
  drop: positive(),
});

export const nicheSchema = z.strictObject({
  id: partId.optional(),
  wall: wallNumber(),
  at: notNegative(),
  bottom: notNegative(),
  width: positive(),
  height: positive(),
  depth: positive(),
  shelves: z.int().min(0, 'must not be negative').max(20, 'must be at most 20').default(0),
});

export const zoneSchema = z.strictObject({
  id: partId.optional(),
  wall: wallNumber(),
  from: notNegative(),
  to: positive(),
  bottom: notNegative(),
  top: positive(),
  cover: z.enum(COVERS),
});

/** Version 1 of the file wrote only the points. */
const columnSchema = z.preprocess(
  (column) => (Array.isArray(column) ? { outline: column } : column),
  z.strictObject({
    id: partId.optional(),
    outline: z.array(pointSchema).min(3, 'needs at least three points').max(60, 'has too many points'),
  }),
);

const finishOfFaceSchema = z.strictObject({
  level: levelSchema.optional(),
  surface: z.enum(SURFACES).optional(),
  light: z.enum(LIGHTS).optional(),
});

const someButts = (which: string) =>
  z.union([z.boolean(), z.array(positive()).max(60, 'are too many for one course')], {
    error: `must be true, false, or the places of ${which} butts`,
  });

/**
 * A face as it was found hung: courses from its top (`across`) or its left end (`upright`), each with its breadth and
 * where its butts stand from the start of the course. The last course may be a rip. Without courses the plan holds.
 */
export const hungFaceSchema = z.strictObject({
  run: z.enum(['across', 'upright']).default('across'),
  courses: z
    .array(
      z.strictObject({
        breadth: positive(),
        butts: z.array(positive()).max(60, 'are too many for one course').default([]),
        /** Every butt of it is hung over a backer, or those at these places. */
        backed: someButts('backed').default(false),
        /** The paper edges of every butt of it, or of those at these places, are cut back to a channel. */
        bevelled: someButts('bevelled').optional(),
        /** A rip that hangs the other way round: its cut edge at the seam, its factory edge in the angle. */
        flipped: z.boolean().optional(),
      }),
    )
    .max(60, 'are too many for one face')
    .default([]),
});

export const roomSchema = z.strictObject({
  id: z
    .string()
    .min(1, 'must not be empty')
    .max(60, 'must be at most 60 characters')
    .regex(/^[A-Za-z0-9._-]+$/, 'may hold letters, digits, ".", "_" and "-" only')
    .refine((id) => !isReserved(id), 'is a reserved word'),
  name: z.string().trim().min(1, 'needs a name').max(80, 'must be at most 80 characters'),
  /** The storey that it is on. */
  floor: z
    .string()
    .trim()
    .min(1, 'needs the name of a floor')
    .max(60, 'must be at most 60 characters')
    .default('Ground floor'),
  at: pointSchema.optional(),
  outline: z.array(pointSchema).min(3, 'needs at least three points').max(200, 'has too many points'),
  /** The ids of its walls, in their order. */
  walls: z.array(partId).max(200, MANY).optional(),
  /** The highest number that an id of a part was given in this room. */
  given: z.int().min(0).max(MOST_GIVEN).optional(),
  columns: z.array(columnSchema).max(40, MANY).optional(),
  height: positive(),
  ceiling: ceilingSchema.default({ shape: 'flat' }),
  soffits: z.array(soffitSchema).max(40, MANY).optional(),
  niches: z.array(nicheSchema).max(40, MANY).optional(),
  openings: z.array(openingSchema).max(100, MANY).default([]),
  zones: z.array(zoneSchema).max(100, MANY).optional(),
  beads: z
    .strictObject({
      profile: z.enum(BEAD_PROFILES).default('square'),
      edges: z.record(z.string(), z.enum(EDGE_PROFILES)).optional(),
    })
    .optional(),
  existing: z.array(wallNumber()).max(200, MANY).optional(),
  finish: finishOfFaceSchema.extend({ faces: z.record(z.string(), finishOfFaceSchema).optional() }).optional(),
  hang: hangSchema.optional(),
  /** Where this room is finished in another way than the house. */
  method: choicesSchema.optional(),
  hung: z.record(z.string(), hungFaceSchema).optional(),
  /** What whoever works there has to know. */
  note: z
    .string()
    .trim()
    .min(1, 'needs some text')
    .max(MOST_NOTE, `must be at most ${MOST_NOTE} characters`)
    .regex(/^[^"\p{Cc}]*$/u, 'may hold no line break and no ": write ″ for inches')
    .optional(),
  /** A mirrored copy: its framing is counted from the right end of every wall. */
  mirrored: z.boolean().optional(),
});

export type HangChoices = z.infer<typeof hangSchema>;
export type Ceiling = z.infer<typeof ceilingSchema>;
export type Soffit = z.infer<typeof soffitSchema>;
export type Niche = z.infer<typeof nicheSchema>;
export type Zone = z.infer<typeof zoneSchema>;
export type HungCourses = z.infer<typeof hungFaceSchema>;
export type Opening = z.infer<typeof openingSchema>;
/** The fields of a room. */
export const ROOM_PARTS = roomSchema.keyof().options;

export type Room = z.infer<typeof roomSchema>;
/** A room as a quick line describes it; the id and the place on the plan are not the line's to say. */
export type QuickRoom = Omit<Room, 'id' | 'at'>;
/** What a room takes its defaults from: the unit of its lengths, and how it is hung where it does not say. */
export interface RoomDefaults {
  readonly unit: LengthUnit;
  readonly hang: HangChoices;
}
