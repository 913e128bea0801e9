/** So many of a hand's changes that nobody has answered are told with the next one. */
export const MOST_UNANSWERED = 20;

/** Of a file of readings in one command: what is recorded in a moment. */
export const MOST_READINGS = 3000;

/** Of a photo that is kept: pixels along its longer edge, and bytes. */
export const PHOTO_EDGE = 1600;
export const PHOTO_BYTES = 400_000;
/** Larger ones are not even looked at: bytes, and pixels in all. */
export const MOST_PHOTO_BYTES = 30_000_000;
export const MOST_PHOTO_PIXELS = 60_000_000;
/** A server decodes AVIF in one piece, which takes far more memory. */
export const MOST_AVIF_PIXELS = 16_000_000;
