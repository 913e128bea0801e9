import { z } from 'zod';
import { methodSchema } from '../room/methodSchema';
import { hangSchema, roomSchema } from '../room/schema';

/** How many rooms a house holds. */
export const MOST_ROOMS = 2000;

/** A house without its rooms: what every room takes its defaults from. */
export const houseHeadSchema = z.strictObject({
  unit: z.enum(['in', 'mm']),
  name: z.string().trim().min(1, 'needs a name').max(120, 'must be at most 120 characters'),
  hang: hangSchema.default({}),
  method: methodSchema.default({ level: 4 }),
});

/** A house file whose rooms are not looked at yet. */
export const houseFileSchema = houseHeadSchema.extend({
  format: z.literal('oak-tally-house', { error: () => 'must be "oak-tally-house"' }),
  version: z.literal([1, 2], { error: () => 'must be 1 or 2' }),
  rooms: z.array(z.unknown()).max(MOST_ROOMS, `are more than ${MOST_ROOMS}`),
});

export const houseSchema = houseFileSchema.extend({ rooms: z.array(roomSchema).max(MOST_ROOMS) });

export type HouseHead = z.infer<typeof houseHeadSchema>;
export type House = z.infer<typeof houseSchema>;
