/** One thing is not shown by more. */
/** So many of its own entries a coat tells that its writer knew of. */
export const MOST_KNOWN = 50;
export const MOST_PHOTOS = 6;

/** With what a surface is sanded. */
export const SANDED_WITH = ['pole', 'sponge', 'vacuum', 'wet'] as const;

/** How a face was found before it is taped. */
export const HUNG = ['good', 'held'] as const;

/**
 * The boards of faces on which something was on when their joints moved: nobody said yet why; they are new and their joints start over; or they
 * are the same and were measured again.
 */
export const BOARDS_ARE = ['moved', 'new', 'same'] as const;

/** In which light a face was looked at. */
export const LIGHTS_OF_CHECK = ['lamp', 'daylight'] as const;

/** What is shown to somebody who is not signed in: the hand-over, or what the hanger has to mend. */
export const SHOWN = ['handOver', 'hanger'] as const;
export type Shown = (typeof SHOWN)[number];

/** For whom somebody signs. */
export const SIGN_AS = ['builder', 'lead'] as const;

/** What becomes of goods that nobody puts on a wall. */
export const STOCK_WHAT = ['delivered', 'thrown', 'counted'] as const;

/** What a coat is that was logged while the same one was wet: that one again, or the next. */
export const REPEATS = ['same', 'next'] as const;
export type Repeat = (typeof REPEATS)[number];

/** What is done between two coats. */
export const BETWEEN_COATS = ['scrape', 'sand', 'spot', 'sponge'] as const;

/** Secrets that open something for one person: the address of their calendar, and the key of their laser measure. */
export const SECRET_KINDS = ['calendar', 'laser'] as const;
export type SecretKind = (typeof SECRET_KINDS)[number];
