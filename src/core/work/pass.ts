import { COAT_KEYS, type CoatKey } from '../method/coat';

/** Scraping, sanding or wiping before a round of coats, where somebody is sent to do that by itself. */
export const BETWEEN_PASSES = ['between.fill', 'between.finish', 'between.extra', 'between.sides'] as const;
export type BetweenPass = (typeof BETWEEN_PASSES)[number];

/**
 * The passes through a room that are handed to people: pre-filling, a round of coats and what comes before it, mending, sanding, the walk with
 * the lamp, sealing.
 */
export const PASSES = ['prefill', ...COAT_KEYS, ...BETWEEN_PASSES, 'mend', 'sand', 'check', 'seal'] as const;
export type Pass = (typeof PASSES)[number] | typeof CENTRING;
/** Centering boxed butts: assigned with its round, and a job of its own once the butts of that round are on. */
export const CENTRING = 'centring';

/** What comes before a round by itself; nothing before the tape, nor before a skim, which goes over all of it. */
export const betweenBefore = (round: Pass): BetweenPass | undefined =>
  BETWEEN_PASSES.find((pass) => pass === `between.${round}`);

export const isBetween = (pass: Pass): pass is BetweenPass => BETWEEN_PASSES.some((own) => own === pass);

/** The round before which something is done. */
export const roundAfter = (pass: BetweenPass): CoatKey | undefined =>
  COAT_KEYS.find((key) => pass === `between.${key}`);
