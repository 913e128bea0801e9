import { z } from 'zod';

const line = (most: number) => z.string().trim().max(most, `must be at most ${most} characters`);

/** The head of every sheet that leaves the company. Empty lines are left out. */
export const companySchema = z.strictObject({
  name: line(80).min(1, 'needs a name'),
  /** Street, place and phone. */
  address: line(200),
  /** The contractor's license, as it has to be printed. */
  license: line(80),
});
export type Company = z.infer<typeof companySchema>;
