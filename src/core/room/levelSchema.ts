import { z } from 'zod';
import type { Level } from './level';

export const levelSchema = z
  .int()
  .min(0, 'must be a level from 0 to 5')
  .max(5, 'must be a level from 0 to 5')
  .transform((level) => level as Level);
