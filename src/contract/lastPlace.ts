/** The cookie that says which page of a house was looked at last. */
export const LAST_PLACE = 'oak-last';

const PLACE = /^\/h\/([0-9a-f-]{36})(\/[\w-]+){0,2}$/;

/** Returns what the cookie says of a person's page. */
export const lastPlace = (person: string, path: string): string => encodeURIComponent(`${person} ${path}`);

/**
 * Reads which page a person looked at last on a device, and of which house; undefined where somebody else looked, or it is no
 * page of a house.
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
