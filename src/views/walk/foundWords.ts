import type { Found } from '@/core/drying/touch';

/** What a touch check finds, in words. */
export const FOUND_WORDS: Readonly<Record<Found, string>> = { grey: 'grey', patchy: 'patchy', white: 'white' };
