/** More rooms of a drawing are not taken over at once. */
export const MOST_DRAWN_ROOMS = 200;
