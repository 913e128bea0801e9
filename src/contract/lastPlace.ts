/** Name of the cookie with the last page of a house that a person opened on this device. */
export const LAST_PLACE = 'oak-last';

const PLACE = /^\/h\/([0-9a-f-]{36})(\/[\w-]+){0,2}$/;

/** Returns the cookie's value for a person and a path. */
export const lastPlace = (person: string, path: string): string => encodeURIComponent(`${person} ${path}`);

/**
 * Reads the house and the path from the cookie. Returns undefined if it belongs to another person or is not a page of a house.
 *
 * @example placeOf(`${ann} /h/${house}/board`, ann)  // { house, path: `/h/${house}/board` }
 */
export function placeOf(
  cookie: string | undefined,
  person: string,
): { readonly house: string; readonly path: string } | undefined {
  const [who, path = ''] = (cookie ?? '').split(' ');
  const house = PLACE.exec(path)?.[1];
  return who === person && house ? { house, path } : undefined;
}
