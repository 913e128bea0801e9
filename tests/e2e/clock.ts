import { writeWhole } from '../../scripts/setup/place.mjs';

/**
 * Sets a test clock to an instant, in one piece: a server that looks at that very moment reads the old one or the new one.
 *
 * @param at ms since 1970
 */
export const setClock = (file: string, at: number): void => writeWhole(file, new Date(at).toISOString());
