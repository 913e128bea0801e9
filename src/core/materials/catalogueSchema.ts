import { z } from 'zod';
import { STICK_PROFILES } from '../room/kinds';
import { WARES } from './catalogue';

const price = () => z.number().min(0, 'must be 0 or more').max(100_000, 'must be at most 100,000').optional();

/** How a firm buys one thing; what it does not say is as usual. */
export const productSchema = z.strictObject({
  /** What it is called there. */
  called: z.string().trim().min(1, 'needs some text').max(40, 'must be at most 40 characters').optional(),
  /** What a pack holds: litres, of tape mm, screws by count. */
  pack: z.number().gt(0, 'must be greater than 0').max(10_000_000, 'is more than anybody carries').optional(),
  /** Of a pack, in the money of the firm. */
  price: price(),
  /** From being ordered to being there. */
  leadDays: z.int('must be whole days').min(0, 'must be 0 or more').max(90, 'must be at most 90').optional(),
  /** What is lost on the way, as a part of what goes on. */
  waste: z.number().min(0, 'must be 0 or more').max(0.5, 'must be at most half').optional(),
  /** The part of wet mud that is lost when it hardens. */
  shrinkage: z.number().min(0, 'must be 0 or more').max(0.5, 'must be at most half').optional(),
  /** The label of setting mud, minutes. */
  minutes: z.int('must be whole minutes').min(1, 'must be at least 1').max(360, 'must be at most 360').optional(),
  /** How many times what the sections say the crew puts on. */
  use: z.number().min(0.3, 'must be at least 0.3').max(3, 'must be at most 3').optional(),
});

/** Shorter is thrown away; mm. */
const LEAST_OFFCUT = 100;
const LONGEST_STICK = 7000;
const stick = z.number().min(LEAST_OFFCUT, 'must be at least 100 mm').max(LONGEST_STICK, 'must be at most 7 m');

/** What a firm buys, and what of bead and trim lies in its vans; lengths in mm, volumes in litres. */
export const catalogueSchema = z.strictObject({
  products: z.partialRecord(z.enum(WARES), productSchema).default({}),
  /** What a litre of sealer covers, mm². */
  coverage: z.number().gt(0, 'must be greater than 0').max(1e9, 'must be at most 1,000 m²').optional(),
  /** The sticks of bead and trim that are sold. */
  sticks: z
    .array(z.strictObject({ length: stick, price: price() }))
    .min(1, 'needs at least one length')
    .max(8, 'are too many')
    .optional(),
  /** What one splice costs, where shorter pieces may be spliced too. */
  splice: price(),
  /** Pieces of them that are left from other houses. */
  offcuts: z
    .array(z.strictObject({ profile: z.enum(STICK_PROFILES), length: stick }))
    .max(400, 'are too many')
    .default([]),
});
export type Catalogue = z.infer<typeof catalogueSchema>;
export type Product = z.infer<typeof productSchema>;
