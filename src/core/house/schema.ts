import { z } from 'zod';
import type { Level } from './level';

const NOT_BUILT =
  'is not built yet: this version takes rectangular rooms with flat or open ceilings, doors and windows';
const noneYet = () => z.array(z.unknown()).max(0, NOT_BUILT).optional();
const nothingYet = () => z.strictObject({}, { error: () => NOT_BUILT }).optional();

const positive = () => z.number().gt(0, 'must be greater than 0');
const notNegative = () => z.number().min(0, 'must not be negative');
const pointSchema = z.tuple([z.number(), z.number()]);

export const levelSchema = z
  .int()
  .min(0, 'must be a level from 0 to 5')
  .max(5, 'must be a level from 0 to 5')
  .transform((level) => level as Level);

export const boardStockSchema = z.strictObject({
  width: positive(),
  lengths: z.array(positive()).min(1, 'needs at least one length'),
  thickness: positive().optional(),
});

export const hangSchema = z.strictObject({
  boards: z.array(boardStockSchema).min(1, 'needs at least one board').optional(),
  walls: z.enum(['across', 'upright']).optional(),
  ceiling: z.enum(['auto', 'along', 'across']).optional(),
  framing: positive().optional(),
  screws: z.strictObject({ ceiling: positive().optional(), wall: positive().optional() }).optional(),
  aim: z.enum(['joints', 'boards', 'waste']).optional(),
});

export const openingSchema = z.strictObject({
  wall: z.int().min(0, 'must be the number of a wall, from 0'),
  kind: z.enum(['door', 'window', 'opening']),
  at: notNegative(),
  width: positive(),
  height: positive(),
  sill: notNegative().default(0),
  head: z
    .strictObject({
      arch: z
        .number()
        .refine((arch) => arch === 0, NOT_BUILT)
        .default(0),
    })
    .optional(),
  edge: z.enum(['casing', 'bead', 'open']).default('casing'),
  depth: notNegative().optional(),
});

export const roomSchema = z.strictObject({
  id: z
    .string()
    .min(1, 'must not be empty')
    .max(60, 'must be at most 60 characters')
    .regex(/^[A-Za-z0-9._-]+$/, 'may hold letters, digits, ".", "_" and "-" only'),
  name: z.string().trim().min(1, 'needs a name').max(80, 'must be at most 80 characters'),
  level: z
    .string()
    .trim()
    .min(1, 'needs the name of a floor')
    .max(60, 'must be at most 60 characters')
    .default('Ground floor'),
  at: pointSchema.optional(),
  outline: z.array(pointSchema).min(3, 'needs at least three points'),
  columns: noneYet(),
  height: positive(),
  ceiling: z
    .strictObject({
      shape: z.enum(['flat', 'open'], {
        error: ({ input }) => (typeof input === 'string' ? `"${input}" ${NOT_BUILT}` : 'must be "flat" or "open"'),
      }),
    })
    .default({ shape: 'flat' }),
  soffits: noneYet(),
  niches: noneYet(),
  openings: z.array(openingSchema).default([]),
  zones: noneYet(),
  beads: z
    .strictObject({
      profile: z.literal('square', { error: () => NOT_BUILT }).default('square'),
      edges: nothingYet(),
    })
    .optional(),
  existing: noneYet(),
  finish: z
    .strictObject({
      level: levelSchema.optional(),
      surface: z.undefined({ error: () => NOT_BUILT }).optional(),
      light: z.undefined({ error: () => NOT_BUILT }).optional(),
      faces: nothingYet(),
    })
    .optional(),
  hang: hangSchema.optional(),
  hung: nothingYet(),
});

export const methodSchema = z.strictObject({ level: levelSchema.default(4) });

/** A house without its rooms: what every room takes its defaults from. */
export const houseHeadSchema = z.strictObject({
  unit: z.enum(['in', 'mm']),
  name: z.string().trim().min(1, 'needs a name').max(120, 'must be at most 120 characters'),
  hang: hangSchema.default({}),
  method: methodSchema.default({ level: 4 }),
});

export const houseSchema = houseHeadSchema.extend({
  format: z.literal('oak-tally-house', { error: () => 'must be "oak-tally-house"' }),
  version: z.literal(1, { error: () => 'must be 1' }),
  rooms: z.array(roomSchema),
});

export type HangChoices = z.infer<typeof hangSchema>;
export type Opening = z.infer<typeof openingSchema>;
export type Room = z.infer<typeof roomSchema>;
export type HouseHead = z.infer<typeof houseHeadSchema>;
export type House = z.infer<typeof houseSchema>;
