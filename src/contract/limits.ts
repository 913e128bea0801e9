/** So many of a hand's changes that nobody has answered are told with the next one. */
export const MOST_UNANSWERED = 20;

/** Of a file of readings in one command: what is recorded in a moment. */
export const MOST_READINGS = 3000;
