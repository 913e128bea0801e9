import fc from 'fast-check';

/**
 * The same random cases in every run: whoever clones this in the morning sees what was seen in the evening. `FC_SEED=random`
 * draws others, `FC_SEED=N` those of that number.
 */
const DEFAULT_SEED = 20_310_506;
const asked = process.env.FC_SEED;
if (asked !== 'random') fc.configureGlobal({ seed: asked === undefined ? DEFAULT_SEED : Number(asked) });
