import { createHash } from 'node:crypto';
import { z } from 'zod';
import { MOST_PHOTO_BYTES } from '../../contract/limits';
import { findPhoto, keepPhoto } from '../../db/photos';
import { mayAct } from '../mayAct';
import { openHouse } from '../openHouse';
import { isOwnPage } from '../ownPage';
import { readBytes } from '../readBytes';
import { refuse } from '../refuse';
import { places } from '../threads/places';
import { drawAside } from './drawAside';
import { NO_PHOTO } from './drawnAnew';

/** Of each photo on its way all bytes are in memory. */
const photoPlaces = places({ each: 4, all: 12 });

/**
 * `PUT /api/photos/HOUSE/ID` with the bytes of a picture. What is kept is drawn anew from its pixels: upright, small, and without
 * anything else that the file held. The same bytes again under the same id change nothing.
 */
export const putPhoto = (request: Request, house: string, photo: string): Promise<Response> =>
  openHouse(house, async ({ id: houseId }, person) => {
    if (!isOwnPage(request)) return refuse(403, 'Photos come from this application only.');
    if (!mayAct(person, 'finisher')) return refuse(403, 'Only the crew adds photos.');
    const id = photo.toLowerCase();
    if (!z.uuid().safeParse(id).success) return refuse(400, 'A photo needs a UUID.');
    return photoPlaces(person.id, async () => {
      const body = await readBytes(request, MOST_PHOTO_BYTES);
      if (body.kind === 'tooLarge') return refuse(413, `A photo may have at most ${MOST_PHOTO_BYTES / 1e6} MB.`);
      if (body.kind !== 'bytes') return refuse(400, 'The photo did not come.');
      const drawn = await drawAside(body.bytes);
      if (!drawn?.ok) return refuse(415, drawn?.why ?? NO_PHOTO);
      const hash = createHash('sha256').update(body.bytes).digest('hex');
      const answer = await keepPhoto({ id, houseId, by: person.id, hash }, drawn.photo);
      return answer === 'kept' ? Response.json({ id }) : refuse(409, 'Another photo is kept under this id.');
    });
  });

/** `GET /api/photos/HOUSE/ID`: a photo, for those whose house it is. */
export const getPhoto = (house: string, photo: string): Promise<Response> =>
  openHouse(house, async ({ id: houseId }) => {
    const id = photo.toLowerCase();
    const bytes = z.uuid().safeParse(id).success ? await findPhoto(houseId, id) : undefined;
    if (!bytes) return refuse(404, 'There is no such photo.');
    return photoAnswer(bytes);
  });

/** A kept photo, as a browser may show it and do nothing else with it. */
export const photoAnswer = (bytes: Buffer): Response =>
  new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'image/jpeg',
      'content-length': String(bytes.length),
      'cache-control': 'private, max-age=31536000, immutable',
      'content-security-policy': "default-src 'none'",
      'x-content-type-options': 'nosniff',
    },
  });
