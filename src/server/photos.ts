import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { z } from 'zod';
import { MOST_PHOTO_BYTES, MOST_PHOTO_PIXELS, PHOTO_BYTES, PHOTO_EDGE } from '../contract/limits';
import { findPhoto, type KeptPhoto, keepPhoto } from '../db/photos';
import { mayAct } from './mayAct';
import { openHouse } from './openHouse';
import { isOwnPage } from './ownPage';
import { readBytes } from './readBytes';
import { refuse } from './refuse';

const NO_PHOTO = 'This is no photo that can be read: a JPEG, PNG, WebP or AVIF file is one.';
const FORMATS = ['jpeg', 'png', 'webp', 'heif'] as const;
/** Drawn coarser and coarser until it is small enough. */
const QUALITIES = [82, 70, 55, 40];

// A photo comes now and then: what was decoded once is not asked for again.
sharp.cache(false);

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
    const body = await readBytes(request, MOST_PHOTO_BYTES);
    if (body.kind === 'tooLarge') return refuse(413, `A photo may have at most ${MOST_PHOTO_BYTES / 1e6} MB.`);
    if (body.kind !== 'bytes') return refuse(400, 'The photo did not come.');
    const drawn = await drawnAnew(body.bytes);
    if (!drawn.ok) return refuse(415, drawn.why);
    const hash = createHash('sha256').update(body.bytes).digest('hex');
    const answer = await keepPhoto({ id, houseId, by: person.id, hash }, drawn.photo);
    return answer === 'kept' ? Response.json({ id }) : refuse(409, 'Another photo is kept under this id.');
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

type Drawn = { readonly ok: true; readonly photo: KeptPhoto } | { readonly ok: false; readonly why: string };

/** A picture drawn anew as a JPEG that is no larger than what is kept; or why it cannot be. */
export async function drawnAnew(bytes: Buffer): Promise<Drawn> {
  try {
    const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (!FORMATS.some((known) => known === format)) return { ok: false, why: NO_PHOTO };
    if (width * height > MOST_PHOTO_PIXELS)
      return { ok: false, why: `A photo may have at most ${MOST_PHOTO_PIXELS / 1e6} million pixels.` };
    const upright = await sharp(bytes, { limitInputPixels: MOST_PHOTO_PIXELS, failOn: 'truncated' })
      .autoOrient()
      .resize(PHOTO_EDGE, PHOTO_EDGE, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    for (const quality of QUALITIES) {
      const { data, info } = await sharp(upright.data, { raw: upright.info })
        .jpeg({ quality })
        .toBuffer({ resolveWithObject: true });
      if (data.length <= PHOTO_BYTES || quality === QUALITIES.at(-1))
        return { ok: true, photo: { bytes: data, width: info.width, height: info.height } };
    }
  } catch {
    // A file that is cut off, or no picture at all.
  }
  return { ok: false, why: NO_PHOTO };
}
