import { z } from 'zod';
import { MOST_UNANSWERED } from './limits';

const id = z.uuid('must be a change').toLowerCase();

/**
 * One of several changes that a hand makes of the same thing, one after the other. They may arrive in another order, twice, or
 * without their answer being heard, as when a page is left: `after` names those sent before that no answer came to, newest first.
 */
export const changeSchema = z.strictObject({ id, after: z.array(id).max(MOST_UNANSWERED).readonly() });
export type Change = Readonly<z.infer<typeof changeSchema>>;
