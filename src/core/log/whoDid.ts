import type { Entry } from './entry';

/** Who did what an entry says: who ran it, where it says so, else who wrote it. */
export const whoDid = (entry: Entry): readonly string[] =>
  ('ranBy' in entry.payload ? entry.payload.ranBy : undefined) ?? [entry.by];
