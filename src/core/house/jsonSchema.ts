import { z } from 'zod';
import { houseSchema } from './schema';

/** The house file as JSON Schema, as published in `docs/house.schema.json` (written by `npm run schema`). */
export function houseJsonSchema(): object {
  return { title: 'Oak Tally house file', ...z.toJSONSchema(houseSchema, { io: 'input', unrepresentable: 'any' }) };
}
